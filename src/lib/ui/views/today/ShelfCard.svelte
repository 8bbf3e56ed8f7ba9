<script lang="ts">
	import { composeAt } from '../../parts/shell/addresses';
	import { judge } from '$lib/core/rules/judge';
	import { clock } from '$lib/core/step/describe';
	import type { ExpandContext } from '$lib/core/sequence/expand';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import MiniScore from '../../parts/score/MiniScore.svelte';

	interface Props {
		sequence: Sequence;
		context: ExpandContext;
		/** px of the score */
		width: number;
	}
	let { sequence, context, width }: Props = $props();
	const judged = $derived(judge(sequence, context));
</script>

<li class="border-hair border-b py-1.5">
	<a class="hover:dotted flex justify-between gap-3" href={composeAt(sequence.id)}>
		<span class="truncate font-[530]">{sequence.title}</span><b class="font-semibold">{clock(judged.timing.expectedSeconds)}</b>
	</a>
	<MiniScore events={judged.events} byId={judged.context.byId} {width} label="Score of {sequence.title}" />
</li>
