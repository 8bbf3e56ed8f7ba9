<script lang="ts">
	import type { DrillRound } from '$lib/core/records/drillRound';
	import { alike, DRILLS, progressOf, type DrillId } from '$lib/core/train/drills';
	import Select from '../../parts/controls/Select.svelte';

	interface Props {
		drill: DrillId;
		rounds: readonly DrillRound[];
	}
	let { drill, rounds }: Props = $props();
	const row = $derived(DRILLS[drill]);
	/** A simulated hand says nothing of one’s own. */
	const own = $derived(rounds.filter((r) => !r.simulated));
	/** What was practised last, by its kind: only like is compared with like. */
	const kinds = $derived(alike(own));
	let chosen = $state('');
	const kind = $derived(kinds.find((k) => k.what === chosen) ?? kinds[0] ?? null);
	const shown = $derived((kind?.rounds ?? []).slice(-40));
	const most = $derived(Math.max(1e-9, ...shown.map((r) => r.value)));
	const simulated = $derived(rounds.length - own.length);
	const WIDTH = 560;
	const x = (i: number) => 8 + (shown.length > 1 ? (i * (WIDTH - 16)) / (shown.length - 1) : 0);
	const y = (value: number) => 52 - (44 * value) / most;
</script>

<section class="to-sea border-hair border-t bg-gradient-to-b from-transparent px-5 py-3" aria-label="Your rounds">
	<p class="max-w-[80ch]" role="status">
		{#if simulated && !own.length}By a simulated hand: {simulated}
			{simulated === 1 ? 'round' : 'rounds'}, none of your own yet.
		{:else}{kind?.what ? `${kind.what}: ` : ''}{progressOf(
				drill,
				(kind?.rounds ?? []).map((r) => r.value)
			)}{simulated ? ` ${simulated} with a simulated hand, which are not counted.` : ''}{/if}
	</p>
	{#if kinds.length > 1}<Select
			label="What is compared"
			value={kind?.what ?? ''}
			options={kinds.map((k) => ({ value: k.what, label: `${k.what || 'all'} (${k.rounds.length})` }))}
			onchange={(what) => (chosen = what)}
		/>{/if}
	{#if shown.length}
		<svg viewBox="0 0 {WIDTH} 60" class="h-[60px] w-full max-w-[560px]" aria-hidden="true">
			<path d="M4 52H{WIDTH - 4}" stroke="var(--hair)" />
			<polyline
				points={shown.map((r, i) => `${x(i)},${y(r.value)}`).join(' ')}
				fill="none"
				stroke="var(--drain)"
				stroke-dasharray="1 4"
				stroke-linecap="round"
				stroke-width="1.5"
			/>
			{#each shown as r, i (r.id)}<circle cx={x(i)} cy={y(r.value)} r="4" fill="var(--ink)" />{/each}
		</svg>
		<details class="text-[13.5px]">
			<summary class="min-h-7 cursor-pointer">Every round</summary>
			<table class="tabular-nums">
				<thead class="text-ink2 text-left"
					><tr
						><th class="pr-6 font-normal">When</th><th class="pr-6 font-normal">What</th><th class="font-normal"
							>{row.measure}, {row.unit}</th
						></tr
					></thead
				>
				<tbody>
					{#each own.toReversed() as r (r.id)}<tr
							><td class="pr-6">{r.at.slice(0, 16).replace('T', ' ')}</td><td class="pr-6">{r.what}</td><td
								>{r.value.toFixed(row.digits)}</td
							></tr
						>{/each}
				</tbody>
			</table>
		</details>
	{/if}
</section>
