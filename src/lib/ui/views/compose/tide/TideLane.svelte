<script lang="ts">
	import type { TideMark } from '$lib/core/flow/tide';
	import { markGroups } from '$lib/core/flow/markGroups';
	import { markWords } from '$lib/core/flow/words';
	import Tip from '../../../parts/controls/Tip.svelte';
	import { xAt, type ScoreFrame } from '../../../parts/score/scoreGeometry';
	import TideMarkGlyph from './TideMarkGlyph.svelte';

	interface Props {
		marks: readonly (TideMark & { readonly number: number; readonly when: string })[];
		frame: ScoreFrame;
		/** px */
		top: number;
		onselect: (stepId: string) => void;
	}
	let { marks, frame, top, onselect }: Props = $props();
	/** One mark for all that a step does of a kind, the most of it named. */
	const grouped = $derived.by(() => {
		const groups = new Map<string, { lead: (typeof marks)[number]; all: (typeof marks)[number][]; ml: number }>();
		for (const mark of marks) {
			const key = `${mark.stepId} ${mark.kind}`;
			const group = groups.get(key);
			if (group) {
				group.all.push(mark);
				group.ml += mark.ml;
			} else groups.set(key, { lead: mark, all: [mark], ml: mark.ml });
		}
		return [...groups].map(([key, g]) => ({ key, ...g }));
	});
	const words = (g: (typeof grouped)[number]) => {
		const groups = markGroups(g.all);
		const more = groups.slice(3).reduce((n, m) => n + m.places.length, 0);
		return `Step ${g.lead.number}, ${g.lead.when}: ${groups.slice(0, 3).map(markWords).join('; ')}${more ? `; and ${more} more places` : ''}`;
	};
	const size = (ml: number) => Math.min(17, 10 + 5 * Math.sqrt(ml));
</script>

<!-- Where fluid did not get through, each at its moment and with the step that did it. -->
{#each grouped as g (g.key)}
	<Tip text={words(g)}>
		{#snippet children({ props })}
			<button
				{...props}
				type="button"
				class="mark absolute z-10 flex h-6 w-5 items-center justify-center rounded"
				style="left: {xAt(frame, g.lead.atSeconds) - 10}px; top: {top - 5}px"
				aria-label={words(g)}
				data-mark={g.lead.kind}
				onclick={() => onselect(g.lead.stepId)}><TideMarkGlyph kind={g.lead.kind} size={size(g.ml)} /></button
			>
		{/snippet}
	</Tip>
{/each}
