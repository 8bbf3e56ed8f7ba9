<script lang="ts">
	import { SvelteSet } from 'svelte/reactivity';
	import type { Edit } from '$lib/core/sequence/edits';
	import { relocateStep } from '$lib/core/sequence/edits';
	import type { Severity } from '$lib/core/school/school.schema';
	import type { Phase } from '$lib/core/sequence/sequence.schema';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import PhaseHead from './PhaseHead.svelte';
	import StepRow from './StepRow.svelte';

	interface Props {
		draft: SequenceDraft;
		flags: ReadonlyMap<string, Severity>;
	}
	let { draft, flags }: Props = $props();
	const closed = new SvelteSet<string>();
	let dragged = $state<string | null>(null);
	let over = $state<string | null>(null);

	const edit = (e: Edit) => draft.do(e);
	const seconds = (phase: Phase) => draft.judgement.timing.phases.get(phase.id)?.expectedSeconds ?? 0;

	// The chosen step is always in sight.
	let list: HTMLDivElement | undefined = $state();
	$effect(() => {
		if (draft.selectedId) list?.querySelector(`[data-row="${CSS.escape(draft.selectedId)}"]`)?.scrollIntoView({ block: 'nearest' });
	});
	function drop(before: string | null, phase: Phase) {
		if (dragged && dragged !== before) edit(relocateStep(draft.sequence, dragged, before ? { before } : { phase: phase.id }));
		dragged = over = null;
	}
</script>

<div class="heads text-ink3 border-hair border-b text-[11px]" aria-hidden="true">
	<span class="col-span-3 pl-6">Step</span><span>Contact</span><span class="text-center">Press.</span><span class="text-right">Dose</span>
	<span class="pl-2">Side</span><span class="text-right">Time</span>
</div>
<div bind:this={list} class="min-h-0 flex-1 overflow-y-auto pb-3" role="group" aria-label="Steps">
	{#each draft.sequence.phases as phase (phase.id)}
		<div
			role="presentation"
			class={over === phase.id ? 'bg-wash/60' : ''}
			ondragover={(e) => {
				if (!dragged) return;
				e.preventDefault();
				over = phase.id;
			}}
			ondrop={() => drop(null, phase)}
		>
			<PhaseHead
				{phase}
				sequence={draft.sequence}
				seconds={seconds(phase)}
				open={!closed.has(phase.id)}
				ontoggle={() => (closed.has(phase.id) ? closed.delete(phase.id) : closed.add(phase.id))}
				onedit={edit}
			/>
		</div>
		{#if !closed.has(phase.id)}
			{#each phase.blocks as block (block.id)}
				{#if block.sides !== 'asSteps'}
					<p class="text-ink3 pl-6 text-[11px]">
						all of these on the {block.sides.first}, then on the other side
					</p>
				{/if}
				{#each block.steps as step (step.id)}
					{@const placed = draft.byId.get(step.id)!}
					<div
						role="presentation"
						draggable="true"
						class="rounded-md {over === step.id ? 'shadow-[inset_0_2px_var(--ink)]' : ''} {dragged === step.id
							? 'opacity-50'
							: ''} {block.sides === 'asSteps' ? '' : 'border-sandline ml-2 border-l-2'}"
						ondragstart={(e) => {
							dragged = step.id;
							e.dataTransfer?.setData('text/plain', step.id);
						}}
						ondragend={() => (dragged = over = null)}
						ondragover={(e) => {
							if (!dragged) return;
							e.preventDefault();
							over = step.id;
						}}
						ondrop={() => drop(step.id, phase)}
					>
						<StepRow
							{placed}
							sequence={draft.sequence}
							seconds={draft.judgement.timing.steps.get(step.id)?.expectedSeconds ?? 0}
							flag={flags.get(step.id)}
							selected={draft.selectedId === step.id}
							onselect={() => draft.select(step.id)}
							onedit={edit}
						/>
					</div>
				{/each}
			{/each}
		{/if}
	{/each}
</div>

<style>
	.heads {
		display: grid;
		grid-template-columns: 24px 23px minmax(0, 1fr) 106px 32px 44px 84px 36px 18px;
		height: 17px;
	}
	@media (max-width: 620px) {
		.heads {
			display: none;
		}
	}
</style>
