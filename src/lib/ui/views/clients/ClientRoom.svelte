<script lang="ts">
	import { AlertDialog } from 'bits-ui';
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { saidDay } from '$lib/core/client/saidDay';
	import { zoneIn, type SidedZone } from '$lib/core/client/sidedZone';
	import type { Client } from '$lib/core/records/client';
	import type { SequenceRecord } from '$lib/core/records/sequenceRecord';
	import type { Session } from '$lib/core/records/session';
	import { allowedLines } from '$lib/core/screening/allowed';
	import { contradictionsOf } from '$lib/core/screening/contradictions';
	import { flagById } from '$lib/core/screening/flags';
	import { isCleared } from '$lib/core/screening/limits';
	import { stepsOf } from '$lib/core/sequence/walk';
	import { planOfToday } from '$lib/core/visit/planOfToday';
	import { sequenceFor } from '$lib/core/visit/sequenceFor';
	import { NO_WISHES } from '$lib/core/visit/wishes';
	import { useApp } from '$lib/state/app.svelte';
	import { ClientEdits } from '$lib/state/clientEdits.svelte';
	import { Intake } from '$lib/state/intake.svelte';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import { dayOfYear, onWall } from '../../parts/dates';
	import { sessionFor } from '../../parts/shell/addresses';
	import GoneDialog from '../../parts/shell/GoneDialog.svelte';
	import Question from '../../parts/shell/Question.svelte';
	import SecondVersions from '../../parts/shell/SecondVersions.svelte';
	import AboutHer from './AboutHer.svelte';
	import AllowedList from './AllowedList.svelte';
	import ClearanceForm from './ClearanceForm.svelte';
	import ClientHead from './ClientHead.svelte';
	import ClientMap from './ClientMap.svelte';
	import DoctorNote from './DoctorNote.svelte';
	import FollowUps from './FollowUps.svelte';
	import HerPlan from './HerPlan.svelte';
	import HistoryLine from './HistoryLine.svelte';
	import MarksForm from './MarksForm.svelte';
	import QuestionColumn from './QuestionColumn.svelte';
	import RecordForm from './RecordForm.svelte';

	interface Props {
		client: Client;
		/** All of this client, the earliest first. */
		sessions: readonly Session[];
		/** All sequences, those changed last first. */
		records: readonly SequenceRecord[];
	}
	let { client, sessions, records }: Props = $props();
	const app = useApp();
	/** This very client, whatever becomes of the page. */
	const id = untrack(() => client.id);
	const today = $derived(app.today.current);
	const chosen = $derived(sequenceFor({ clientId: id, records, sessions }));
	const plan = $derived(planOfToday({ client, today, sequence: chosen?.sequence ?? null, wishes: NO_WISHES, given: app.context }));
	$effect(() => {
		app.shown = client;
		return () => (app.shown = null);
	});

	let column = $state<'ask' | 'record' | 'marks'>('ask');
	let redFlags = $state(false);
	let note = $state(false);
	let removing = $state(false);
	let markPlaces = $state.raw<readonly SidedZone[]>([]);
	const edits = new ClientEdits(app);
	const intake = untrack(
		() =>
			new Intake({
				client: () => client,
				today: () => today,
				now: () => app.repo.stamp().now,
				steps: () => (chosen ? stepsOf(chosen.sequence).map((s) => s.step) : []),
				keep: (change) => edits.change(id, (stored) => ({ answers: change(stored.answers) }))
			})
	);
	$effect(() => intake.settle);
	/** Forms that were opened stay: what stands in them is there when one comes back. */
	let opened = $state.raw<ReadonlySet<string>>(new Set());
	$effect(() => {
		if (!opened.has(column)) opened = new Set([...opened, column]);
	});

	const limits = $derived(plan.facts?.limits ?? []);
	const lines = $derived(allowedLines(limits, today));
	const refused = $derived(plan.refusals.length > 0);
	const cleared = $derived(
		client.clearances
			.filter((c) => isCleared(c, today))
			.map((c) => ({
				name: flagById(c.flag)?.name ?? c.flag,
				words: `cleared by ${c.by}${c.until ? ` until ${saidDay(c.until)}` : ''}${c.what ? `: ${c.what}` : '.'}`
			}))
	);
	const contradictions = $derived(contradictionsOf(client, [...app.own.media]));
	const since = $derived.by(() => {
		const list = sessions;
		const first = list[0];
		if (!first) return '';
		return `${list.length} ${list.length === 1 ? 'session' : 'sessions'} since ${dayOfYear(onWall(first.startedAt, first))}`;
	});
	const toggle = (place: SidedZone) =>
		(markPlaces = markPlaces.includes(place)
			? markPlaces.filter((p) => p !== place)
			: [...markPlaces.filter((p) => zoneIn(p) === zoneIn(place)), place]);
	function pick(place: SidedZone) {
		if (column === 'marks') toggle(place);
		else if (intake.says && intake.says !== 'no') intake.togglePlace(place);
	}
	async function begin() {
		await app.current.choose(id);
		await goto(sessionFor(id));
	}
	async function exportHer() {
		const [{ backupOf }, { clientFileName }, { saveFile }] = await Promise.all([
			import('$lib/formats/backup/writeBackup'),
			import('$lib/formats/download'),
			import('$lib/ui/parts/controls/saveFile')
		]);
		await app.run(async () => {
			const bytes = await backupOf(app.repo.stamp().now, await app.repo.rowsOfClient(id));
			saveFile(clientFileName(id, 'records', app.repo.stamp().now, 'zip'), new Blob([bytes as BlobPart]), 'application/zip');
		}, 'export');
	}
	async function remove() {
		removing = false;
		if (app.current.id === id) await app.current.choose(null);
		await app.run(() => app.repo.removeClient(id));
		await goto('/clients');
	}
