<script lang="ts">
	import { MAX_TITLE } from '$lib/core/step/sizes';
	import KeptField from '../../parts/controls/KeptField.svelte';
	import Plus from '@lucide/svelte/icons/plus';
	import type { Client } from '$lib/core/records/client';
	import { clock } from '$lib/core/step/describe';
	import { addPhase, setHead } from '$lib/core/sequence/edits';
	import { newPhase } from '$lib/core/sequence/newPhase';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Select from '../../parts/controls/Select.svelte';
	import Tip from '../../parts/controls/Tip.svelte';

	interface Props {
		draft: SequenceDraft;
		clients: readonly Client[];
		client: Client | null;
		newId: () => string;
		onclient: (id: string) => void;
	}
	let { draft, clients, client, newId, onclient }: Props = $props();
	const seconds = $derived(draft.judgement.timing.expectedSeconds);
	const over = $derived(seconds > draft.sequence.budgetSeconds);
</script>

<div class="flex min-h-10 flex-wrap items-center gap-x-3 pt-1">
	<div class="min-w-40 flex-1">
		<h1 class="sr-only">{draft.sequence.title}</h1>
		<KeptField
			label="Title of the sequence"
			hidden
			class="flare hover:dotted w-full truncate rounded bg-transparent text-xl leading-[26px] font-[520]"
			maxlength={MAX_TITLE}
			value={draft.sequence.title}
			of={draft.sequence.id}
			onkeep={(text) => {
				const title = text.trim();
				if (!title) return 'A title is needed; the old one stays.';
				draft.adjust((base) => setHead(base, { title }, `Call it ${title}`));
			}}
			onleave={() => draft.settle()}
		/>
	</div>
	<Select
		label="Client"
		value={client?.id ?? 'nobody'}
		options={[{ value: 'nobody', label: 'No client' }, ...clients.map((c) => ({ value: c.id, label: c.name }))]}
		onchange={onclient}
		class="max-w-36"
	/>
	<Tip text="Add a phase at the end">
		{#snippet children({ props })}
			<button {...props} type="button" class="btn px-2" onclick={() => draft.do(addPhase(draft.sequence, newPhase(newId(), 'New phase')))}
				><Plus size={14} />Phase</button
			>
		{/snippet}
	</Tip>
	<span class="text-ink2 whitespace-nowrap"
		><b class="text-[15px] font-semibold {over ? 'text-flag' : 'text-ink'}">{clock(seconds)}</b>
		of {clock(draft.sequence.budgetSeconds)}</span
	>
</div>
