<script lang="ts">
	import { paceOf, PACES, type PaceResult } from '$lib/core/train/pace';
	import Select from '../../parts/controls/Select.svelte';
	import type { DrillProps } from './round';

	let { onround }: DrillProps = $props();
	/** Taps of one round. */
	const TAPS = 12;
	let pace = $state(PACES[0]!.label);
	const seconds = $derived(PACES.find((p) => p.label === pace)!.seconds);
	let startedMs = $state<number | null>(null);
	let taps = $state.raw<readonly number[]>([]);
	let result = $state.raw<PaceResult | null>(null);
	let now = $state(0);
	$effect(() => {
		if (startedMs === null) return;
		let frame = requestAnimationFrame(function loop(at) {
			now = at;
			frame = requestAnimationFrame(loop);
		});
		return () => cancelAnimationFrame(frame);
	});
	/** 0..1 of the beat that runs. */
	const share = $derived(startedMs === null ? 0 : ((((now - startedMs) / (1000 * seconds)) % 1) + 1) % 1);
	function begin() {
		[startedMs, taps, result] = [performance.now(), [], null];
	}
	function tap(atMs: number) {
		if (startedMs === null) return begin();
		taps = [...taps, atMs];
		if (taps.length < TAPS) return;
		result = paceOf(taps, startedMs, 1000 * seconds);
		startedMs = null;
		if (result) onround({ value: result.offMs, count: result.taps, what: pace, simulated: false });
	}
	const early = $derived(result ? Math.round(result.offsetMs) : 0);
</script>

<div class="flex flex-wrap items-center gap-3">
	<Select
		label="Pace"
		value={pace}
		options={PACES.map(({ label }) => ({ value: label, label }))}
		onchange={(p) => ((pace = p), (startedMs = null), (result = null))}
		class="min-h-11"
	/>
	<span class="text-ink2">{startedMs === null ? `${TAPS} taps make a round` : `${taps.length} of ${TAPS}`}</span>
</div>
<button
	type="button"
	class="border-edge bg-sheet mt-4 block h-[260px] w-full max-w-[640px] touch-manipulation rounded-3xl border"
	onpointerdown={(e) => tap(e.timeStamp)}
	onkeydown={(e) => {
		if ((e.key === ' ' || e.key === 'Enter') && !e.repeat) {
			e.preventDefault();
			tap(e.timeStamp);
		}
	}}
>
	<svg viewBox="0 0 640 180" class="h-[180px] w-full" aria-hidden="true">
		<path d="M40 130C180 130 200 40 320 40S460 130 600 130" fill="none" stroke="var(--drain)" stroke-width="3" />
		{#if startedMs !== null}<circle cx={40 + 560 * share} cy={130 - 90 * Math.sin(Math.PI * share) ** 2} r="11" fill="var(--ink)" />{/if}
	</svg>
	<span class="text-[19px] font-semibold">{startedMs === null ? 'Press to begin' : 'Tap when the bead sets out on the left'}</span>
</button>
{#if result}
	<p class="mt-3 text-[19px] leading-7" role="status">
		{Math.abs(early) < 10 ? 'On the beat' : `${Math.abs(early)} ms ${early < 0 ? 'early' : 'late'}`}, spread
		<b>{Math.round(result.jitterMs)} ms</b>; your own pace {(result.ownPaceMs / 1000).toFixed(2)} s of {seconds}{result.missed
			? `; ${result.missed} ${result.missed === 1 ? 'beat' : 'beats'} left out`
			: ''}.
	</p>
{/if}
