<script lang="ts">
	import { AlertDialog } from 'bits-ui';
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

<AlertDialog.Root open>
	<AlertDialog.Portal>
		<AlertDialog.Overlay class="bg-ink/25 fixed inset-0 z-40" />
		<AlertDialog.Content
			escapeKeydownBehavior="ignore"
			class="border-edge bg-paper fixed top-1/2 left-1/2 z-40 w-[calc(100vw-32px)] max-w-[720px] -translate-x-1/2 -translate-y-1/2 rounded-2xl border p-5"
		>
			<AlertDialog.Title class="flare text-lg font-[540]">Two versions of this sequence</AlertDialog.Title>
			<AlertDialog.Description class="text-ink2 mt-1 text-[13px]"
				>It was changed in another window or by a file meanwhile, so both are kept. Choose which one goes on under this name.</AlertDialog.Description
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
			<div class="mt-4 flex justify-end">
				<button type="button" class="btn btn-primary" onclick={() => onchoose('both')}>Keep both as two sequences</button>
			</div>
		</AlertDialog.Content>
	</AlertDialog.Portal>
</AlertDialog.Root>
