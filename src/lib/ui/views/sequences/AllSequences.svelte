<script lang="ts">
	import { compareAt, composeAt, tideOf } from '$lib/ui/parts/shell/addresses';
	import { toast, Toaster } from 'svelte-sonner';
	import Plus from '@lucide/svelte/icons/plus';
	import { goto } from '$app/navigation';
	import { SCHOOLS, schoolById } from '$lib/core/school/schools';
	import { newSequence } from '$lib/core/sequence/newSequence';
	import { useApp } from '$lib/state/app.svelte';
	import type { Kept } from '$lib/core/records/kept';
	import type { SequenceRecord } from '$lib/core/records/sequenceRecord';
	import Segmented from '$lib/ui/parts/controls/Segmented.svelte';
	import Select from '$lib/ui/parts/controls/Select.svelte';
	import Bin from './Bin.svelte';
	import SequenceCard from './SequenceCard.svelte';
	import { rowOf, SORTS, wishedRows, type OverviewRow, type Sort } from './overview';

	const app = useApp();
	interface Props {
		stored: readonly SequenceRecord[];
		/** When each was last begun in a session, by its id. */
		used: ReadonlyMap<string, string>;
		bin: readonly Kept[];
	}
	let { stored, used, bin }: Props = $props();
	let words = $state('');
	let school = $state('');
	let sort = $state<Sort>('used');
	let shelf = $state<'here' | 'archived' | 'bin'>('here');
	let ticked = $state<string[]>([]);
	const all = $derived(stored.map((s) => rowOf(s, used, app.context)));
	const rows = $derived(wishedRows(all, { words, school, sort, archived: shelf === 'archived' }));
	const longestSeconds = $derived(Math.max(0, ...rows.map((r) => r.seconds)));
	const archived = $derived(all.filter((r) => r.archived).length);
	const schools = $derived([
		{ value: '', label: 'All schools' },
		...SCHOOLS.filter((s) => all.some((r) => r.sequence.school.id === s.id)).map((s) => ({ value: s.id, label: s.title }))
	]);

	async function begin() {
		const { now, newId } = app.repo.stamp();
		const sequence = newSequence({ id: newId(), updatedAt: now, school: schoolById('outlet-first') });
		const saved = await app.run(() => app.repo.addSequence(sequence));
		if (saved) await goto(composeAt(sequence.id));
	}
	async function remove(id: string) {
		const kept = await app.run(() => app.repo.removeSequence(id));
		ticked = ticked.filter((t) => t !== id);
		if (!kept) return;
		toast(`“${kept.sequence.title}” is in the bin.`, {
			duration: 15_000,
			action: { label: 'Put it back', onClick: () => void app.run(() => app.repo.putBack(kept.id)) }
		});
	}
	async function duplicate({ sequence }: OverviewRow) {
		const title = `${sequence.title}, copy`.slice(0, 200);
		const made = await app.run(() => app.repo.addSequence({ ...sequence, id: app.repo.stamp().newId(), title }));
		if (made) toast(`“${title}” is made.`);
	}
	const tick = (id: string) => (ticked = ticked.includes(id) ? ticked.filter((t) => t !== id) : [...ticked, id].slice(-2));
</script>

<Toaster position="bottom-left" />
<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-8">
	<div class="flex flex-wrap items-center gap-3 py-3">
		<h1 class="flex-1 text-xl font-[520]">Sequences</h1>
		{#if ticked.length > 1}<a class="btn" href={tideOf(ticked)}>Compare their tide</a>{/if}
		{#if ticked.length === 2}<a class="btn" href={compareAt(ticked[0]!, ticked[1]!)}>Compare the two</a>
		{:else if ticked.length}<span class="text-ink2 text-xs">Tick a second one to compare.</span>{/if}
		<button type="button" class="btn btn-primary" onclick={begin}><Plus size={15} />New sequence</button>
	</div>
	<div class="flex flex-wrap items-center gap-2 pb-2">
		<Segmented
			label="Which sequences"
			value={shelf}
			options={[
				{ value: 'here', label: 'In use' },
				{ value: 'archived', label: `Archived${archived ? ` ${archived}` : ''}` },
				{ value: 'bin', label: `Bin${bin.length ? ` ${bin.length}` : ''}` }
			]}
			onchange={(s) => (shelf = s)}
		/>
		{#if shelf !== 'bin'}
			<input
				autocomplete="off"
				type="search"
				class="field max-w-64"
				aria-label="Find a sequence"
				placeholder="Find by title, goal, school, note"
				bind:value={words}
			/>
			<Select label="School" value={school} options={schools} onchange={(s) => (school = s)} />
			<Select
				label="Sort by"
				value={sort}
				options={Object.entries(SORTS).map(([value, label]) => ({ value: value as Sort, label }))}
				onchange={(s) => (sort = s)}
			/>
		{/if}
	</div>
	{#if shelf === 'bin'}
		<Bin kept={bin} onback={(k) => app.run(() => app.repo.putBack(k.id))} ondiscard={(k) => app.run(() => app.repo.discard(k.id))} />
	{:else if rows.length}
		<ul class="border-hair border-t">
			{#each rows as row (row.sequence.id)}<SequenceCard
					{row}
					context={app.context}
					{longestSeconds}
					ticked={ticked.includes(row.sequence.id)}
					ontick={() => tick(row.sequence.id)}
					onduplicate={() => duplicate(row)}
					onarchive={() => app.run(() => app.repo.archive(row.sequence.id, !row.archived))}
					onremove={() => remove(row.sequence.id)}
				/>{/each}
		</ul>
	{:else}
		<p class="text-ink2 max-w-[52ch] py-8 text-[13.5px] leading-5">
			{#if words || school}No sequence here has these words and this school.
			{:else if shelf === 'archived'}Nothing is archived. What you archive leaves the list and stays whole.
			{:else}No sequence yet. Begin one: open a few nodes, draw strokes on the face, and see at once how long it takes and what is missing.{/if}
		</p>
	{/if}
</div>
