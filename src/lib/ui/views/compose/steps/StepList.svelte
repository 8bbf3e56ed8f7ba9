<script lang="ts">
	import { untrack } from 'svelte';
	import { MediaQuery, SvelteSet } from 'svelte/reactivity';
	import type { Edit } from '$lib/core/sequence/edit.schema';
	import { setBlockSteps } from '$lib/core/sequence/manyEdits';
	import type { Severity } from '$lib/core/school/school.schema';
	import type { Block, Phase } from '$lib/core/sequence/sequence.schema';
	import type { Step } from '$lib/core/step/step.schema';
	import { inTurns } from '$lib/state/inTurns.svelte';
	import { LONG_STEPS, type SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import { dropZone, loadDragging, type DropItem } from './dropZone.svelte';
	import PhaseHead from './PhaseHead.svelte';
	import { ROW_PX, rowsInSight, rowsOf } from './rowWindow';
	import StepRow from './StepRow.svelte';
	import type { AllWorth } from '$lib/core/flow/worth';
	import type { rowWorths } from './rowWorth';

	/** From so many steps on, rows far from sight are empty: each has five little drawings. */
	const MANY_STEPS = 60;

	interface Props {
		draft: SequenceDraft;
		flags: ReadonlyMap<string, Severity>;
		/** What every step is worth in the model, while that is looked at. */
		worth?: AllWorth | null;
	}
	let { draft, flags, worth = null }: Props = $props();
	/** Comes with the first layer that is looked at. */
	let worthOf = $state.raw<typeof rowWorths | null>(null);
	$effect(() => {
		if (worth && !worthOf) void import('./rowWorth').then((m) => (worthOf = m.rowWorths));
	});
	const worths = $derived(worth && worthOf ? worthOf(worth) : null);
	const closed = new SvelteSet<string>();
	/** While a step is dragged: how the lists would look. */
	let dragged = $state.raw<ReadonlyMap<string, readonly DropItem[]>>(new Map());

	const edit = (e: Edit) => draft.do(e);
	const seconds = (phase: Phase) => draft.judgement.timing.phases.get(phase.id)?.expectedSeconds ?? 0;

	/** On a phone a step has two lines. */
	const phone = new MediaQuery('max-width: 620px', false);
	const stepPx = $derived(phone.current ? ROW_PX.stepOnPhone : ROW_PX.step);

	// Of many steps only the rows near what is in sight are drawn; of a long sequence the others have no place kept either.
	const long = $derived(draft.steps.length > LONG_STEPS);
	const all = $derived(draft.steps.length > MANY_STEPS ? rowsOf(draft.sequence, closed, stepPx) : { rows: [], height: 0 });
	let scrollTop = $state(0);
	let height = $state(400);
	const inSight = $derived(rowsInSight(all.rows, scrollTop, height));
	const near = $derived(all.rows.length ? new Set(inSight.map((r) => r.key)) : null);

	/** Of fewer a window full comes first, all where one of them is asked for. */
	const FIRST_ROWS = 12;
	const drawn = inTurns(
		() => MANY_STEPS,
		untrack(() => (draft.selectedId ? MANY_STEPS : FIRST_ROWS)),
		MANY_STEPS
	);
	const isDrawn = (row: DropItem & Partial<RowModel>) => near?.has(row.id) ?? (row.number ?? 0) <= drawn.current;

	// The chosen step is always in sight.
	let list: HTMLDivElement | undefined = $state();
	$effect(() => {
		const id = draft.selectedId;
		if (!id || !list) return;
		const row = list.querySelector(`[data-row="${CSS.escape(id)}"]`);
		if (row) row.scrollIntoView({ block: 'nearest' });
		else {
			const at = all.rows.find((r) => r.key === id);
			if (at) list.scrollTop = at.top - height / 2;
		}
	});

	/** What a row shows. One that is as before is the same object, so that only rows that changed are drawn again. */
	interface RowModel extends DropItem {
		readonly step: Step;
		readonly number: number;
		readonly seconds: number;
		readonly flag: Severity | undefined;
		readonly selected: boolean;
		readonly chosen: boolean;
		readonly current: boolean;
	}
	let known = new Map<string, RowModel>();
	const models = $derived.by(() => {
		const { timing } = draft.judgement;
		const { chosen, selectedId } = draft;
		const many = chosen.many;
		const now = new Map<string, RowModel>();
		for (const { step, number } of draft.steps) {
			const current = step.id === selectedId;
			const model: RowModel = {
				id: step.id,
				step,
				number,
				seconds: timing.steps.get(step.id)?.expectedSeconds ?? 0,
				flag: flags.get(step.id),
				selected: current && !many,
				chosen: many && chosen.has(step.id),
				current
			};
			const old = known.get(step.id);
			now.set(step.id, old && (Object.keys(model) as (keyof RowModel)[]).every((k) => old[k] === model[k]) ? old : model);
		}
		return (known = now);
	});
	/** While something is dragged the library's own list, with the gap that it keeps; else the rows of the block. */
	const itemsOf = (block: Block): readonly (DropItem & Partial<RowModel>)[] =>
		dragged.get(block.id) ?? block.steps.flatMap((step) => models.get(step.id) ?? []);
	function consider(block: Block, items: DropItem[]) {
		dragged = new Map([...dragged, [block.id, items]]);
	}
	function drop(block: Block, items: DropItem[], dropped: string | null) {
		const ids = items.map((i) => i.id);
		if (dropped) {
			// With several chosen, the others come along.
			const along = draft.chosen.many && draft.chosen.has(dropped) ? draft.chosen.ids : new Set([dropped]);
			const order = ids.flatMap((id) => (id === dropped ? [...along] : along.has(id) ? [] : [id]));
			draft.attempt(() => setBlockSteps(draft.sequence, block.id, order, dropped));
		}
		dragged = new Map();
	}
	function choose(step: Step, e: MouseEvent) {
		if (e.shiftKey) draft.chosen.extendTo(step.id);
		else if (e.ctrlKey || e.metaKey) draft.chosen.toggle(step.id);
		else draft.select(step.id);
	}
</script>

{#snippet head(phase: Phase)}
	<PhaseHead
		{phase}
		sequence={draft.sequence}
		seconds={seconds(phase)}
		open={!closed.has(phase.id)}
		ontoggle={() => (closed.has(phase.id) ? closed.delete(phase.id) : closed.add(phase.id))}
		onedit={edit}
	/>
{/snippet}
{#snippet word(block: Block)}
	{#if block.sides !== 'asSteps'}<p class="text-ink3 h-[17px] pl-6 text-[11px]">
			all of these on the {block.sides.first}, then on the other side
		</p>{/if}
{/snippet}
{#snippet row(model: RowModel, block: Block)}
	<div class="line rounded-md {block.sides === 'asSteps' ? '' : 'border-sandline ml-2 border-l-2'}">
		<StepRow
			step={model.step}
			number={model.number}
			seconds={model.seconds}
			flag={model.flag}
			worth={worths?.get(model.step.id)}
			selected={model.selected}
			chosen={model.chosen}
			current={model.current}
			onselect={(e) => choose(model.step, e)}
			onedit={(make) => draft.attempt(() => make(draft.sequence))}
		/>
	</div>
{/snippet}

<div class="steps flex min-h-0 flex-1 flex-col">
	<div class="heads text-ink3 border-hair border-b text-[11px]" aria-hidden="true">
		<span class="col-span-3 pl-6">Step</span><span>Hand or tool</span><span class="text-center">Press.</span><span class="text-right"
			>Repeats</span
		>
		<span class="pl-2">Side</span><span class="text-right">Time</span>
	</div>
	<div
		bind:this={list}
		bind:clientHeight={height}
		class="min-h-0 flex-1 overflow-y-auto pb-3"
		role="group"
		aria-label="Steps"
		onscroll={(e) => (scrollTop = e.currentTarget.scrollTop)}
		onpointerenter={loadDragging}
		ontouchstart={loadDragging}
	>
		{#if long}
			<div class="relative" style="height: {all.height}px">
				{#each inSight as r (r.key)}
					<div class="absolute inset-x-0" style="top: {r.top}px">
						{#if r.kind === 'phase'}{@render head(r.phase)}{:else if r.kind === 'block'}{@render word(
								r.block
							)}{:else if models.get(r.step.id)}{@render row(models.get(r.step.id)!, r.block)}{/if}
					</div>
				{/each}
			</div>
		{:else}
			{#each draft.sequence.phases as phase (phase.id)}
				{@render head(phase)}
				{#if !closed.has(phase.id)}
					{#each phase.blocks as block (block.id)}
						{@render word(block)}
						<div
							class="min-h-2"
							use:dropZone={{
								items: itemsOf(block),
								disabled: false,
								onconsider: (items) => consider(block, items),
								onfinalize: (items, dropped) => drop(block, items, dropped)
							}}
						>
							{#each itemsOf(block) as item (item.id)}
								<div>
									{#if item.step && isDrawn(item)}{@render row(item as RowModel, block)}{:else}<div style="height: {stepPx}px"></div>{/if}
								</div>
							{/each}
						</div>
					{/each}
				{/if}
			{/each}
		{/if}
	</div>
</div>

<style>
	/* Rows out of sight are not laid out nor painted: each has five little drawings. */
	.line {
		content-visibility: auto;
		contain-intrinsic-height: auto 25px;
	}
	.heads {
		display: grid;
		grid-template-columns: 24px 23px minmax(0, 1fr) var(--hand, 106px) 32px 44px 84px 36px 18px;
		height: 17px;
	}
	/* The rows go by the room that the list has, not the window. */
	.steps {
		container-type: inline-size;
	}
	@container (max-width: 500px) {
		.steps > * {
			--hand: 36px;
		}
		.heads > :nth-child(2) {
			visibility: hidden;
		}
	}
	@media (max-width: 620px) {
		.heads {
			display: none;
		}
	}
</style>
