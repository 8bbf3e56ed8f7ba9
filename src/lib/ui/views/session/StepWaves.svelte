<script lang="ts">
	import type { TimedEvent } from '$lib/core/sequence/expand';
	import { sideOfRep, sidesOf } from '$lib/core/sequence/workedSide';

	interface Props {
		/** The events of this step, in order. */
		events: readonly TimedEvent[];
		/** Seconds of the plan. */
		seconds: number;
		/** px */
		width: number;
	}
	let { events, seconds, width }: Props = $props();
	const HEIGHT = 84;
	const MID = 42;
	const start = $derived(events[0]?.startSeconds ?? 0);
	const end = $derived(events.at(-1)?.endSeconds ?? 1);
	const x = $derived((s: number) => 14 + ((s - start) * (width - 28)) / Math.max(0.1, end - start));
	/** At most twenty waves a stretch; beyond that they stand for five each. */
	const waves = $derived(
		events
			.filter((e) => e.kind === 'work' || e.kind === 'station' || e.kind === 'rest')
			.flatMap((e) => {
				const n = e.reps > 24 ? Math.ceil(e.reps / 5) : Math.max(1, e.reps);
				const beat = (e.endSeconds - e.startSeconds) / n;
				return Array.from({ length: n }, (_, i) => i).flatMap((i) => {
					const sides = sidesOf(sideOfRep(e.side, i));
					return sides.map((side) => ({
						key: `${e.startSeconds}:${i}:${side}`,
						from: e.startSeconds + i * beat,
						to: e.startSeconds + (i + 1) * beat,
						// The lower of two alike is lower, so that the pair never reads as a sound wave.
						d: wave(
							x(e.startSeconds + i * beat),
							x(e.startSeconds + (i + 1) * beat),
							side === 'left' ? -1 : 1,
							sides.length > 1 && side === 'right' ? 11 : 24
						)
					}));
				});
			})
	);
	function wave(a0: number, e0: number, dir: number, height: number): string {
		const [a, e] = [a0 + 1, e0 - 1];
		const c = a + (e - a) * 0.72;
		const y = MID + dir * 7;
		const top = y + dir * height;
		const [r, q] = [c - a, e - c];
		return `M${a} ${y}C${a + 0.5 * r} ${y} ${a + 0.62 * r} ${top} ${c} ${top}C${c + 0.62 * q} ${top} ${c + 0.42 * q} ${y} ${e} ${y}`;
	}
	const bead = $derived(Math.min(end, Math.max(start, seconds)));
</script>

<svg {width} height={HEIGHT} viewBox="0 0 {width} {HEIGHT}" fill="none" aria-hidden="true">
	{#each waves as w (w.key)}
		{@const over = w.to <= seconds}
		{@const now = !over && w.from <= seconds}
		<path d={w.d} fill="var(--drain)" fill-opacity={over ? 0.9 : now ? 0.45 : 0.12} stroke="var(--drain)" stroke-width={now ? 2.4 : 1.4} />
	{/each}
	<rect x="6" y={MID - 7} width={Math.max(0, width - 12)} height="14" rx="7" fill="var(--sand)" stroke="var(--coast)" stroke-width="1.1" />
	<path d="M{x(bead)} {MID - 36}V{MID + 36}" stroke="var(--ink)" stroke-width="1.4" />
	<circle cx={x(bead)} cy={MID - 36} r="5" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2.2" />
</svg>
