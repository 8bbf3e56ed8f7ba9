<script lang="ts">
	import { composeAt } from '../../parts/shell/addresses';
	import { stepsOf } from '$lib/core/sequence/walk';
	import { clock } from '$lib/core/step/describe';
	import { expand, type ExpandContext } from '$lib/core/sequence/expand';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import MiniScore from '../../parts/score/MiniScore.svelte';

	interface Props {
		sequence: Sequence;
		context: ExpandContext;
		/** px of the score */
		width: number;
	}
	let { sequence, context, width }: Props = $props();
	const events = $derived(expand(sequence, context));
	const byId = $derived(new Map(stepsOf(sequence).map((s) => [s.step.id, s])));
</script>

<li class="border-hair border-b py-1.5">
	<a class="hover:dotted flex justify-between gap-3" href={composeAt(sequence.id)}>
		<span class="truncate font-[530]">{sequence.title}</span><b class="font-semibold">{clock(events.at(-1)?.endSeconds ?? 0)}</b>
	</a>
	<MiniScore {events} {byId} {width} label="Score of {sequence.title}" />
</li>
