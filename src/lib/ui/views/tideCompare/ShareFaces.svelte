<script lang="ts">
	import { percentText, shownPercent, type Contest } from '$lib/core/flow/share';
	import { intervalWords } from '$lib/core/flow/words';

	interface Props {
		/** In how many faces the first leaves less, and the second. */
		contest: Contest;
		/** Letters of the two. */
		less: string;
		more: string;
	}
	let { contest, less, more }: Props = $props();
	const shown = $derived(percentText(contest));
	const interval = $derived(intervalWords(contest));
	const drawn = $derived(Math.round(shownPercent(contest) / 5));
	const faces = $derived(Array.from({ length: 20 }, (_, i) => i < drawn));
</script>

<!-- Twenty faces, each for a twentieth of the draws: those with water drawn low are the ones in which the first leaves less. -->
<figure class="flex items-center gap-3">
	<svg width="212" height="46" viewBox="0 0 212 46" role="img" aria-label="{less} leaves less than {more}: {shown} of the modelled faces">
		{#each faces as yes, i (i)}
			{@const cx = 11 + 21 * (i % 10)}
			{@const cy = 11 + 23 * Math.floor(i / 10)}
			<ellipse
				{cx}
				{cy}
				rx="7.4"
				ry="9.4"
				fill={yes ? 'var(--drainfill)' : 'var(--sheet)'}
				stroke="var(--ink)"
				stroke-width={yes ? 1.5 : 0.9}
			/>
			{#if yes}<path d="M{cx - 4} {cy + 3}q2 -1.8 4 0t4 0" fill="none" stroke="var(--ink)" stroke-width="1.2" />
			{:else}<path d="M{cx - 3.6} {cy + 3}h7.2" stroke="var(--ink)" stroke-width="0.9" stroke-dasharray="1 2" />{/if}
		{/each}
	</svg>
	<figcaption class="leading-tight">
		<b class="flare text-[22px] font-[520]">{shown}</b><br /><span class="text-ink2 text-[11px]">{less} leaves less</span>{#if interval}<br
			/><span class="text-ink2 text-[11px]" title="How far so many faces tell it: 95 %, by Wilson">({interval})</span>{/if}
	</figcaption>
</figure>
