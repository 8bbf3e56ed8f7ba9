<script lang="ts">
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import { pointName } from '$lib/core/measure/faults';
	import { pairSentence } from '$lib/core/measure/pairWording';
	import { PAIR_MEASURES_OF, type PairMeasureId } from '$lib/core/measure/pairIds';
	import type { Client } from '$lib/core/records/client';
	import { useApp } from '$lib/state/app.svelte';
	import { ClientEdits } from '$lib/state/clientEdits.svelte';
	import { photoBookOf } from '$lib/state/photoBook.svelte';
	import { PhotoPair } from '$lib/state/photoPair.svelte';
	import { clientFileName } from '$lib/formats/download';
	import { pairCsv } from '$lib/formats/pairCsv';
	import { saveFile } from '$lib/ui/parts/controls/saveFile';
	import { pairOf, photoAt, photosOf } from '$lib/ui/parts/shell/addresses';
	import Segmented from '$lib/ui/parts/controls/Segmented.svelte';
	import PairPicture, { type Mode } from '$lib/ui/views/photos/PairPicture.svelte';
	import PairTable from '$lib/ui/views/photos/PairTable.svelte';
	import PoseGauge from '$lib/ui/views/photos/PoseGauge.svelte';
	import PrimariesForm from '$lib/ui/views/photos/PrimariesForm.svelte';

	const app = useApp();
	const edits = new ClientEdits(app);
	const book = photoBookOf(app);
	onMount(() => () => book.close());
	const ids = $derived([page.url.searchParams.get('a') ?? '', page.url.searchParams.get('b') ?? ''] as const);
	/** Declared for her; null: it was not said yet what it is about. */
	let looked = $state.raw<readonly PairMeasureId[] | null>(null);
	let choosing = $state(false);
	let opened = $state.raw<PhotoPair | string | null>(null);
	$effect(() => {
		const wanted = ids;
		// What was said of another pair is not said of this one.
		[opened, looked, choosing] = [null, null, false];
		void app
			.run(() => PhotoPair.open(app.repo.photos, book, wanted))
			.then((pair) => {
				if (wanted === ids) opened = pair;
			});
	});
	const pair = $derived(opened instanceof PhotoPair ? opened : null);
	const drifts = $derived(pair?.drifts ?? []);
	const client = $derived(pair ? app.current.byId(pair.before.clientId) : null);
	const ofView = $derived<readonly PairMeasureId[]>(pair ? PAIR_MEASURES_OF[pair.view] : []);
	const known = $derived((client?.primaries ?? []).filter((id) => ofView.includes(id)));
	const primaries = $derived(looked ?? (known.length ? known : null));
	$effect(() => {
		if (pair && primaries) void app.run(() => pair.compare(primaries));
	});
	async function declare(chosen: readonly PairMeasureId[]) {
		looked = chosen;
		choosing = false;
		const view = ofView;
		const seen = known.join();
		const ofThis = (stored: Client) => stored.primaries.filter((p) => view.includes(p));
		if (client)
			await edits.change(
				client.id,
				(stored) => ({ primaries: [...stored.primaries.filter((p) => !view.includes(p)), ...chosen] }),
				(stored) => ![seen, chosen.join()].includes(ofThis(stored).join())
			);
	}
	const result = $derived(pair?.result ?? null);
	const sentence = $derived(result ? pairSentence(result) : null);
	const declared = $derived(result?.measures.filter((m) => m.primary) ?? []);
	const others = $derived(result?.measures.filter((m) => !m.primary) ?? []);
	let mode = $state<Mode>('slider');
	function save() {
		if (!result || !pair) return;
		const csv = pairCsv(result, pair.before.takenAt, pair.after.takenAt);
		saveFile(clientFileName(pair.before.clientId, `${pair.before.takenAt.slice(0, 10)} to`, pair.after.takenAt, 'csv'), csv, 'text/csv');
	}
	const upper = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
</script>

