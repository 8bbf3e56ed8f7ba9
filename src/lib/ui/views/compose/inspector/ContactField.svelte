<script lang="ts">
	import { setStep } from '$lib/core/sequence/edits';
	import type { Step } from '$lib/core/step/step.schema';
	import type { Contact, Motion } from '$lib/core/vocabulary/vocabulary';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Select from '../../../parts/controls/Select.svelte';
	import Stepper from '../../../parts/controls/Stepper.svelte';
	import Footprint from '../../../parts/glyphs/Footprint.svelte';
	import MotionGlyph from '../../../parts/glyphs/MotionGlyph.svelte';
	import { CONTACT_OPTIONS, EDGE_OPTIONS, MOTION_OPTIONS, TOOL_OPTIONS } from '../../../parts/steps/options';
	import { setContact } from '../steps/stepEdits';

	interface Props {
		draft: SequenceDraft;
		step: Step;
	}
	let { draft, step }: Props = $props();
	const sequence = $derived(draft.sequence);
	const tool = $derived(step.tool);
	const set = (change: Partial<Step>, label: string) => draft.do(setStep(sequence, step.id, change, label));
</script>

<div class="flex flex-wrap gap-1.5">
	<Select
		label="Hand or tool"
		value={step.contact}
		options={CONTACT_OPTIONS}
		onchange={(c: Contact) => draft.do(setContact(sequence, step, c))}
	>
		{#snippet mark(c)}<Footprint contact={c} tool={c === 'tool' ? (tool?.id ?? 'stone-plate') : undefined} />{/snippet}
	</Select>
	{#if step.contact === 'tool' && tool}
		<Select
			label="Tool"
			value={tool.id}
			options={TOOL_OPTIONS.filter((t) => t.value !== 'gloves')}
			onchange={(t) => draft.do(setContact(sequence, step, 'tool', t))}
		/>
		{#if tool.id === 'stone-plate'}
			<Select
				label="Edge"
				value={tool.edge ?? 'long-convex'}
				options={EDGE_OPTIONS}
				onchange={(edge) => set({ tool: { ...tool, edge } }, 'Turn the stone to another edge')}
			/>
			<Stepper
				label="tilt in degrees"
				unit="°"
				value={tool.tiltDegrees ?? 15}
				min={0}
				max={90}
				step={5}
				onchange={(tiltDegrees) => set({ tool: { ...tool, tiltDegrees } }, `Tilt the stone to ${tiltDegrees}°`)}
			/>
		{/if}
	{/if}
	<Select label="Motion" value={step.motion} options={MOTION_OPTIONS} onchange={(motion: Motion) => set({ motion }, 'Change the motion')}>
		{#snippet mark(motion)}<MotionGlyph {motion} />{/snippet}
	</Select>
</div>
