<script lang="ts">
	import { factsOf } from '$lib/core/screening/clientFacts';
	import { isRefused } from '$lib/core/screening/start';
	import type { Client } from '$lib/core/records/client';
	import { inTurns, ROWS_AT_ONCE } from '$lib/state/inTurns.svelte';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import Select from '../../parts/controls/Select.svelte';
	import Pennant from '../../parts/glyphs/Pennant.svelte';
	import { clientAt } from '../../parts/shell/addresses';
	import { dayOfYear } from '../../parts/dates';

	interface Props {
		/** By name. */
		clients: readonly Client[];
		/** How often each was here; null as long as that is not known. */
		visits: ReadonlyMap<string, { readonly count: number; readonly lastAt: string }> | null;
		currentId: string | null;
		today: string;
	}
	let { clients, visits, currentId, today }: Props = $props();
	let words = $state('');
	let order = $state<'name' | 'last' | 'sessions'>('name');
	let which = $state<'here' | 'archived'>('here');
	const plain = (text: string) =>
		text
			.normalize('NFKD')
			.replace(/[\u0300-\u036f]/g, '')
			.toLowerCase();
	const archived = $derived(clients.filter((c) => c.archived).length);
	const found = $derived.by(() => {
		const wanted = plain(words).split(/\s+/).filter(Boolean);
		const list = clients.filter(
			(c) => c.archived === (which === 'archived') && wanted.every((w) => plain(`${c.name} ${c.note} ${c.cautions}`).includes(w))
		);
		const seen = (c: Client) => visits?.get(c.id);
		if (order === 'last') return list.sort((a, b) => (seen(b)?.lastAt ?? '').localeCompare(seen(a)?.lastAt ?? ''));
		if (order === 'sessions') return list.sort((a, b) => (seen(b)?.count ?? 0) - (seen(a)?.count ?? 0));
		return list;
	});
	const drawn = inTurns(() => found.length, ROWS_AT_ONCE);
	/** What today says of her, in two words. */
	function todayOf(client: Client): { words: string; severity: 'stop' | 'caution' | null } {
		const limits = factsOf(client, today)!.limits;
		if (isRefused(limits)) return { words: 'no massage today', severity: 'stop' };
		const stops = new Set(limits.filter((l) => l.severity === 'stop').map((l) => l.source.id)).size;
		if (stops) return { words: `${stops} to heed`, severity: 'caution' };
		return { words: client.answers.length ? '' : 'not asked yet', severity: null };
	}
</script>

<div class="mt-3 flex flex-wrap items-center gap-2">
	<label class="min-w-48 flex-1"
		><span class="sr-only">Search</span><input
			autocomplete="off"
			class="field w-full"
			type="search"
			placeholder="Search by name, note or alert"
			bind:value={words}
		/></label
	>
	<Select
		label="Sort"
		value={order}
		options={[
			{ value: 'name', label: 'By name' },
			{ value: 'last', label: 'By last visit' },
			{ value: 'sessions', label: 'By sessions' }
		]}
		onchange={(o) => (order = o)}
	/>
	{#if archived}<Segmented
			label="Which"
			value={which}
			options={[
				{ value: 'here', label: 'Clients' },
				{ value: 'archived', label: `Archived, ${archived}` }
			]}
			onchange={(w) => (which = w)}
		/>{/if}
</div>
<p class="sr-only" role="status">{words ? `${found.length} found` : ''}</p>
<ul class="border-hair mt-3 min-h-0 flex-1 overflow-y-auto border-t">
	{#each found.slice(0, drawn.current) as c (c.id)}
		{@const seen = visits?.get(c.id)}
		{@const now = todayOf(c)}
		<li class="long-row border-hair border-b">
			<a
				href={clientAt(c.id)}
				class="hover:bg-wash/50 grid min-h-11 w-full grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 rounded-md px-2 py-2"
				aria-current={c.id === currentId ? 'true' : undefined}
			>
				<span class="flex items-baseline gap-2"
					><b class="text-[14px] font-[560]">{c.name}</b>{#if c.id === currentId}<span class="text-ink2 text-[11.5px]">chosen</span
						>{/if}</span
				>
				<span class="text-ink2 flex items-center gap-1.5 justify-self-end text-[12.5px]"
					>{#if now.severity}<Pennant severity={now.severity} />{/if}{now.words}</span
				>
				<span class="text-ink2 block truncate text-[12.5px]">{c.note || 'no note'}</span>
				<span class="text-ink2 justify-self-end text-[12.5px]"
					>{#if visits}{seen?.count ?? 0}
						{seen?.count === 1 ? 'session' : 'sessions'}{seen ? `, last ${dayOfYear(seen.lastAt)}` : ''}{/if}</span
				>
			</a>
		</li>
	{:else}
		<li class="text-ink2 py-4 text-[13.5px] leading-5">
			{#if words}Nobody is called so. <button type="button" class="dotted" onclick={() => (words = '')}>Show all</button>{:else}Nobody yet.
				A code or a name is enough; records never leave this browser unless you export them.{/if}
		</li>
	{/each}
</ul>