<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-6">
	<div class="flex flex-wrap items-center gap-x-3 gap-y-2 py-2.5">
		<h1 class="flex-1 text-xl leading-7 font-[520]">{client?.name ?? 'Before and after'}</h1>
		{#if client}<a class="dotted text-[13px]" href={photosOf(client.id)}>Photographs</a>{/if}
		{#if pair}<Segmented
				label="How the two are shown"
				value={mode}
				options={[
					{ value: 'slider', label: 'Slider' },
					{ value: 'beside', label: 'Side by side' },
					{ value: 'contours', label: 'Contours' },
					{ value: 'onion', label: 'Onion skin' }
				]}
				onchange={(m) => (mode = m)}
			/>{/if}
	</div>
	{#if typeof opened === 'string'}<p role="alert" class="text-[13.5px]">
			{opened} <a class="dotted" href="/progress/photos">Photographs</a>
		</p>
	{:else if pair}
		<p class="border-hair border-b pb-2.5 text-[16px] leading-[22px]" aria-live="polite">
			{#if sentence}{#if sentence.real}<b class="font-semibold">{sentence.real}</b>{' '}{/if}<span class="text-ink2">{sentence.rest}</span>
			{:else}<span class="text-ink2"
					>{!primaries
						? 'First say what it is about, then look.'
						: pair.stopped
							? 'Stopped.'
							: `Comparing … ${Math.round(100 * (pair.share ?? 0))} %`}</span
				>{#if primaries}{' '}<button class="btn" onclick={() => (pair.stopped ? app.run(() => pair.compare(primaries)) : pair.stop())}
						>{pair.stopped ? 'Compare' : 'Stop'}</button
					>{/if}{/if}
		</p>
		<div class="grid grid-cols-1 gap-x-6 gap-y-5 pt-3 lg:grid-cols-[minmax(0,1fr)_minmax(380px,470px)]">
			<div class="space-y-2">
				<PairPicture before={pair.before} after={pair.after} urls={pair.urls} {mode} />
				{#if pair.swapped}<p role="alert" class="text-flag text-[13px]">
						The first one was taken after the second. <a class="dotted" href={pairOf(ids[1], ids[0])}>Exchange them</a>
					</p>{/if}
				{#if pair.light && pair.light.verdict !== 'alike'}<p class="text-[12.5px] leading-4">
						{pair.light.verdict === 'caution'
							? 'Mind the light: it differs. Lengths do not hang on it, what skin looks like does.'
							: 'The light differs too much to judge by looking: shadows are not fullness. Lengths do not hang on it.'}
					</p>{/if}
				{#each drifts as drift (drift)}<p role="alert" class="text-flag text-[12.5px] leading-4">{drift}</p>{/each}
				{#if result?.misfit}<p role="alert" class="text-flag text-[12.5px] leading-4">
						{upper(pointName(result.misfit.point))} lies {result.misfit.offPx.toFixed(0)} px from where the other fixed points expect it.
						<a class="dotted" href={photoAt(pair.after.id)}>Check it</a>
					</p>{/if}
				{#each result?.faults ?? [] as { photo, fault } (photo + fault.words)}<p role="alert" class="text-flag text-[12.5px] leading-4">
						{photo === 'before' ? 'First' : 'Second'} photograph: {fault.words}
						<a class="dotted" href={photoAt(photo === 'before' ? pair.before.id : pair.after.id)}>Place</a>
					</p>{/each}
			</div>
			<div class="space-y-5">
				{#if primaries === null || choosing}<PrimariesForm view={pair.view} chosen={known} ondeclare={declare} />
				{:else if result}
					<section>
						<h2 class="flex items-baseline gap-2 pb-1 text-[13.5px] font-semibold">
							From this pair <button class="dotted text-[12.5px] font-normal" onclick={() => (choosing = true)}>what it is about</button>
						</h2>
						{#if declared.length}<PairTable measures={declared} caption="Declared before looking" />{/if}
						{#if others.length}
							{#if declared.length}<details class="pt-2">
									<summary class="cursor-pointer text-[12.5px]">Looked at too: {others.length}, held against chance all together</summary>
									<PairTable measures={others} caption="" />
								</details>
							{:else}<PairTable measures={others} caption="Nothing was declared: all are held against chance together" />{/if}
						{/if}
						<p class="text-ink2 pt-1.5 text-[12px] leading-4">
							Sand: measuring error; ± is the smallest change worth believing (MDC95).
							{pair.retakes
								? `From ${pair.retakes} ${pair.retakes === 1 ? 'pair' : 'pairs'} of retakes and working values.`
								: 'From working values: no retakes yet. Take two photographs at one moment to learn your own.'}
							{pair.view === 'profile'
								? 'Lengths by her nose on a front photograph, a few % off, alike in both. A profile does not tell how the head is turned: the error holds a turn of 2° and a tilt of 1.5°.'
								: ''}
							{result.scale
								? result.scale.systematic > 0.02
									? `All lengths may be ${(100 * result.scale.systematic).toFixed(0)} % off, alike in both.`
									: ''
								: 'No lengths: nothing on the first photograph tells the size.'}
							One pair shows two moments, not what lasts, and no cause.
						</p>
					</section>
					<section>
						<h2 class="pb-1 text-[13.5px] font-semibold">Can the two be compared?</h2>
						<PoseGauge pose={result.pose} light={pair.light} minutesApart={pair.minutesApart} working={app.working} />
					</section>
					<button class="btn" onclick={save}>Figures as CSV</button>
				{/if}
			</div>
		</div>
	{:else}<p class="text-ink2 py-8 text-[13.5px]" role="status">Opening …</p>{/if}
</div>
