<script lang="ts" module>
	import { loadTechniques } from '$lib/state/techniques.svelte';

	// Asked for while the records are being opened. Who needs it, and is told that it could not be fetched, asks again.
	void loadTechniques().catch(() => {});
</script>

<script lang="ts">
	import { composeAt, moveAt } from '$lib/ui/parts/shell/addresses';
	import Copy from '@lucide/svelte/icons/copy';
	import Pencil from '@lucide/svelte/icons/pencil';
	import Plus from '@lucide/svelte/icons/plus';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { ZONE_IDS, ZONES } from '$lib/core/atlas/zones';
	import { GOAL_IDS, goalInfo } from '$lib/core/goal/goals';
	import { ANY_TECHNIQUE, techniqueIndex, type TechniqueFilter } from '$lib/core/search/search';
	import { licenceLimits } from '$lib/core/screening/licence';
	import { techniqueToday } from '$lib/core/screening/ofTechnique';
	import { blankTechnique } from '$lib/core/technique/blank';
	import type { Technique } from '$lib/core/technique/technique.schema';
	import { AIMS, TOOLS, type Aim } from '$lib/core/vocabulary/vocabulary';
	import { CustomEditing } from '$lib/state/customEditing.svelte';
	import { Fetched } from '$lib/state/fetched.svelte';
	import { useApp } from '$lib/state/app.svelte';
	import { useTechniques } from '$lib/state/techniques.svelte';
	import { ifHere } from '$lib/state/rows';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import Select from '$lib/ui/parts/controls/Select.svelte';
	import Menu from '$lib/ui/parts/controls/Menu.svelte';
	import AimGlyph from '$lib/ui/parts/glyphs/AimGlyph.svelte';
	import SecondVersions from '$lib/ui/parts/shell/SecondVersions.svelte';
	import TechniqueDetail from '$lib/ui/views/library/TechniqueDetail.svelte';
	import Segmented from '$lib/ui/parts/controls/Segmented.svelte';
	import TechniqueList from '$lib/ui/views/library/TechniqueList.svelte';
	import TechniqueChart from '$lib/ui/views/library/TechniqueChart.svelte';

	const app = useApp();
	const library = useTechniques();
	const rows = liveRows(
		() => null,
		async () => (await app.repo.sequences()).map((r) => r.sequence)
	);
	/** What a move stands in is said once the sequences are here. */
	const sequences = $derived(ifHere(rows.current) ?? []);
	/** A goal of a sequence leads here. */
	const goal = GOAL_IDS.find((g) => g === page.url.searchParams.get('goal')) ?? 'any';
	let filter = $state<TechniqueFilter>({ ...ANY_TECHNIQUE, goal });
	const editing = new CustomEditing<Technique>(app, 'technique');
	const find = $derived(techniqueIndex(library.all));
	/** Who is up next, and what today allows her. */
	const screening = new Fetched(() => import('$lib/core/screening/clientFacts')).oncePainted(() => app.current.client && library.loaded);
	const limits = $derived(screening.current?.factsOf(app.current.client, app.today.current)?.limits ?? []);
	const codes = $derived(licenceLimits(app.settings?.licence ?? []));
	let onlyHers = $state(false);
	const matching = $derived(find(filter));
	const found = $derived(onlyHers && limits.length ? matching.filter((t) => techniqueToday(t, limits).verdict === 'fine') : matching);
	const today = $derived(app.current.client && limits.length ? { name: app.current.client.name, limits, all: library.all } : null);
	const ownIds = $derived(new Set(app.own.techniques.map((t) => t.id)));
	const openId = $derived(page.url.searchParams.get('move'));
	const open = $derived(
		library.all.find((t) => t.id === openId) ?? found.find((t) => t.shape === 'stroke' && t.paths.length) ?? found[0] ?? null
	);
	const show = (id: string) => goto(moveAt(id), { replaceState: true, keepFocus: true, noScroll: true });
	const set = (change: Partial<TechniqueFilter>) => (filter = { ...filter, ...change });
	const any = <T extends string>(list: { value: T; label: string }[], label: string) => [{ value: 'any' as const, label }, ...list];

	const toasts = () => import('svelte-sonner');
	async function add(sequenceId: string, technique: Technique) {
		const added = await app.run(async () => {
			const { addTechniqueTo } = await import('$lib/state/addTechnique');
			return addTechniqueTo(app.repo, sequenceId, technique, ownIds.has(technique.id));
		});
		const title = sequences.find((s) => s.id === sequenceId)?.title ?? '';
		if (!added) return;
		const words = added.beside
			? `“${title}” was changed elsewhere meanwhile: “${technique.title}” is in a second version of it. Choose there.`
			: `“${technique.title}” is in “${title}”.`;
		(await toasts()).toast(words, {
			action: { label: 'Go there', onClick: () => void goto(composeAt(sequenceId, added.stepId)) }
		});
	}
	/** Depths as soundings, or names as a list: on a phone names come first. */
	let shape = $state<'chart' | 'list'>(matchMedia('(max-width: 760px)').matches ? 'list' : 'chart');
	const begin = () => editing.begin(blankTechnique(`own-${app.repo.stamp().newId()}`));
	function copy(technique: Technique) {
		editing.begin({ ...technique, id: `own-${app.repo.stamp().newId()}`, title: `${technique.title}, mine`.slice(0, 200) });
	}
	async function save(technique: Technique) {
		if (await editing.keep(technique)) await show(technique.id);
	}
	async function remove(technique: Technique) {
		const record = await app.run(() => app.repo.removeCustom('technique', technique.id));
		if (!record) return;
		(await toasts()).toast(`“${technique.title}” is removed. Sequences keep their copies.`, {
			duration: 15_000,
			action: { label: 'Put it back', onClick: () => void app.run(() => app.repo.putCustomBack('technique', record)) }
		});
	}
