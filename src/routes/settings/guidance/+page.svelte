<script lang="ts">
	import { onMount } from 'svelte';
	import { Switch } from 'bits-ui';
	import type { Voice } from '$lib/core/records/voices';
	import type { Waits } from '$lib/core/records/waits';
	import { useApp } from '$lib/state/app.svelte';
	import { SPOKEN } from '$lib/core/perform/spoken';
	import { installWords, kindHere, localWords, type LocalWords } from '$lib/state/listening.svelte';
	import { PEDALS, Pedals, SimulatedPedal, type Signal } from '$lib/state/pedals';
	import Segmented from '$lib/ui/parts/controls/Segmented.svelte';
	import { StageSound, voiceHere } from '$lib/ui/views/session/sound';

	const app = useApp();
	const settings = $derived(app.settings);
	/** Voices are told by the browser a moment after the page is there. */
	let voice = $state.raw<SpeechSynthesisVoice | null>(voiceHere());
	let local = $state<LocalWords | null>(null);
	let fetching = $state('');
	async function fetchWords() {
		fetching = 'Downloading …';
		fetching = (await installWords(kindHere())) ? '' : 'The download failed. Check the connection and try again.';
		local = await localWords(kindHere());
	}
	const EXAMPLE = ['Lower eyelid to front of the ear', 'Ring finger', '7 times', 'client’s left'];
	const HOW_MUCH: readonly { value: Voice; label: string; what: string }[] = [
		{ value: 'none', label: 'Nothing', what: 'Tones and captions only.' },
		{ value: 'changes', label: 'Changes', what: 'Where the next step is, and the other side.' },
		{ value: 'places', label: 'Places', what: 'Where, with what, how often, on which side: before each step.' },
		{ value: 'everything', label: 'Everything', what: 'The same, and the first and last numbers of each count.' }
	];
	const WAITS_WHAT: Record<Waits, string> = {
		never: 'Each step ends by the plan, also one that goes on until it is warm, softer or pink.',
		signs: 'Until it is warm, softer or pink it goes on past the plan: a signal leads on, at the latest its longest time does.',
		always: 'Each step waits for a signal before it begins.'
	};
	const sound = new StageSound({ rate: () => settings?.voiceRate ?? 1, volume: () => settings?.volume ?? 1 });
	const tryVoice = () => sound.say(EXAMPLE.join('. '));

	let heard = $state<{ readonly signal: Signal; readonly count: number } | null>(null);
	let plugged = $state('');
	const pedal = new SimulatedPedal();
	onMount(() => {
		void localWords(kindHere()).then((is) => (local = is));
		const told = () => (voice = voiceHere());
		globalThis.speechSynthesis?.addEventListener?.('voiceschanged', told);
		const pedals = new Pedals({
			onsignal: (signal) => (heard = { signal, count: (heard?.count ?? 0) + 1 }),
			onplugged: (there, name) => (plugged = there ? `Connected: ${name}` : `Not there any more: ${name}`)
		});
		const stop = pedals.followAlone();
		return () => {
			stop();
			pedal.close();
			sound.close();
			globalThis.speechSynthesis?.removeEventListener?.('voiceschanged', told);
		};
	});
	const DOES: Record<Signal, string> = {
		toggle: 'begins, pauses and goes on',
		back: 'begins the step again',
		skip: 'goes to the next step',
		more: 'adds one repetition',
		otherSide: 'goes over to the other side',
		where: 'says place, side and count',
		menu: 'opens the menu of the feet'
	};
</script>

