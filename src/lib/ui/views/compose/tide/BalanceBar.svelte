<script lang="ts">
	import { balanceAt, BALANCE_PARTS, type Tide } from '$lib/core/flow/tide';

	interface Props {
		tide: Tide;
		seconds: number;
	}
	let { tide, seconds }: Props = $props();
	const NAMES = { faceMl: 'face', neckMl: 'neck and chest', nodesMl: 'nodes', returnedMl: 'returned' } as const;
	/** Narrow enough that the row stays one line at 1280, also once something has seeped in. */
	const BAR = 150;
	const FILLS = ['var(--water1)', 'var(--water3)', 'var(--open)', 'var(--ink)'];
	const balance = $derived(balanceAt(tide, seconds));
	const total = $derived(BALANCE_PARTS.reduce((sum, part) => sum + balance[part], 0));
	const parts = $derived.by(() => {
		let x = 0;
		return BALANCE_PARTS.map((part, i) => {
			const width = total > 0 ? (BAR * balance[part]) / total : 0;
			x += width;
			return { part, x: x - width, width, fill: FILLS[i]!, text: balance[part].toFixed(1) };
		});
	});
	const came = $derived(Math.max(0, total - tide.startMl));
</script>

<!-- Where all the fluid is: the parts make up what was there and what seeped in meanwhile. -->
<div class="flex min-w-0 flex-wrap items-center gap-x-2.5 gap-y-0.5 text-[11.5px]" data-balance>
	<span class="text-ink font-semibold">Where it went</span>
	<svg width={BAR} height="12" viewBox="0 0 {BAR} 12" class="flex-none" aria-hidden="true">
		{#each parts as p, i (p.part)}
			<rect x={p.x} y="1" width={Math.max(0, p.width)} height="10" fill={p.fill} fill-opacity={i === 3 ? 0.85 : 0.55} />
			{#if i && p.width > 0.6}<path d="M{p.x} 0V12" stroke="var(--sheet)" stroke-width="1.6" />{/if}
		{/each}
		<rect x="0.5" y="1" width={BAR - 1} height="10" rx="1.5" fill="none" stroke="var(--coast)" stroke-width="0.8" />
	</svg>
	<span class="text-ink2 flex flex-wrap gap-x-2.5">
		{#each parts as p (p.part)}
			<span class="flex items-center gap-1 whitespace-nowrap"
				><span class="inline-block h-2 w-2 rounded-[2px]" style="background: {p.fill}; opacity: {p.part === 'returnedMl' ? 0.85 : 0.6}"
				></span>{NAMES[p.part]} <b class="text-ink font-semibold">{p.text}</b></span
			>
		{/each}
		<span class="whitespace-nowrap">of {tide.startMl.toFixed(1)} ml{came >= 0.05 ? ` and ${came.toFixed(1)} ml that seeped in` : ''}</span>
	</span>
</div>
