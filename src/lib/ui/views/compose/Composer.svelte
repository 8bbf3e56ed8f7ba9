<script lang="ts">
	import { sameDay } from '../../parts/dates';
	import { Tabs } from 'bits-ui';
	import { onMount, tick, untrack } from 'svelte';
	import type { PlaceRef, Side } from '$lib/core/atlas/places';
	import type { Client } from '$lib/core/records/client';
	import type { Assessment } from '$lib/core/assess/assessment.schema';
	import { graver } from '$lib/core/rules/rule';
	import type { Severity } from '$lib/core/school/school.schema';
	import { insertTechnique } from '$lib/core/sequence/embed';
	import { carriedOver } from '$lib/core/sequence/manyEdits';
	import { spotFor } from '$lib/core/sequence/placement';
	import { makeStep } from '$lib/core/technique/makeStep';
	import type { Technique } from '$lib/core/technique/technique.schema';
	import { useApp } from '$lib/state/app.svelte';
	import { composeKeys, focusRow, isBusy } from '$lib/state/composeKeys';
	import { Player } from '$lib/state/player.svelte';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import type { TideState } from '$lib/state/tide.svelte';
	import { loadTechniques, useTechniques } from '$lib/state/techniques.svelte';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import type { Pick } from '../../parts/map/mapTypes';
	import StepList from './steps/StepList.svelte';
	import CommandBar from './CommandBar.svelte';
	import ComposeHead from './ComposeHead.svelte';
	import ComposeMap from './ComposeMap.svelte';
	import ComposeFacts from './ComposeFacts.svelte';
	import ScorePanel from './ScorePanel.svelte';

	/** Panels that are not on the screen at first are fetched when they are asked for: the page is there sooner. */
	const stepInspector = () => import('./inspector/StepInspector.svelte');
	const findingsPanel = () => import('./inspector/FindingsPanel.svelte');
	const emptyHint = () => import('./EmptyHint.svelte');
	const addPanel = () => import('./inspector/AddPanel.svelte');
	const manyPanel = () => import('./inspector/ManyPanel.svelte');
	const sequencePanel = () => import('./inspector/SequencePanel.svelte');
	const textPane = () => Promise.all([import('./text/TextPane.svelte'), loadTechniques()]);
	const shortcutSheet = () => import('./ShortcutSheet.svelte');
	const tour = () => import('./Tour.svelte');
	const tideSource = () => import('./TideSource.svelte');
	const clipboard = () => Promise.all([import('$lib/state/clipboard'), loadTechniques()]);

	interface Props {
		draft: SequenceDraft;
		clients: readonly Client[];
		client: Client | null;
		assessment: Assessment | null;
		newId: () => string;
		onclient: (id: string) => void;
		onprint: () => void;
	}
	let { draft, clients, client, assessment, newId, onclient, onprint }: Props = $props();

	const app = useApp();
	const library = useTechniques('later');
	$effect(() => {
		if (adding) void loadTechniques();
	});
	let chosen = $state<PlaceRef[]>([]);
	let chosenSide = $state<Side>('left');
	let adding = $state(false);
	type Tab = 'step' | 'findings' | 'sequence' | 'text';
	let tab = $state<Tab>('step');
	let narrowTab = $state<'map' | 'steps' | 'inspector'>('map');
	let typing = $state(false);
	let sheet = $state(false);
	let touring = $state(false);

	/** The modelled tide: fetched after the page is there, for it brings a worker. */
	let tide = $state.raw<TideState | null>(null);
	let settled = $state(false);
	const when = $derived(assessment && sameDay(assessment.takenAt, new Date()) ? 'today' : 'last time');

	const judgement = $derived(draft.judgement);
	const flags = $derived.by(() => {
		const map = new Map<string, Severity>();
		for (const f of judgement.findings) for (const id of f.stepIds.slice(0, 1)) map.set(id, graver(f.severity, map.get(id) ?? 'advice'));
		return map;
	});
	const player = untrack(
		() =>
			new Player(
				() => draft.cursorSeconds,
				(s) => draft.scrub(s),
				() => draft.judgement.timing.expectedSeconds
			)
	);
	const TABS = $derived([
		{ value: 'step', label: draft.chosen.many ? `${draft.chosen.ids.size} steps` : 'Step' },
		{ value: 'findings', label: `Findings ${judgement.findings.length || ''}` },
		{ value: 'sequence', label: 'Sequence' },
		{ value: 'text', label: 'Text' }
	]);
	/** The text stands beside the steps: it takes room from the map. */
	const columns = $derived(
		tab === 'text' && !adding
			? 'lg:grid-cols-[250px_minmax(0,1fr)_440px] 2xl:grid-cols-[380px_minmax(0,1fr)_620px]'
			: 'lg:grid-cols-[316px_minmax(0,1fr)_350px] 2xl:grid-cols-[420px_minmax(0,1fr)_400px]'
	);

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
		draft.chosen.clear();
	}
	async function add(technique: Technique, way: readonly PlaceRef[]) {
		const { school } = draft.sequence;
		const made = makeStep(technique, { id: newId(), places: way, school });
		// Pressure, count and side stay as they were last set for such a move.
		const last = draft.steps.findLast(({ step: s }) => s.aim === made.aim && s.contact === made.contact && s.motion === made.motion);
		const step = carriedOver(made, last?.step, school);
		const own = app.own.techniques.some((t) => t.id === technique.id) ? technique : null;
		const spot = spotFor(draft.sequence, step.aim, draft.selectedId);
		if (!draft.do(insertTechnique(draft.sequence, step, spot, own))) return;
		letGo();
		draft.select(step.id);
		if (tab !== 'text') tab = 'step';
		await tick();
		focusRow(step.id);
	}
	function toMap() {
		narrowTab = 'map';
		void tick().then(() => document.querySelector<SVGElement>('[data-place][tabindex="0"]')?.focus());
	}
	async function copy(e: ClipboardEvent, cut: boolean) {
		if (isBusy(e) || !draft.chosen.ids.size || getSelection()?.toString()) return;
		e.preventDefault();
		const ids = draft.chosen.ids;
		const [{ copiedText, removed }] = await clipboard();
		try {
			await navigator.clipboard.writeText(copiedText(draft.sequence, ids));
			draft.said = `${ids.size} ${ids.size === 1 ? 'step' : 'steps'} copied as text.`;
			if (cut) draft.do(removed(draft.sequence, ids));
		} catch {
			draft.refusal = 'The browser does not let this page write to the clipboard. Open Text and copy from there.';
		}
	}
	async function paste(e: ClipboardEvent) {
		if (isBusy(e)) return;
		const text = e.clipboardData?.getData('text/plain') ?? '';
		e.preventDefault();
		const [{ pasteText }] = await clipboard();
		pasteText(draft, text, library.all, newId);
	}
	onMount(() => {
		const keys = composeKeys({
			draft: () => draft,
			newId,
			toMap,
			wholeFace: () => {
				chosen = [];
				adding = true;
			},
			findings: () => (tab = 'findings'),
			text: () => (tab = tab === 'text' ? 'step' : 'text'),
			command: () => (typing = true),
			play: () => player.toggle(),
			sheet: () => (sheet = true),
			print: onprint,
			letGo
		});
		const soon = setTimeout(() => (settled = true), 300);
		return () => {
			clearTimeout(soon);
			keys();
			player.stop();
		};
	});
	const show = (name: typeof narrowTab) => (narrowTab === name ? 'flex' : 'hidden');
