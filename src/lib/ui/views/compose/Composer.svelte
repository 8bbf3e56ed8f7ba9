<script lang="ts">
	import { inTurns } from '$lib/state/inTurns.svelte';
	import { sameDay } from '../../parts/dates';
	import { onMount, tick, untrack } from 'svelte';
	import { wideWindow } from '../../parts/shell/wideWindow';
	import type { PlaceRef, Side } from '$lib/core/atlas/places';
	import type { Client } from '$lib/core/records/client';
	import type { Assessment } from '$lib/core/assess/assessment.schema';
	import { gravestByStep } from '$lib/core/rules/findingSpots';
	import { insertTechnique } from '$lib/core/sequence/embed';
	import { carriedOver } from '$lib/core/sequence/manyEdits';
	import { spotFor } from '$lib/core/sequence/placement';
	import { makeStep } from '$lib/core/technique/makeStep';
	import type { Technique } from '$lib/core/technique/technique.schema';
	import { useApp } from '$lib/state/app.svelte';
	import { copySteps, pasteSteps } from '$lib/state/clipboardEvents';
	import { composeKeys, focusRow } from '$lib/state/composeKeys';
	import { Room } from '$lib/state/room.svelte';
	import { Player } from '$lib/state/player.svelte';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import type { TideState } from '$lib/state/tide.svelte';
	import { loadTechniques, useTechniques } from '$lib/state/techniques.svelte';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import type { Pick } from '../../parts/map/mapTypes';
	import StepList from './steps/StepList.svelte';
	import CommandBar from './CommandBar.svelte';
	import ChangedNote from './ChangedNote.svelte';
	import ComposeHead from './ComposeHead.svelte';
	import ComposeMap from './ComposeMap.svelte';
	import InspectorTabs, { type InspectorTab } from './inspector/InspectorTabs.svelte';
	import RoomPanes from './RoomPanes.svelte';
	import ScorePanel from './ScorePanel.svelte';

	/** Panels that are not on the screen at first are fetched when they are asked for: the page is there sooner. */
	const emptyHint = () => import('./EmptyHint.svelte');
	const addPanel = () => import('./inspector/AddPanel.svelte');
	const shortcutSheet = () => import('./ShortcutSheet.svelte');
	const tour = () => import('./Tour.svelte');
	const tideSource = () => import('./TideSource.svelte');

	interface Props {
		draft: SequenceDraft;
		clients: readonly Client[];
		client: Client | null;
		assessment: Assessment | null;
		newId: () => string;
		onclient: (id: string) => void;
		onprint: () => void;
		/** The tour begins at once. */
		tour?: boolean;
		/** To a sequence that has what the tour speaks of. */
		onaround: () => void;
	}
	let { draft, clients, client, assessment, newId, onclient, onprint, tour: tourWished = false, onaround }: Props = $props();

	const app = useApp();
	const library = useTechniques('later');
	$effect(() => {
		if (adding) void loadTechniques();
	});
	let chosen = $state<PlaceRef[]>([]);
	let chosenSide = $state<Side>('left');
	let adding = $state(false);
	/** The place was chosen by keys: the offers take the focus. */
	let pickedByKeys = $state(false);
	let tab = $state<InspectorTab>('step');
	let narrowTab = $state<'map' | 'steps' | 'inspector'>('map');
	let typing = $state(false);
	let sheet = $state(false);
	let touring = $state(untrack(() => tourWished));
	const room = new Room();
	/** Side by side from here on; below, one part at a time over the score as a strip. */
	const wide = wideWindow();
	let narrowUnfolded = $state(false);

	/** The modelled tide: fetched after the page is there, for it brings a worker. */
	let tide = $state.raw<TideState | null>(null);
	let settled = $state(false);
	const when = $derived(assessment && sameDay(assessment.takenAt, new Date()) ? 'today' : 'last time');

	const judgement = $derived(draft.judgement);
	const flags = $derived(gravestByStep(judgement.findings));
	const player = untrack(
		() =>
			new Player(
				() => draft.cursorSeconds,
				(s) => draft.scrub(s),
				() => draft.judgement.timing.expectedSeconds
			)
	);
	function pick({ place, side }: Pick, by: { keys: boolean; shift: boolean }) {
		pickedByKeys = by.keys && !by.shift;
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
		pickedByKeys = false;
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
	/** A step of a move: pressure, count and side stay as they were last set for such a move. */
	function made(technique: Technique, way: readonly PlaceRef[], id = 'offer') {
		const { school } = draft.sequence;
		const plain = makeStep(technique, { id, places: way, school });
		const last = draft.steps.findLast(({ step: s }) => s.aim === plain.aim && s.contact === plain.contact && s.motion === plain.motion);
		return carriedOver(plain, last?.step, school);
	}
	async function add(technique: Technique, way: readonly PlaceRef[]) {
		const step = made(technique, way, newId());
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
	onMount(() => {
		// The tour speaks of a chosen step.
		if (touring && !draft.selectedId)
			draft.select(draft.steps.find(({ step }) => step.aim === 'drain' && step.places.length > 1)?.step.id ?? null);
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
			room: (preset) => room.take(preset),
			fold: () => (wide.current ? room.fold() : (narrowUnfolded = !narrowUnfolded)),
			letGo
		});
		const soon = setTimeout(() => (settled = true), 300);
		return () => {
			clearTimeout(soon);
			keys();
			player.stop();
		};
	});
	/** Steps and inspector first: map and score have their room, and are drawn into it a frame later each. */
	const parts = inTurns(() => 2, 0, 1);
