<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import X from '@lucide/svelte/icons/x';
	import { MAX_COMPARED, MIN_COMPARED } from '$lib/core/flow/comparison.schema';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import type { Working } from '$lib/core/working/working.schema';
	import type { School } from '$lib/core/school/school.schema';
	import Select from '../../parts/controls/Select.svelte';
	import TipButton from '../../parts/controls/TipButton.svelte';
	import { LETTERS, waysOf, type Entry, type Way } from './entries';

	interface Props {
		entries: readonly Entry[];
		sequences: readonly Sequence[];
		working: Working;
		schools: readonly School[];
		newKey: () => string;
		onchange: (entries: readonly Entry[]) => void;
	}
	let { entries, sequences, working, schools, newKey, onchange }: Props = $props();
	const named = $derived(sequences.map((s) => ({ value: s.id, label: s.title })));
	const ways = $derived(
		new Map(
			entries.map((e) => [
				e.sequenceId,
				waysOf(
					sequences.find((s) => s.id === e.sequenceId),
					schools,
					working
				)
			])
		)
	);
	const set = (key: string, change: Partial<Entry>) => onchange(entries.map((e) => (e.key === key ? { ...e, ...change } : e)));
</script>

<ol class="space-y-2">
	{#each entries as entry, i (entry.key)}
		<li class="grid grid-cols-[22px_minmax(0,1fr)_28px] items-start gap-x-1.5" data-entry={LETTERS[i]}>
			<span class="flare pt-1 text-[17px] font-[540]">{LETTERS[i]}</span>
			<span class="grid gap-1">
				<Select
					label="Sequence {LETTERS[i]}"
					value={entry.sequenceId}
					options={named}
					onchange={(sequenceId) => set(entry.key, { sequenceId, way: 'as-is' })}
				/>
				<Select
					label="Done how, {LETTERS[i]}"
					value={entry.way}
					options={ways.get(entry.sequenceId) ?? []}
					onchange={(way: Way) => set(entry.key, { way })}
					class="text-xs"
				/>
			</span>
			{#if entries.length > MIN_COMPARED}
				<TipButton tip="Take {LETTERS[i]} out" onclick={() => onchange(entries.filter((e) => e.key !== entry.key))}
					><X size={15} /></TipButton
				>
			{/if}
		</li>
	{/each}
</ol>
{#if entries.length < MAX_COMPARED && entries[0]}
	<button type="button" class="btn mt-2" onclick={() => onchange([...entries, { ...entries[0]!, key: newKey() }])}
		><Plus size={14} />Another one</button
	>
{/if}
