<script lang="ts">
	import { Tabs } from 'bits-ui';
	import { onMount, tick } from 'svelte';
	import type { PlaceRef, Side } from '$lib/core/atlas/places';
	import type { Client, Look } from '$lib/core/measure/records.schema';
	import { filmLineOf } from '$lib/core/glide/film';
	import { graver } from '$lib/core/rules/rule';
	import type { Severity } from '$lib/core/school/school.schema';
	import { clock } from '$lib/core/sequence/describe';
	import { addPhase, newPhase, setHead } from '$lib/core/sequence/edits';
	import { insertMove } from '$lib/core/sequence/embed';
	import { spotFor } from '$lib/core/sequence/placement';
	import { makeStep } from '$lib/core/technique/makeStep';
	import type { Technique } from '$lib/core/technique/technique.schema';
	import { useApp } from '$lib/state/app.svelte';
	import { composeKeys } from '$lib/state/composeKeys';
	import { loadTechniques, useTechniques } from '$lib/state/techniques.svelte';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Keyboard from '@lucide/svelte/icons/keyboard';
	import Plus from '@lucide/svelte/icons/plus';
	import Select from '../controls/Select.svelte';
	import TipButton from '../controls/TipButton.svelte';
	import Segmented from '../controls/Segmented.svelte';
	import SideGlyph from '../glyphs/SideGlyph.svelte';
	import FindingsPanel from '../inspector/FindingsPanel.svelte';
	import StepInspector from '../inspector/StepInspector.svelte';
	import type { Pick } from '../map/mapTypes';
	import Score from '../score/Score.svelte';
	import StepList from '../steps/StepList.svelte';
	import ComposeMap from './ComposeMap.svelte';
	import EmptyHint from './EmptyHint.svelte';
	import ScoreLegend from './ScoreLegend.svelte';

	/** Panels that are not on the screen at first are fetched when they are asked for: the page is there sooner. */
	const addPanel = () => import('../inspector/AddPanel.svelte');
	const sequencePanel = () => import('../inspector/SequencePanel.svelte');
	const shortcutSheet = () => import('./ShortcutSheet.svelte');

	interface Props {
		draft: SequenceDraft;
		clients: readonly Client[];
		client: Client | null;
		look: Look | null;
		newId: () => string;
		onclient: (id: string) => void;
		onprint: () => void;
	}
	let { draft, clients, client, look, newId, onclient, onprint }: Props = $props();

	const app = useApp();
	const library = useTechniques('later');
	$effect(() => {
		if (adding) void loadTechniques();
	});
	let chosen = $state<PlaceRef[]>([]);
	let chosenSide = $state<Side>('left');
	let adding = $state(false);
	let tab = $state<'step' | 'findings' | 'sequence'>('step');
	let narrowTab = $state<'map' | 'steps' | 'inspector'>('map');
	let zoom = $state<'whole' | 'phase' | 'step'>('whole');
	let sheet = $state(false);

	const judgement = $derived(draft.judgement);
	const flags = $derived.by(() => {
		const map = new Map<string, Severity>();
		for (const f of judgement.findings) for (const id of f.stepIds.slice(0, 1)) map.set(id, graver(f.severity, map.get(id) ?? 'advice'));
		return map;
	});
	const phaseTitles = $derived(new Map(draft.sequence.phases.map((p) => [p.id, p.title])));
	const aims = $derived(new Set(draft.steps.map((s) => s.step.aim)));
	const over = $derived(judgement.timing.expectedSeconds > draft.sequence.budgetSeconds);
	const load = $derived(judgement.balance.overall);
	const film = $derived(filmLineOf(draft.sequence, judgement.events, draft.byId));

	function pick({ place, side }: Pick) {
		const again = chosen.length === 1 && chosen[0] === place;
		// A path is worked on one side; a place on the other side begins anew.
		chosen =
			again || (adding && !chosen.length)
				? again
					? []
					: [place]
				: chosen.length === 1 && side === chosenSide
					? [chosen[0]!, place]
					: [place];
		chosenSide = side;
		adding = chosen.length > 0;
		if (adding) narrowTab = 'inspector';
	}
	function stroke(from: Pick, to: Pick) {
		chosen = from.side === to.side ? [from.place, to.place] : [`${from.place}:${from.side}`, `${to.place}:${to.side}`];
		chosenSide = from.side;
		adding = true;
		narrowTab = 'inspector';
	}
	function letGo() {
		chosen = [];
		adding = false;
	}
	async function add(technique: Technique, way: readonly PlaceRef[]) {
		const step = makeStep(technique, { id: newId(), places: way, school: draft.sequence.school });
		const own = app.own.techniques.some((t) => t.id === technique.id) ? technique : null;
		const spot = spotFor(draft.sequence, step.aim, draft.selectedId);
		if (!draft.do(insertMove(draft.sequence, step, spot, own))) return;
		letGo();
		draft.select(step.id);
		tab = 'step';
		await tick();
		document.querySelector<HTMLElement>(`[data-row="${CSS.escape(step.id)}"] [data-step-button]`)?.focus();
	}
	onMount(() =>
		composeKeys({
			draft: () => draft,
			newId,
			toMap: () => {
				narrowTab = 'map';
				void tick().then(() => document.querySelector<SVGElement>('[data-place][tabindex="0"]')?.focus());
			},
			wholeFace: () => {
				chosen = [];
				adding = true;
			},
			findings: () => (tab = 'findings'),
			sheet: () => (sheet = true),
			print: onprint,
			letGo
		})
	);
	const show = (name: typeof narrowTab) => (narrowTab === name ? 'flex' : 'hidden');
