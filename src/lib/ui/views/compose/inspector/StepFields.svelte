<script lang="ts">
	import type { Step } from '$lib/core/step/step.schema';
	import { fieldsFor, optionOf } from '$lib/core/step/stepFields';
	import type { OptionalField } from '$lib/core/vocabulary/fields';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import BodyFields from './BodyFields.svelte';
	import SaidField from './SaidField.svelte';
	import TravelFields from './TravelFields.svelte';

	interface Props {
		draft: SequenceDraft;
		step: Step;
	}
	let { draft, step }: Props = $props();
	const TRAVEL: readonly OptionalField[] = ['end', 'stations', 'lanes', 'reverse', 'until', 'support'];
	/** Said in words, as in the text of the sequence. */
	const SAID: readonly OptionalField[] = [
		...(['parts', 'laneWays', 'beside', 'choice', 'spots', 'round', 'towards', 'returnSeconds', 'swellsTo'] as const)
	];
	const fields = $derived(fieldsFor(step));
	let open = $state(false);
</script>

{#snippet row(field: OptionalField)}
	<dt class="self-start pt-1.5">{optionOf(field).label}</dt>
	<dd class="flex min-h-7 items-center">
		<div class="min-w-0 flex-1">
			{#if TRAVEL.includes(field)}<TravelFields {draft} {step} {field} />{:else if SAID.includes(field)}<SaidField
					{draft}
					{step}
					{field}
				/>{:else}<BodyFields {draft} {step} {field} />{/if}
		</div>
	</dd>
{/snippet}

{#each fields.shown as field (field)}{@render row(field)}{/each}
{#if open}{#each fields.more as field (field)}{@render row(field)}{/each}{/if}
{#if fields.more.length}
	<dt></dt>
	<dd>
		<button type="button" class="text-ink2 hover:dotted text-left text-xs leading-4" aria-expanded={open} onclick={() => (open = !open)}
			>{open ? 'Less' : `More: ${fields.more.map((f) => optionOf(f).label.toLowerCase()).join(', ')}`}</button
		>
	</dd>
{/if}

<style>
	dt {
		color: var(--ink3);
		font-size: 12px;
	}
</style>
