<script lang="ts">
	import Question from '../../parts/shell/Question.svelte';
	import { clock } from '$lib/core/step/describe';
	import { expand, type ExpandContext } from '$lib/core/sequence/expand';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { stepsOf } from '$lib/core/sequence/walk';
	import MiniScore from '../../parts/score/MiniScore.svelte';

	interface Props {
		stored: Sequence;
		second: Sequence;
		context: ExpandContext;
		onchoose: (choice: 'stored' | 'second' | 'both') => void;
	}
	let { stored, second, context, onchoose }: Props = $props();
	const versions = $derived(
		[
			{ sequence: stored, name: 'As it is stored', choice: 'stored' as const },
			{ sequence: second, name: 'Kept beside it', choice: 'second' as const }
		].map((v) => {
			const steps = stepsOf(v.sequence);
			return { ...v, events: expand(v.sequence, context), byId: new Map(steps.map((s) => [s.step.id, s])) };
		})
	);
</script>

<Question
	must
	width={720}
	title="Two versions of this sequence"
	words="It was changed in another window or by a file meanwhile, so both are kept. Choose which one goes on under this name."
>
	<div class="mt-4 grid gap-4 sm:grid-cols-2">
		{#each versions as v (v.choice)}
			<section class="border-hair border-t pt-2">
				<h3 class="font-semibold">{v.name}</h3>
				<p class="text-ink2">
					{v.sequence.title}, {v.byId.size} steps, {clock(v.events.at(-1)?.endSeconds ?? 0)}
				</p>
				<MiniScore events={v.events} byId={v.byId} width={310} label="Score of the version: {v.name}" />
				<button type="button" class="btn mt-2" onclick={() => onchoose(v.choice)}>Go on with this one</button>
			</section>
		{/each}
	</div>
	{#snippet answers()}
		<button type="button" class="btn btn-primary" onclick={() => onchoose('both')}>Keep both as two sequences</button>
	{/snippet}
</Question>