</script>

<p class="sr-only" role="status">{draft.said}</p>
<div class="border-hair border-b p-2 lg:hidden">
	<Segmented
		label="Part of Compose"
		value={narrowTab}
		options={[
			{ value: 'map', label: 'Map' },
			{ value: 'steps', label: 'Steps' },
			{ value: 'inspector', label: 'Inspector' }
		]}
		onchange={(t) => (narrowTab = t)}
	/>
</div>
<div class="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[316px_minmax(0,1fr)_350px] 2xl:grid-cols-[420px_minmax(0,1fr)_400px]">
	<div class="{show('map')} min-h-0 flex-col lg:flex">
		<ComposeMap {draft} {look} {chosen} {chosenSide} onpick={pick} onstroke={stroke} />
	</div>
	<section class="{show('steps')} border-hair min-h-0 min-w-0 flex-col px-3 lg:flex lg:border-x" aria-label="Sequence">
		<div class="flex min-h-10 flex-wrap items-center gap-x-3 pt-1">
			<div class="min-w-0 flex-1">
				<h1 class="sr-only">{draft.sequence.title}</h1>
				<input
					class="flare hover:dotted w-full truncate rounded bg-transparent text-xl leading-[26px] font-[520]"
					aria-label="Title of the sequence"
					maxlength="200"
					value={draft.sequence.title}
					onchange={(e) => {
						const title = e.currentTarget.value.trim();
						if (title) draft.do(setHead(draft.sequence, { title }, `Call it ${title}`));
						else e.currentTarget.value = draft.sequence.title;
					}}
				/>
			</div>
			<Select
				label="Client"
				value={client?.id ?? 'nobody'}
				options={[{ value: 'nobody', label: 'No client' }, ...clients.map((c) => ({ value: c.id, label: c.name }))]}
				onchange={onclient}
				class="max-w-36"
			/>
			<button type="button" class="btn px-2" onclick={() => draft.do(addPhase(draft.sequence, newPhase(newId(), 'New phase')))}
				><Plus size={14} />Phase</button
			>
			<span class="text-ink2 whitespace-nowrap"
				><b class="text-[15px] font-semibold {over ? 'text-flag' : 'text-ink'}">{clock(judgement.timing.expectedSeconds)}</b>
				of {clock(draft.sequence.budgetSeconds)}</span
			>
		</div>
		{#if draft.refusal || draft.saving.trouble}<p class="text-flag py-1 text-xs" role="alert">
				{draft.refusal || draft.saving.trouble}
			</p>{/if}
		{#if draft.steps.length}<StepList {draft} {flags} />{:else}<EmptyHint school={draft.sequence.school} />{/if}
	</section>
	<aside class="{show('inspector')} min-h-0 flex-col overflow-y-auto px-4 pt-2 pb-3 lg:flex" aria-label="Inspector">
		{#if adding}
			{#await addPanel() then { default: AddPanel }}
				<AddPanel
					places={chosen}
					school={draft.sequence.school}
					carried={draft.sequence.techniques}
					{library}
					onadd={add}
					oncancel={letGo}
				/>
			{/await}
		{:else}
			<Tabs.Root bind:value={tab} class="flex min-h-0 flex-col">
				<Tabs.List class="border-hair mb-2 flex gap-4 border-b" aria-label="Inspector">
					{#each [{ value: 'step', label: 'Step' }, { value: 'findings', label: `Findings ${judgement.findings.length || ''}` }, { value: 'sequence', label: 'Sequence' }] as t (t.value)}
						<Tabs.Trigger
							value={t.value}
							class="text-ink2 data-[state=active]:text-ink data-[state=active]:border-ink -mb-px min-h-7 border-b-2 border-transparent data-[state=active]:font-semibold"
							>{t.label}</Tabs.Trigger
						>
					{/each}
				</Tabs.List>
				<Tabs.Content value="step">
					{#if tab !== 'step'}<!-- drawn when it is looked at -->{:else if draft.selected}<StepInspector
							{draft}
							placed={draft.selected}
							{newId}
						/>
					{:else}<p class="text-ink2 text-xs leading-4">Choose a step to see it whole, or a place on the map to add one.</p>{/if}
				</Tabs.Content>
				<Tabs.Content value="findings"
					>{#if tab === 'findings'}<FindingsPanel {draft} />{/if}</Tabs.Content
				>
				<Tabs.Content value="sequence"
					>{#if tab === 'sequence'}{#await sequencePanel() then { default: SequencePanel }}<SequencePanel
								{draft}
							/>{/await}{/if}</Tabs.Content
				>
			</Tabs.Root>
		{/if}
	</aside>
</div>
<section class="border-hair bg-sheet border-t" aria-label="Score">
	<div class="flex min-h-8 flex-wrap items-center gap-x-3 gap-y-1 px-4 pt-1">
		<h3 class="text-[13.5px] font-semibold">Score</h3>
		<Segmented
			label="Zoom of the score"
			value={zoom}
			options={[
				{ value: 'whole', label: 'Whole' },
				{ value: 'phase', label: 'Phase' },
				{ value: 'step', label: 'Step' }
			]}
			onchange={(z) => (zoom = z)}
		/>
		<span class="text-ink2 flex items-center gap-2 text-[11.5px]"
			><SideGlyph side="both" /><span
				>left <b class="text-ink">{clock(load.left.seconds)}</b>, right
				<b class="text-ink">{clock(load.right.seconds)}</b></span
			></span
		>
		<TipButton tip="Keys in Compose" onclick={() => (sheet = true)}><Keyboard size={16} /></TipButton>
		<ScoreLegend {aims} />
	</div>
	<Score
		events={judgement.events}
		byId={draft.byId}
		{phaseTitles}
		{flags}
		{film}
		dry={judgement.context.film.dry}
		selectedId={draft.selectedId}
		cursorSeconds={draft.cursorSeconds}
		{zoom}
		onselect={(id) => draft.select(id)}
		onscrub={(s) => draft.scrub(s)}
	/>
</section>
{#if sheet}{#await shortcutSheet() then { default: ShortcutSheet }}<ShortcutSheet bind:open={sheet} />{/await}{/if}