<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-8">
	<div class="mx-auto max-w-[760px] space-y-7">
		<div>
			<h1 class="flare pt-3 text-xl font-[520]">Guidance</h1>
			<p class="text-ink2 max-w-[68ch] pt-2 text-[13.5px] leading-5">
				What the stage says and sounds while your eyes are on the skin, and how it is led without hands.
				<a class="dotted" href="/settings">Back to the settings</a>
			</p>
		</div>
		{#if settings}
			<section class="space-y-3">
				<h2 class="border-ink border-b pb-1 text-[15px] font-semibold">By ear</h2>
				<div class="flex flex-wrap items-center gap-3">
					<span class="text-ink2 w-24 text-[13.5px]" aria-hidden="true">It says</span>
					<Segmented
						label="How much is said"
						value={settings.voice}
						options={HOW_MUCH.map(({ value, label }) => ({ value, label }))}
						onchange={(v) => app.save({ voice: v })}
					/>
				</div>
				<p class="text-[13.5px]">{HOW_MUCH.find((h) => h.value === settings.voice)!.what}</p>
				<label class="flex flex-wrap items-center gap-3 text-[13.5px]">
					<span class="text-ink2 w-24">Speed</span>
					<input
						type="range"
						min="0.6"
						max="1.6"
						step="0.1"
						value={settings.voiceRate}
						onchange={(e) => app.save({ voiceRate: Number(e.currentTarget.value) })}
						class="w-[240px] accent-[var(--primary)]"
					/>
					<b class="font-semibold">{settings.voiceRate.toFixed(1)} ×</b>
				</label>
				<label class="flex flex-wrap items-center gap-3 text-[13.5px]">
					<span class="text-ink2 w-24">Volume</span>
					<input
						type="range"
						min="0.1"
						max="1"
						step="0.1"
						value={settings.volume}
						onchange={(e) => app.save({ volume: Number(e.currentTarget.value) })}
						class="w-[240px] accent-[var(--primary)]"
					/>
					<b class="font-semibold">{Math.round(100 * settings.volume)} %</b>
				</label>
				<p class="text-ink2 text-[13.5px]" role="status">
					{voice
						? `Voice of this machine: ${voice.name}.`
						: 'This browser has no English voice of its own, or has not told yet. Tones and the words on the stage carry it all the same.'}
				</p>
				<button type="button" class="btn min-h-9" disabled={!voice} onclick={tryVoice}>Say an example</button>
				<div class="flex items-center gap-3 pt-1 text-[13.5px]">
					<span class="text-ink2 w-24">Tones</span>
					<Switch.Root
						checked={settings.tone}
						onCheckedChange={(tone) => app.save({ tone })}
						aria-label="Tones: a beat a repetition, another for the last, for a change of side, for the next step, a swell for the breath"
						class="border-edge data-[state=checked]:bg-primary bg-sheet inline-flex h-6 w-11 items-center rounded-full border px-0.5"
					>
						<Switch.Thumb
							class="bg-ink data-[state=checked]:bg-onink block size-4 rounded-full transition-transform data-[state=checked]:translate-x-[21px]"
						/>
					</Switch.Root>
					<span>a beat a repetition, others for the last, the change of side, the next step; a swell for the breath</span>
				</div>
			</section>
			<section class="space-y-3">
				<h2 class="border-ink border-b pb-1 text-[15px] font-semibold">By eye</h2>
				<label class="flex flex-wrap items-center gap-3 text-[13.5px]">
					<span class="text-ink2 w-24">Distance to the screen</span>
					<input
						type="range"
						min="0.5"
						max="3"
						step="0.1"
						value={settings.stageDistanceM}
						onchange={(e) => app.save({ stageDistanceM: Number(e.currentTarget.value) })}
						class="w-[240px] accent-[var(--primary)]"
					/>
					<b class="font-semibold">{settings.stageDistanceM.toFixed(1)} m</b>
				</label>
				<p class="text-ink2 text-[13.5px]">
					Place, side, count and pressure are as large as this distance asks for, as far as the window has room.
				</p>
			</section>
			<section class="space-y-3">
				<h2 class="border-ink border-b pb-1 text-[15px] font-semibold">Without hands</h2>
				<div class="flex flex-wrap items-center gap-3">
					<span class="text-ink2 w-24 text-[13.5px]" aria-hidden="true">A step</span>
					<Segmented
						label="How a step begins"
						value={settings.waits}
						options={[
							{ value: 'never', label: 'Follows by itself' },
							{ value: 'signs', label: 'Waits where it goes on until a sign' },
							{ value: 'always', label: 'Waits for a signal' }
						]}
						onchange={(waits) => app.save({ waits })}
					/>
				</div>
				<p class="text-[13.5px]">{WAITS_WHAT[settings.waits]}</p>
				<div class="flex flex-wrap items-center gap-3">
					<span class="text-ink2 w-24 text-[13.5px]" aria-hidden="true">Spoken words</span>
					<Segmented
						label="Whether spoken words lead"
						value={settings.listens ? 'listens' : 'not'}
						options={[
							{ value: 'not', label: 'It does not listen' },
							{ value: 'listens', label: 'They lead the stage' }
						]}
						onchange={(v) => app.save({ listens: v === 'listens' })}
					/>
				</div>
				<p class="max-w-[68ch] text-[13.5px] leading-5" role="status">
					{local === null
						? ''
						: local === 'available'
							? `Recognised on this machine, sent nowhere: ${Object.values(SPOKEN)
									.map((all) => all[0])
									.join(', ')}. A word counts where it stands alone.`
							: local === 'downloadable'
								? 'This browser can recognise words on this machine once it has downloaded a speech model.'
								: 'This browser does not recognise words on this machine, so it does not listen.'}
				</p>
				{#if local === 'downloadable'}<p class="flex flex-wrap items-center gap-3 text-[13.5px]">
						<button type="button" class="btn min-h-11" onclick={fetchWords}>Download speech model</button>
						<span role="status">{fetching}</span>
					</p>{/if}
				<p class="max-w-[68ch] text-[13.5px] leading-5">
					A pedal that the browser takes for a gamepad, one that types (space, arrows, page up and down), or the keys of a headset: all do
					the same. Press one now to see what it does.
				</p>
				<p class="min-h-6 text-[15px]" role="status">
					{#if heard}<b class="font-semibold">Heard ({heard.count}):</b> it {DOES[heard.signal]}.{/if}
					{plugged}
				</p>
				<div>
					<h3 class="pb-1.5 text-[13.5px] font-semibold">A simulated pedal</h3>
					<div class="grid grid-cols-1 gap-2 sm:grid-cols-2">
						{#each PEDALS as { label, held }, i (label)}
							<div class="flex gap-1">
								<button type="button" class="btn btn-large min-w-0 flex-1" onclick={() => pedal.press(i)}>{label}</button>
								{#if held}<button type="button" class="btn btn-large" aria-label="Hold: {label}" onclick={() => pedal.hold(i)}
										>Hold: {held}</button
									>{/if}
							</div>
						{/each}
					</div>
					<p class="text-ink2 max-w-[68ch] pt-2 text-[13px] leading-[18px]">
						It leads a stage that is open in another window of this browser, as a pedal under the couch would.
					</p>
				</div>
			</section>
		{/if}
	</div>
</div>
