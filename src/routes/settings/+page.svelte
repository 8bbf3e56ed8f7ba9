<script lang="ts">
	import { capital } from '$lib/core/capital';
	import { LEVEL_NAMES, LEVELS, levelRangeKPa } from '$lib/core/step/levels';
	import { CORE_VERSION } from '$lib/core/version';
	import { SKIN_TONES } from '$lib/core/client/skinTones';
	import { page } from '$app/state';
	import { Fetched } from '$lib/state/fetched.svelte';
	import { useApp } from '$lib/state/app.svelte';
	import { SKIN_COLOURS } from '$lib/state/skinTones';
	import { deleteAll, fillWithDemo } from '$lib/store/openStore';
	import SunsetPlace from '$lib/ui/views/settings/SunsetPlace.svelte';
	import Segmented from '$lib/ui/parts/controls/Segmented.svelte';
	import Ripples from '$lib/ui/parts/glyphs/Ripples.svelte';
	import CautionText from '$lib/ui/parts/shell/CautionText.svelte';

	const app = useApp();
	const settings = $derived(app.settings);
	/** The long list at the foot of the page, with the ranges of all that it holds. */
	const values = new Fetched(async () => (await import('$lib/ui/views/settings/WorkingValues.svelte')).default).soon();
	if (page.url.hash === '#working-values') void values.want();
	let said = $state('');
	let sure = $state(false);
	async function afresh() {
		if (await app.run(() => deleteAll(app.repo, app.lock.lock, []))) return location.reload();
		if (app.demo) await app.run(() => fillWithDemo(app.repo));
		await app.save({ cautionSeenAt: new Date().toISOString() });
		sure = false;
		said = app.demo ? 'The demo practice is made anew, ending today.' : 'Everything is empty again.';
	}
	async function persist() {
		await app.persist();
		said = app.persisted ? 'The browser will keep the records.' : 'The browser did not promise it. Export a backup now and then.';
	}
</script>

