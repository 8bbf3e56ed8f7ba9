<script lang="ts">
	import { pressureKPa, type ForceSample } from '$lib/core/train/pressure';

	interface Props {
		/** At this moment; null where nothing tells. */
		kPa: number | null;
		band: readonly [number, number];
		/** The press so far, and over how much area. */
		samples: readonly ForceSample[];
		areaCm2: number;
		/** How long a press lasts, and how much of its beginning is not counted. */
		pressMs: number;
		settleMs: number;
	}
	let { kPa, band, samples, areaCm2, pressMs, settleMs }: Props = $props();
	const MOST = 25;
	const [WIDTH, TOP, FOOT, LEFT, RIGHT] = [960, 26, 300, 60, 900];
	/** Light levels lie close together: the square root spreads them. Deeper lies lower, as on the skin. */
	const y = (k: number) => TOP + (FOOT - TOP) * Math.sqrt(Math.min(MOST, Math.max(0, k)) / MOST);
	const x = (ms: number) => LEFT + (RIGHT - LEFT) * Math.min(1, ms / pressMs);
	const begun = $derived(samples[0]?.atMs ?? 0);
	const trace = $derived(samples.map((s) => `${x(s.atMs - begun).toFixed(1)},${y(pressureKPa(s.grams, areaCm2)).toFixed(1)}`).join(' '));
	const here = $derived(samples.length ? x(samples.at(-1)!.atMs - begun) : LEFT);
	const words = $derived(kPa === null ? 'nothing is told' : kPa < band[0] ? 'too light' : kPa > band[1] ? 'too heavy' : 'within the level');
	const LINES = [0.7, 3, 6, 12, 25];
</script>

<!-- A section through the skin: time goes to the right, and a finger as deep as it presses; sand is the level. -->
<svg viewBox="0 0 {WIDTH} 336" class="w-full" role="img" aria-label="{kPa === null ? '–' : kPa.toFixed(1)} kPa, {words}">
	<rect x={LEFT} y={y(band[0])} width={RIGHT - LEFT} height={y(band[1]) - y(band[0])} fill="var(--sand)" />
	<path d="M{LEFT} {TOP}H{RIGHT}" stroke="var(--line)" stroke-width="2.4" />
	{#each LINES as k (k)}
		<path d="M{LEFT} {y(k)}H{RIGHT}" stroke="var(--hair)" stroke-dasharray="2 5" />
		<text x={LEFT - 10} y={y(k) + 5} text-anchor="end" font-size="16" fill="var(--ink2)">{k}</text>
	{/each}
	<text x={LEFT - 10} y={TOP + 5} text-anchor="end" font-size="16" fill="var(--ink2)">kPa</text>
	<path d="M{x(settleMs)} {TOP}V{FOOT}" stroke="var(--ink2)" stroke-dasharray="1 6" stroke-linecap="round" />
	<text x={x(settleMs) + 8} y={FOOT + 26} font-size="16" fill="var(--ink2)">counted</text>
	<text x={RIGHT} y={FOOT + 26} text-anchor="end" font-size="16" fill="var(--ink2)">{pressMs / 1000} s</text>
	{#if trace}<polyline points={trace} fill="none" stroke="var(--drain)" stroke-width="3" stroke-linejoin="round" />{/if}
	{#if kPa !== null}
		<path d="M{here - 12} {TOP - 22}V{y(kPa) - 12}A12 13 0 0 0 {here + 12} {y(kPa) - 12}V{TOP - 22}Z" fill="var(--ink)" />
		<text x={here + 22} y={Math.max(TOP + 22, y(kPa))} font-size="26" font-weight="620" fill="var(--ink)">{kPa.toFixed(1)}</text>
	{/if}
</svg>