</script>

<div class="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[minmax(0,1fr)_430px]">
	<section class="min-h-0 overflow-y-auto px-4 pb-6" aria-label={client.name}>
		<ClientHead
			{client}
			{since}
			{refused}
			onbegin={begin}
			onarchive={() => edits.change(id, { archived: !client.archived })}
			onexport={exportHer}
			onremove={() => (removing = true)}
			onnote={() => (note = true)}
		/>
		<SecondVersions kind="client" {id} />
		{#if client.cautions}<p class="border-flag mb-2 border-l-2 pl-2 text-[12.5px] leading-[18px]">
				<b class="text-flag font-semibold">Client alert:</b>
				{client.cautions}
			</p>{/if}
		{#if client.note}<p class="text-ink2 mb-2 text-[12.5px] leading-[18px]">{client.note}</p>{/if}
		<div class="grid grid-cols-1 gap-x-5 gap-y-4 xl:grid-cols-[370px_minmax(0,1fr)]">
			<div>
				<ClientMap
					{limits}
					{lines}
					marks={client.marks}
					ghost={column === 'ask' ? intake.ghost : []}
					chosen={column === 'marks' ? markPlaces : intake.places}
					asks={(column === 'ask' && intake.asksPlace) || column === 'marks'}
					onpick={pick}
				/>
			</div>
			<div>
				<h2 class="pb-1 text-[15px] font-semibold">
					What today allows
					<span class="text-ink2 text-[12.5px] font-normal">{lines.length} {lines.length === 1 ? 'holds' : 'hold'}</span>
				</h2>
				{#if refused}
					<div class="border-flag bg-sheet mb-2 rounded-lg border-2 p-3 text-[13.5px] leading-5" role="alert">
						<b class="text-flag text-[15px] font-semibold">No massage today. Refer.</b>
						{#each plan.refusals as r (r.id)}<p><b class="font-semibold">{r.name}.</b> {r.reason}</p>{/each}
						<button type="button" class="btn mt-2" onclick={() => (note = true)}>Note for her doctor</button>
					</div>
				{/if}
				{#each contradictions as c (c.key)}
					<div class="border-hair bg-sheet mb-2 flex flex-wrap items-center gap-2 rounded-lg border p-2 text-[12.5px] leading-[18px]">
						<p class="min-w-0 flex-1"><b class="font-semibold">{c.one}</b> and <b class="font-semibold">{c.other}</b>. {c.ask}</p>
						<button
							type="button"
							class="btn"
							onclick={() => {
								column = 'ask';
								intake.switchTo('intake');
								intake.goTo(c.flag);
							}}>Ask again</button
						>
					</div>
				{/each}
				<AllowedList {lines} {cleared} asked={client.answers.length > 0} />
				<HerPlan clientId={id} {chosen} {plan} onlook={() => app.current.choose(id)} />
			</div>
		</div>
		<AboutHer {client} media={app.own.media} />
		<HistoryLine {sessions} clientId={id} />
	</section>
	<section class="border-hair bg-sheet flex min-h-0 flex-col overflow-y-auto px-5 pt-3 pb-5 lg:border-l" aria-label="Questions and record">
		<Segmented
			label="Column"
			value={column}
			options={[
				{ value: 'ask', label: 'Ask' },
				{ value: 'record', label: 'Record' },
				{ value: 'marks', label: 'Marks and clearances' }
			]}
			onchange={(c) => (column = c)}
		/>
		<div class="mt-3 flex min-h-0 flex-1 flex-col">
			{#if column === 'ask'}
				<FollowUps
					{sessions}
					followUps={client.followUps}
					{today}
					onanswer={(followUp) => edits.change(id, (stored) => ({ followUps: [...stored.followUps, followUp] }))}
					now={() => app.repo.stamp().now}
				/>
				<QuestionColumn {intake} {today} onredflags={() => (redFlags = true)} />
			{/if}
			{#if opened.has('record')}<div class={column === 'record' ? '' : 'hidden'}>
					<RecordForm
						{client}
						media={app.own.media}
						{today}
						newId={() => app.repo.stamp().newId()}
						onchange={(of, change, seen) => void edits.change(of, change, seen)}
						said={edits.said}
					/>
				</div>{/if}
			{#if opened.has('marks')}<div class={column === 'marks' ? '' : 'hidden'}>
					<MarksForm
						{client}
						{today}
						newId={() => app.repo.stamp().newId()}
						places={markPlaces}
						ontoggle={toggle}
						onchange={(change) => void edits.change(id, change)}
					/>
					<ClearanceForm {client} {today} newId={() => app.repo.stamp().newId()} onchange={(change) => void edits.change(id, change)} />
				</div>{/if}
		</div>
	</section>
</div>
{#if note}<DoctorNote bind:open={note} {client} {today} />{/if}
{#if redFlags}{#await import('$lib/ui/parts/shell/RedFlags.svelte') then { default: RedFlags }}<RedFlags
			bind:open={redFlags}
		/>{/await}{/if}
{#if edits.gone}<GoneDialog {...edits.gone} onkeep={edits.keepAsNew} ondrop={edits.drop} />{/if}
<Question
	bind:open={removing}
	title="Remove {client.name} and all sessions of this client?"
	words="The record, answers, marks, sessions and their kept versions go. This cannot be taken back: export this client alone as a file first if you may need the records."
>
	{#snippet answers()}
		<AlertDialog.Cancel class="btn">Keep</AlertDialog.Cancel>
		<AlertDialog.Action class="btn btn-primary" onclick={remove}>Remove for good</AlertDialog.Action>
	{/snippet}
</Question>