</script>

<svelte:document
	oncopy={(e) => copySteps(e, draft, false)}
	oncut={(e) => copySteps(e, draft, true)}
	onpaste={(e) => pasteSteps(e, draft, library, newId)}
/>

<p class="sr-only" role="status">{draft.said}</p>
{#snippet map()}
	{#if parts.current || !wide.current}<ComposeMap
			{draft}
			{assessment}
			{tide}
			marks={client?.marks ?? []}
			{when}
			whose={client?.name ?? ''}
			{chosen}
			{chosenSide}
			playing={player.running}
			onpick={pick}
			onstroke={stroke}
		/>{/if}
{/snippet}
{#snippet steps()}
	<section class="flex min-h-0 min-w-0 flex-1 flex-col px-3" aria-label="Sequence" data-tour="steps">
		<ComposeHead {draft} {clients} {client} {newId} {onclient} />
		{#if draft.refusal || draft.saving.trouble}<p class="text-flag py-1 text-xs" role="alert">
				{draft.refusal || draft.saving.trouble}
			</p>{/if}
		{#if client?.cautions}<p class="border-flag my-1 border-l-2 pl-2 text-xs leading-4">
				<b class="text-flag">Client alert:</b>
				{client.cautions}
			</p>{/if}
		<ChangedNote {draft} />
		{#if draft.steps.length}<StepList
				{draft}
				{flags}
				worth={tide?.layer ? tide.allWorth : null}
			/>{:else}{#await emptyHint() then { default: EmptyHint }}<EmptyHint
					school={draft.sequence.school}
					ondraw={toMap}
					ontype={() => (typing = true)}
					ontour={onaround}
				/>{/await}{/if}
		<CommandBar {draft} {library} {newId} bind:open={typing} />
	</section>
{/snippet}
{#snippet inspector()}
	<aside class="flex min-h-0 flex-1 flex-col px-4 pt-2" aria-label="Inspector" data-tour="inspector">
		{#if adding}
			{#await addPanel() then { default: AddPanel }}
				<AddPanel
					places={chosen}
					school={draft.sequence.school}
					carried={draft.sequence.techniques}
					used={draft.steps}
					{library}
					onadd={add}
					madeOf={made}
					byKeys={pickedByKeys}
					oncancel={letGo}
				/>
			{/await}
		{:else}
			<InspectorTabs {draft} {tide} {library} {newId} bind:tab />
		{/if}
	</aside>
{/snippet}
{#snippet score(height: number)}
	{#if parts.current > 1}<ScorePanel {draft} {flags} {player} {tide} {when} {height} {room} onsheet={() => (sheet = true)} />{/if}
{/snippet}

{#if wide.current}
	<RoomPanes {room} withText={tab === 'text' && !adding} {map} {steps} {inspector} {score} />
{:else}
	{#if narrowTab !== 'steps'}<h1 class="sr-only">{draft.sequence.title}</h1>{/if}
	<div class="border-hair flex items-center gap-2 border-b px-2 py-1">
		<Segmented
			label="Part of Compose"
			value={narrowTab}
			options={[
				{ value: 'map', label: 'Map' },
				{ value: 'steps', label: 'Steps' },
				{ value: 'inspector', label: adding ? 'Moves' : 'Step' }
			]}
			onchange={(t) => (narrowTab = t)}
		/>
	</div>
	<div class="flex min-h-0 flex-1 flex-col">
		{@render (narrowTab === 'map' ? map : narrowTab === 'steps' ? steps : inspector)()}
	</div>
	<div class={narrowUnfolded ? 'max-h-[60%] flex-none overflow-y-auto' : 'flex-none'}>
		<ScorePanel
			{draft}
			{flags}
			{player}
			{tide}
			{when}
			height={narrowUnfolded ? 420 : 0}
			{room}
			onfold={() => (narrowUnfolded = !narrowUnfolded)}
			onsheet={() => (sheet = true)}
		/>
	</div>
{/if}
{#if settled}{#await tideSource() then { default: TideSource }}{#key draft}<TideSource
				{draft}
				{assessment}
				onready={(t) => (tide = t)}
			/>{/key}{/await}{/if}
{#if sheet}{#await shortcutSheet() then { default: ShortcutSheet }}<ShortcutSheet
			bind:open={sheet}
			ontour={() => {
				sheet = false;
				if (draft.steps.length) touring = true;
				else onaround();
			}}
		/>{/await}{/if}
{#if touring}{#await tour() then { default: Tour }}<Tour onend={() => (touring = false)} />{/await}{/if}
