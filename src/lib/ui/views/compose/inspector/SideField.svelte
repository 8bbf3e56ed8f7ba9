<script lang="ts">
	import { dissolveBlock, groupSideBySide, mayFollow, setFirstSide } from '$lib/core/sequence/blocks';
	import { stepTitle } from '$lib/core/step/describe';
	import { setStep } from '$lib/core/sequence/edits';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Select from '../../../parts/controls/Select.svelte';
	import Stepper from '../../../parts/controls/Stepper.svelte';
	import SideGlyph from '../../../parts/glyphs/SideGlyph.svelte';
	import { choiceOf, sideOf, sideOptions } from '../../../parts/steps/sideOptions';

	interface Props {
		draft: SequenceDraft;
		placed: PlacedStep;
		newId: () => string;
	}
	let { draft, placed, newId }: Props = $props();
	const step = $derived(placed.step);
	const block = $derived(placed.block);
	const turns = $derived(typeof step.side === 'object' && 'alternate' in step.side ? step.side : null);
	const followers = $derived(mayFollow(draft.sequence, step.id).slice(0, 30));
	const group = (to: string) => draft.do(groupSideBySide(draft.sequence, step.id, to, newId()));
</script>

<div class="flex flex-wrap items-center gap-1.5 text-xs">
	{#if block.sides !== 'asSteps'}
		<span class="text-ink2">all {block.steps.length} of its block on the</span>
		<Select
			label="Block begins on the"
			value={block.sides.first}
			options={[
				{ value: 'left', label: 'left, then all on the right' },
				{ value: 'right', label: 'right, then all on the left' }
			]}
			onchange={(first) => draft.do(setFirstSide(draft.sequence, block.id, first))}
		/>
		<button type="button" class="btn min-h-[26px] px-2" onclick={() => draft.do(dissolveBlock(draft.sequence, block.id))}
			>Take the block apart</button
		>
	{:else}
		<Select
			label="Side"
			value={choiceOf(step.side)}
			options={sideOptions(step.places)}
			onchange={(c) => draft.do(setStep(draft.sequence, step.id, { side: sideOf(c) }, 'Change the side'))}
		>
			{#snippet mark(c)}<SideGlyph side={sideOf(c)} />{/snippet}
		</Select>
		{#if turns}
			<Stepper
				label="repetitions before the sides change"
				unit="× in turn"
				value={turns.every ?? 1}
				min={1}
				max={100}
				onchange={(every) =>
					draft.do(
						setStep(
							draft.sequence,
							step.id,
							{ side: { alternate: true, first: turns.first, ...(every > 1 ? { every } : {}) } },
							`Change sides after ${every}`
						)
					)}
			/>
		{/if}
		{#if followers.length}
			<Select
				label="As a block"
				value="alone"
				options={[
					{ value: 'alone' as string, label: 'by itself' },
					...followers.map((s) => ({ value: s.id, label: `with all up to ${draft.byId.get(s.id)!.number} ${stepTitle(s)}, side by side` }))
				]}
				onchange={(to) => to !== 'alone' && group(to)}
			/>
		{/if}
	{/if}
</div>