</script>

<svelte:document oncopy={(e) => copy(e, false)} oncut={(e) => copy(e, true)} onpaste={paste} />

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
<div class="grid min-h-0 flex-1 grid-cols-1 {columns}">
	<div class="{show('map')} min-h-0 flex-col lg:flex">
		<ComposeMap {draft} {assessment} {tide} {when} {chosen} {chosenSide} playing={player.running} onpick={pick} onstroke={stroke} />
	</div>
	<section class="{show('steps')} border-hair min-h-0 min-w-0 flex-col px-3 lg:flex lg:border-x" aria-label="Sequence" data-tour="steps">
		<ComposeHead {draft} {clients} {client} {newId} {onclient} />
		{#if draft.refusal || draft.saving.trouble}<p class="text-flag py-1 text-xs" role="alert">
				{draft.refusal || draft.saving.trouble}
			</p>{/if}
		{#if draft.steps.length}<StepList {draft} {flags} />{:else}{#await emptyHint() then { default: EmptyHint }}<EmptyHint
					school={draft.sequence.school}
					ondraw={toMap}
					ontype={() => (typing = true)}
					ontour={() => (touring = true)}
				/>{/await}{/if}
		<CommandBar {draft} {library} {newId} bind:open={typing} />
	</section>
	<aside class="{show('inspector')} min-h-0 flex-col overflow-y-auto px-4 pt-2 pb-3 lg:flex" aria-label="Inspector" data-tour="inspector">
		{#if adding}
			{#await addPanel() then { default: AddPanel }}
				<AddPanel
					places={chosen}
					school={draft.sequence.school}
					carried={draft.sequence.techniques}
					used={draft.steps}
					{library}
					onadd={add}
					oncancel={letGo}
				/>
			{/await}
		{:else}
			<Tabs.Root bind:value={tab} class="flex min-h-0 flex-1 flex-col">
				<Tabs.List class="border-hair mb-2 flex gap-4 border-b" aria-label="Inspector">
					{#each TABS as t (t.value)}
						<Tabs.Trigger
							value={t.value}
							class="text-ink2 data-[state=active]:text-ink data-[state=active]:border-ink -mb-px min-h-7 border-b-2 border-transparent data-[state=active]:font-semibold"
							>{t.label}</Tabs.Trigger
						>
					{/each}
				</Tabs.List>
				<Tabs.Content value="step">
					{#if tab !== 'step'}<!-- drawn when it is looked at -->{:else if draft.chosen.many}
						{#await manyPanel() then { default: ManyPanel }}<ManyPanel {draft} {newId} />{/await}
					{:else if draft.inspected}
						{#await stepInspector() then { default: StepInspector }}{#if draft.inspected}<StepInspector
									{draft}
									placed={draft.inspected}
									{tide}
									{newId}
								/>{/if}{/await}
					{:else}<ComposeFacts {draft} onfindings={() => (tab = 'findings')} />{/if}
				</Tabs.Content>
				<Tabs.Content value="findings"
					>{#if tab === 'findings'}{#await findingsPanel() then { default: FindingsPanel }}<FindingsPanel
								{draft}
								{tide}
							/>{/await}{/if}</Tabs.Content
				>
				<Tabs.Content value="sequence"
					>{#if tab === 'sequence'}{#await sequencePanel() then { default: SequencePanel }}<SequencePanel
								{draft}
							/>{/await}{/if}</Tabs.Content
				>
				<Tabs.Content value="text" class="flex min-h-0 flex-1 flex-col"
					>{#if tab === 'text'}{#await textPane() then [{ default: TextPane }]}<TextPane
								{draft}
								{library}
								{newId}
							/>{/await}{/if}</Tabs.Content
				>
			</Tabs.Root>
		{/if}
	</aside>
</div>
{#if settled}{#await tideSource() then { default: TideSource }}{#key draft}<TideSource
				{draft}
				{assessment}
				onready={(t) => (tide = t)}
			/>{/key}{/await}{/if}
<ScorePanel {draft} {flags} {player} {tide} {when} onsheet={() => (sheet = true)} />
{#if sheet}{#await shortcutSheet() then { default: ShortcutSheet }}<ShortcutSheet
			bind:open={sheet}
			ontour={() => {
				sheet = false;
				touring = true;
			}}
		/>{/await}{/if}
{#if touring}{#await tour() then { default: Tour }}<Tour onend={() => (touring = false)} />{/await}{/if}
