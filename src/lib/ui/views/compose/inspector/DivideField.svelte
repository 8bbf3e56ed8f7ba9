<script lang="ts">
	import { labelOf, placeOf } from '$lib/core/atlas/places';
	import { splitPhase, splitPlaces, splitStep } from '$lib/core/sequence/manyEdits';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import { isStationary } from '$lib/core/vocabulary/vocabulary';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import InlineMenu from '../../../parts/controls/InlineMenu.svelte';

	interface Props {
		draft: SequenceDraft;
		placed: PlacedStep;
		newId: () => string;
	}
	let { draft, placed, newId }: Props = $props();
	const step = $derived(placed.step);
	const stays = $derived(isStationary(step.motion));
	const places = $derived(stays ? step.places.map((_, i) => i).slice(1) : splitPlaces(step));
	const options = $derived([
		...places.map((i) => ({
			value: String(i),
			label: `${stays ? 'from' : 'at'} ${labelOf(placeOf(step.places[i]!)).toLowerCase()} on`
		})),
		...(placed.at[1] || placed.at[2] ? [{ value: 'phase', label: 'begin a new phase with this step' }] : [])
	]);
	function divide(where: string) {
		if (where === 'phase') draft.attempt(() => splitPhase(draft.sequence, step.id, 'New phase', newId));
		else draft.attempt(() => splitStep(draft.sequence, step.id, Number(where), newId(), stays));
	}
</script>

{#if options.length}
	<dt>Divide</dt>
	<dd class="text-xs">
		<InlineMenu label="Divide the step or its phase" value="" {options} onchange={divide}>into two, or begin a phase</InlineMenu>
	</dd>
{/if}

<style>
	dt {
		color: var(--ink3);
		font-size: 12px;
	}
</style>
