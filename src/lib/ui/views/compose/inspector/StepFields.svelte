<script lang="ts">
	import type { Step } from '$lib/core/step/step.schema';
	import { fieldsFor, type Field } from '$lib/core/technique/fields';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import BodyFields from './BodyFields.svelte';
	import TravelFields from './TravelFields.svelte';

	interface Props {
		draft: SequenceDraft;
		step: Step;
	}
	let { draft, step }: Props = $props();
	const LABELS: Record<Field, string> = {
		end: 'Then',
		stations: 'Stops',
		lanes: 'Lanes',
		reverse: 'Back',
		until: 'Until',
		support: 'Support',
		posture: 'Posture',
		mouth: 'Mouth',
		eyes: 'Eyes',
		breath: 'Breath',
		by: 'Done by',
		medium: 'Medium',
		replaces: 'Replaces',
		tape: 'Tape',
		optional: 'Optional'
	};
	const TRAVEL: readonly Field[] = ['end', 'stations', 'lanes', 'reverse', 'until', 'support'];
	const fields = $derived(fieldsFor(step));
	let open = $state(false);
</script>

{#snippet row(field: Field)}
	<dt class="self-start pt-1.5">{LABELS[field]}</dt>
	<dd class="flex min-h-7 items-center">
		<div class="min-w-0 flex-1">
			{#if TRAVEL.includes(field)}<TravelFields {draft} {step} {field} />{:else}<BodyFields {draft} {step} {field} />{/if}
		</div>
	</dd>
{/snippet}

{#each fields.shown as field (field)}{@render row(field)}{/each}
{#if open}{#each fields.more as field (field)}{@render row(field)}{/each}{/if}
{#if fields.more.length}
	<dt></dt>
	<dd>
		<button type="button" class="text-ink2 hover:dotted text-left text-xs leading-4" aria-expanded={open} onclick={() => (open = !open)}
			>{open ? 'Less' : `More: ${fields.more.map((f) => LABELS[f].toLowerCase()).join(', ')}`}</button
		>
	</dd>
{/if}

<style>
	dt {
		color: var(--ink3);
		font-size: 12px;
	}
</style>