</script>

<!-- All of it at once: nothing is pushed down by what comes a moment later. Without a store it opens all the same. -->
{#if app.current.loaded || app.storeless}
	<div class="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[minmax(0,1fr)_400px]">
		<section class="flex min-h-0 min-w-0 flex-col lg:overflow-y-auto" aria-label="Moves">
			<h1 class="sr-only">Moves</h1>
			<div class="flex flex-wrap items-center gap-2 px-4 py-2">
				<input
					autocomplete="off"
					type="search"
					class="field w-56"
					aria-label="Find a move"
					placeholder="puffy eyes, jowls, zigzag"
					value={filter.words}
					oninput={(e) => set({ words: e.currentTarget.value })}
				/>
				<Select
					label="Area"
					value={filter.zone}
					options={any(
						ZONE_IDS.map((z) => ({ value: z, label: ZONES[z].label })),
						'any area'
					)}
					onchange={(zone) => set({ zone })}
				/>
				<Select
					label="Tool"
					value={filter.tool}
					options={any(
						[
							{ value: 'hands' as const, label: 'Hands only' },
							...Object.entries(TOOLS).map(([value, label]) => ({ value: value as keyof typeof TOOLS, label }))
						],
						'any tool'
					)}
					onchange={(tool) => set({ tool })}
				/>
				<Select
					label="Goal"
					value={filter.goal}
					options={any(
						GOAL_IDS.map((g) => ({ value: g, label: goalInfo(g).label })),
						'any goal'
					)}
					onchange={(wanted) => set({ goal: wanted })}
				/>
				{#if app.current.client}<Select
						label="For"
						value={onlyHers ? 'hers' : 'all'}
						options={[
							{ value: 'all', label: 'for anybody' },
							{ value: 'hers', label: `What ${app.current.client.name} may have` }
						]}
						onchange={(v) => (onlyHers = v === 'hers')}
					/>{/if}
				<Segmented
					label="How the moves are shown"
					value={shape}
					options={[
						{ value: 'chart', label: 'Soundings' },
						{ value: 'list', label: 'List' }
					]}
					onchange={(v) => (shape = v)}
				/>
				<button type="button" class="btn" onclick={begin}><Plus size={14} />New move</button>
				<span class="text-ink2 text-xs" role="status">
					{#if library.loaded}{found.length} of {library.all.length}{#if onlyHers && matching.length > found.length}, {matching.length -
								found.length} taken out for her{/if}{/if}
				</span>
			</div>
			<div class="flex flex-wrap gap-x-0.5 gap-y-0.5 px-3 pb-2" role="group" aria-label="Aim">
				{#each Object.keys(AIMS) as Aim[] as aim (aim)}
					<button
						type="button"
						class="flex min-h-6 items-center gap-1 rounded-md px-1 text-xs {filter.aim === aim
							? 'bg-wash font-semibold shadow-[inset_0_-2px_var(--ink)]'
							: 'text-ink2 hover:bg-wash/60'}"
						aria-pressed={filter.aim === aim}
						onclick={() => set({ aim: filter.aim === aim ? 'any' : aim })}><AimGlyph {aim} size={14} />{AIMS[aim].toLowerCase()}</button
					>
				{/each}
			</div>
			{#if found.length && shape === 'list'}
				<TechniqueList techniques={found} openId={open?.id ?? null} {ownIds} {limits} {codes} onopen={(t) => show(t.id)} />
			{:else if found.length}
				<TechniqueChart techniques={found} openId={open?.id ?? null} {ownIds} working={app.context.working} onopen={(t) => show(t.id)} />
			{:else if library.loaded}
				<p class="text-ink2 px-4 py-6 text-[13.5px]">
					No move has all of this. <button type="button" class="dotted" onclick={() => (filter = ANY_TECHNIQUE)}>Show all again</button>
				</p>
			{/if}
		</section>
		<aside class="border-hair min-h-0 overflow-y-auto px-4 pt-3 pb-6 lg:border-l" aria-label="The move">
			{#if editing.said}<p class="text-ink2 text-[12.5px]" role="status">{editing.said}</p>{/if}
			{#if open}<SecondVersions kind="technique" id={open.id} onsettled={editing.leave} />{/if}
			{#if editing.item}
				{#await import('$lib/ui/views/library/TechniqueForm.svelte') then { default: TechniqueForm }}<TechniqueForm
						technique={editing.item}
						onsave={save}
						oncancel={editing.leave}
					/>{/await}
			{:else if open}
				<TechniqueDetail technique={open} own={ownIds.has(open.id)} working={app.context.working} {sequences} {today} {codes}>
					{#snippet actions()}
						<Awaited of={rows.current} what="Your sequences"
							>{#snippet children(all)}<Menu
									class="btn btn-primary"
									align="start"
									disabled={!all.length}
									items={all.map((s) => ({ key: s.id, label: s.title, onselect: () => void add(s.id, open) }))}
									><Plus size={14} />Add to a sequence</Menu
								>{/snippet}</Awaited
						>
						<button type="button" class="btn" onclick={() => copy(open)}><Copy size={14} />Copy as mine</button>
						{#if ownIds.has(open.id)}
							<button type="button" class="btn" onclick={() => editing.change(open.id)}><Pencil size={14} />Change</button>
							<button type="button" class="btn" onclick={() => remove(open)}><Trash2 size={14} />Remove</button>
						{/if}
					{/snippet}
				</TechniqueDetail>
			{/if}
		</aside>
	</div>
{/if}
{#if editing.gone}{#await import('$lib/ui/parts/shell/GoneDialog.svelte') then { default: GoneDialog }}<GoneDialog
			{...editing.gone}
			onkeep={editing.keepAsNew}
			ondrop={editing.leave}
		/>{/await}{/if}