<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-8">
	<h1 class="py-3 text-xl font-[520]">Settings</h1>
	<p class="text-ink2 min-h-5" role="status">{said}</p>
	{#if settings}
		<div class="grid max-w-[1100px] grid-cols-1 gap-x-14 gap-y-8 lg:grid-cols-2">
			<section>
				<dl class="grid grid-cols-[110px_1fr] items-center gap-y-4">
					<dt class="text-ink2">Look</dt>
					<dd>
						<Segmented
							label="Look"
							value={settings.theme}
							options={[
								{ value: 'auto', label: 'As the device' },
								{ value: 'day', label: 'Day' },
								{ value: 'evening', label: 'Evening' },
								{ value: 'sunset', label: 'After sunset' }
							]}
							onchange={(theme) => app.save({ theme })}
						/>
						{#if settings.theme === 'sunset'}<SunsetPlace />{/if}
					</dd>
					<dt class="text-ink2">Figure</dt>
					<dd>
						<Segmented
							label="Skin of the figure"
							value={settings.skinTone}
							options={SKIN_TONES.map((tone) => ({ value: tone, label: capital(tone) }))}
							onchange={(skinTone) => app.save({ skinTone })}
						>
							{#snippet mark(tone)}<span class="border-edge size-3.5 rounded-full border" style="background: {SKIN_COLOURS[tone].day.skin}"
								></span>{/snippet}
						</Segmented>
					</dd>
					<dt class="text-ink2">Lengths</dt>
					<dd>
						<Segmented
							label="Lengths"
							value={settings.units}
							options={[
								{ value: 'mm', label: 'Millimetres' },
								{ value: 'inch', label: 'Inches' }
							]}
							onchange={(units) => app.save({ units })}
						/>
					</dd>
					<dt class="text-ink2 self-start pt-1">Photographs</dt>
					<dd class="space-y-2">
						<Segmented
							label="Suggest points on photographs"
							value={settings.findsFaces ? 'on' : 'off'}
							options={[
								{ value: 'off', label: 'Place points by hand' },
								{ value: 'on', label: 'Suggest points' }
							]}
							onchange={(chosen) => app.save({ findsFaces: chosen === 'on' })}
						/>
						<p class="text-ink2 leading-[18px]">
							Suggesting fetches a face detector (5 MB, once, from where this page came from). Nothing is sent. Under which licence its
							weights were first given away cannot be read from the package that brings them, so it stays off until you turn it on.
						</p>
					</dd>
					<dt class="text-ink2">Guidance</dt>
					<dd><a class="dotted" href="/settings/guidance">What the stage says and sounds, pedals</a></dd>
					<dt class="text-ink2">Local codes</dt>
					<dd><a class="dotted" href="/settings/codes">What your licence covers</a></dd>
					<dt class="text-ink2">Privacy</dt>
					<dd><a class="dotted" href="/settings/privacy">What is stored, where, and how much</a></dd>
					<dt class="text-ink2">Lock</dt>
					<dd>
						<a class="dotted" href="/settings/lock">{app.lock.set ? 'Sealed by your passphrase' : 'Seal the records by a passphrase'}</a>
					</dd>
					<dt class="text-ink2 self-start pt-1">Records</dt>
					<dd class="space-y-2">
						<p class="text-ink2 leading-[18px]">
							They live in this browser only. A browser may clear them when space runs short, unless it promises to keep them.
						</p>
						<button type="button" class="btn" onclick={persist}>Ask it to keep them</button>
					</dd>
					<dt class="text-ink2 self-start pt-1">Start afresh</dt>
					<dd class="space-y-2">
						<p class="text-ink2 leading-[18px]">
							{app.demo
								? 'Throws away what was changed and makes the demo practice anew, ending today.'
								: 'Empties this browser. Export a backup first.'}
						</p>
						{#if sure}<button type="button" class="btn btn-primary" onclick={afresh}>Yes, start afresh</button>
							<button type="button" class="btn" onclick={() => (sure = false)}>Keep all</button>
						{:else}<button type="button" class="btn" onclick={() => (sure = true)}>Start afresh …</button>{/if}
					</dd>
				</dl>
				<h2 class="border-hair mt-8 border-b pb-1 text-[15px] font-semibold">Pressure levels</h2>
				<table class="w-full">
					<caption class="text-ink2 py-1.5 text-left">Working values: what the words stand for here.</caption>
					<tbody>
						{#each LEVELS as level (level)}
							{@const [low, high] = levelRangeKPa(level, app.context.working)}
							<tr class="border-hair border-b"
								><td class="w-12 py-1.5"><Ripples {level} /></td><th scope="row" class="text-left font-[530]"
									>{level} {LEVEL_NAMES[level]}</th
								><td class="text-right">{low}–{high} kPa</td><td class="text-ink2 text-right"
									>{Math.round(low * 7.50062)}–{Math.round(high * 7.50062)} mmHg</td
								></tr
							>
						{/each}
					</tbody>
				</table>
			</section>
			<section id="about">
				<h2 class="border-hair border-b pb-1 text-[15px] font-semibold">About</h2>
				<p class="text-ink2 py-2 leading-[18px]">
					Soft Tide plans, counts and compares facial massage. Version of the core {CORE_VERSION}. Free software under the MIT licence, made
					with
					<a class="dotted" href="/THIRD-PARTY-LICENSES.txt" data-sveltekit-reload>packages of others, under licences of their own</a>. It
					works without a network once loaded.
				</p>
				<CautionText />
			</section>
		</div>
		<section id="working-values" class="border-hair mt-8 min-h-[560px] max-w-[1100px] border-t pt-3">
			{#if values.current}<values.current working={app.working} onchange={(change) => app.run(() => app.repo.changeWorking(change))} />{/if}
		</section>
	{/if}
</div>
