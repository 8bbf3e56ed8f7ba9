<script lang="ts">
	import { clientAt, composeAt, sessionAt, sessionFor } from '../../parts/shell/addresses';
	import { goto } from '$app/navigation';
	import { countOf, withChoice } from '$lib/core/assess/assessment';
	import { ENTERED_MEASURED_IDS, GRADE_IDS, inSection, isChoice, observation } from '$lib/core/assess/registry';
	import { placesLookedAt } from '$lib/core/perform/lookedAt';
	import { usualOf } from '$lib/core/assess/doubts';
	import type { Client } from '$lib/core/records/client';
	import type { SequenceRecord } from '$lib/core/records/sequenceRecord';
	import type { Session } from '$lib/core/records/session';
	import { sameDay } from '../../parts/dates';
	import { MAX_TEXT } from '$lib/core/step/sizes';
	import { clock } from '$lib/core/step/describe';
	import { asTaken } from '$lib/core/sequence/chosen';
	import { stepsOf } from '$lib/core/sequence/walk';
	import { lookedOn } from '$lib/core/visit/lookedOn';
	import type { How } from '$lib/core/visit/beginSession';
	import type { Learnt } from '$lib/core/visit/learnt';
	import { BECAUSE_SAID, sequenceFor } from '$lib/core/visit/sequenceFor';
	import { CAUTION_LINE } from '$lib/formats/caution';
	import { Fetched } from '$lib/state/fetched.svelte';
	import { useApp } from '$lib/state/app.svelte';
	import ClientForm from '../../parts/shell/ClientForm.svelte';
	import SessionLine from './SessionLine.svelte';
	import MeasureTable from './MeasureTable.svelte';
	import TodayAsks from './TodayAsks.svelte';
	import GradeBoard from './GradeBoard.svelte';
	import LearntList from './LearntList.svelte';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import Select from '../../parts/controls/Select.svelte';

	interface Props {
		/** Of whom; null: nobody is chosen yet. */
		client: Client | null;
		/** All of this client, the earliest first. */
		sessions: readonly Session[];
		/** All sequences, those changed last first. */
		records: readonly SequenceRecord[];
		/** A stage of this client that is not over. */
		going: Session | null;
		/** Of this client: the last visit with a sequence, and what was done in it. */
		learnt: readonly Learnt[];
		/** Id of a sequence that is asked for. */
		asked: string | null;
	}
	let { client, sessions, records, going, learnt, asked }: Props = $props();
	const app = useApp();
	const isToday = (iso: string) => sameDay(iso, new Date());
	const looked = $derived(lookedOn(sessions, isToday));
	const draft = $derived(app.before.of(client?.id ?? null, looked));
	const ghost = $derived((looked ? sessions.at(-2) : sessions.at(-1))?.before ?? null);
	const chosen = $derived(sequenceFor({ clientId: client?.id ?? null, records, sessions, wished: draft.wished ?? asked }));
	const planned = $derived(chosen?.sequence ?? null);
	const sequenceId = $derived(planned?.id ?? null);
	const wishes = $derived(draft.wishesOf(sequenceId));
	const today = $derived(app.today.current);
	/** Nothing is begun before it is known what today allows. */
	const planning = new Fetched(() => import('./planning')).oncePainted(() => true);
	const parts = $derived(planning.current);
	/** What the plan hangs on: not the reason, which is typed letter by letter. */
	const met = $derived(wishes.met);
	const takenToday = $derived(wishes.taken);
	const fit = $derived(wishes.fit);
	const plan = $derived(
		parts?.planOfToday({
			client,
			today,
			sequence: planned,
			wishes: { met, taken: takenToday, fit, reason: '' },
			given: app.context
		}) ?? null
	);
	const limits = $derived(plan?.facts?.limits ?? []);
	const sequence = $derived(plan?.asked ?? planned);
	let redFlags = $state(false);
	/** What is asked of the day with one answer each. */
	const ASKED = inSection('context').filter((id) => {
		const row = observation(id);
		return isChoice(row) && !row.many;
	});
	const places = $derived(placesLookedAt(sequence));
	/** Another client: what is entered here stays with this one. */
	async function choose(id: string) {
		// A slow store does not keep this client on the screen.
		void app.current.choose(id);
		await goto(sessionFor(id, draft.wished ?? asked ?? undefined), { replaceState: true, noScroll: true, keepFocus: true });
	}
	/** Keeps the look; with a sequence the stage follows, without one the composing. */
	async function start(how: How) {
		if (!client || !plan || !parts) return;
		const { now, newId } = app.repo.stamp();
		const { assessment: before, context, told } = draft;
		const zoneOffsetMinutes = -new Date().getTimezoneOffset();
		const given = { how, client, today, plan, reason: wishes.reason, before, context, told, lookedToday: looked, newId, now };
		const begun = parts.sessionToBegin({ ...given, zoneOffsetMinutes, given: app.context });
		if (!begun) return;
		const { session, performed } = begun;
		const saved = await app.run(() =>
			performed
				? app.repo[how === 'stage' ? 'startSession' : 'writeSession'](session, performed)
				: app.repo.saveSession({ ...session, sequence: null })
		);
		if (!saved) return;
		app.before.done(client.id);
		switch (saved.outcome) {
			case 'saved':
				return goto(performed ? sessionAt(session.id) : '/compose');
			case 'second-version':
				// The look of today was changed elsewhere meanwhile: which of the two goes on is asked there.
				return goto(sessionAt(session.id));
			default:
				saved satisfies never;
		}
	}
	const felt = $derived(countOf(draft.assessment, GRADE_IDS));
	const taken = $derived(countOf(draft.assessment, ENTERED_MEASURED_IDS));
	const startable = $derived(plan !== null && parts!.hindranceBy(plan, wishes.reason) === null);
</script>

<div class="border-hair flex flex-wrap items-center gap-x-6 border-b px-3 text-[15px]">
	<SessionLine
		at="before"
		to={client ? { screening: clientAt(client.id), ...(going ? { perform: sessionAt(going.id) } : {}) } : {}}
		why={{ perform: 'Start leads there', after: 'it follows the massage' }}
	/>
	<a class="text-ink2 dotted text-[13.5px]" href="/session/guide">Guided, in a minute</a>
	{#if going}<p class="text-ink2">
			A session with her was interrupted. <a class="dotted" href={sessionAt(going.id)}>Go on with {going.sequence?.title}</a>
		</p>{/if}
</div>
<div class="grid min-h-0 flex-1 grid-cols-1 gap-x-6 px-5 pt-3 lg:grid-cols-[minmax(0,1fr)_390px] lg:overflow-hidden">
	<div class="min-h-0 lg:-mx-1 lg:overflow-y-auto lg:px-1">
		<GradeBoard
			assessment={draft.assessment}
			{ghost}
			asked={places}
			orientation={sequence?.orientation ?? 'facing'}
			title="What the hands find"
			recall
			{limits}
			onchange={(l) => (draft.assessment = l)}
		/>
	</div>
	<aside class="space-y-4 pb-4 lg:-mx-1 lg:overflow-y-auto lg:px-1" aria-label="Who and what">
		<section>
			<h2 class="mb-1.5 text-[15px] font-semibold">Client</h2>
			{#if app.current.here.length}
				<Select
					label="Client"
					value={client?.id ?? ''}
					options={app.current.here.map((c) => ({ value: c.id, label: c.name }))}
					onchange={(id) => void choose(id)}
					class="min-h-11 w-full text-[15px]"
				/>
			{/if}
			{#if !client}<ClientForm
					onsave={async (name) => {
						const id = app.repo.stamp().newId();
						if (await app.run(() => app.repo.addClient({ id, name }))) await choose(id);
					}}
				/>{/if}
			{#if client?.cautions}<p class="text-ink2 mt-1.5 text-[13px]">
					<b class="text-flag">Client alert:</b>
					{client.cautions}
				</p>{/if}
		</section>
		<LearntList {learnt} />
		{#if plan && parts}{#if client && plan.facts}<parts.TodayLimits
					{client}
					{limits}
					{today}
					{sessions}
					steps={sequence ? stepsOf(sequence).map((s) => s.step) : []}
					fitted={plan.fitted}
					fit={wishes.fit}
					onfit={(fit) => draft.wish(sequenceId, { fit })}
					stops={plan.clientStops}
					reason={wishes.reason}
					onreason={(reason) => draft.wish(sequenceId, { reason })}
					onredflags={() => (redFlags = true)}
				/>{/if}
			<section>
				<h2 class="mb-1.5 text-[15px] font-semibold">Sequence</h2>
				{#if records.length}
					<Select
						label="Sequence"
						value={sequenceId ?? ''}
						options={records.map((s) => ({ value: s.id, label: s.sequence.title }))}
						onchange={(id) => (draft.wished = id)}
						class="min-h-11 w-full text-[15px]"
					/>
					{#if chosen && chosen.because !== 'wished'}<p class="text-ink2 mt-1 text-[12.5px]">{BECAUSE_SAID[chosen.because]}</p>{/if}
				{:else}<p class="text-ink2 text-[13px]">
						None yet. <a class="dotted" href="/compose">Compose one</a>, or only look today.
					</p>{/if}
				{#if planned}<div class="mt-3">
						<TodayAsks
							working={app.working}
							sequence={asTaken(planned, wishes.taken)}
							met={wishes.met}
							taken={wishes.taken}
							onmet={(met) => draft.wish(sequenceId, { met })}
							ontake={(group, option) => draft.wish(sequenceId, { taken: { ...wishes.taken, [group]: option } })}
						/>
					</div>{/if}
				{#if plan.own}{@const own = plan.own}
					<p class="text-ink2 mt-1.5 text-[13px]">
						For oneself, as in a mirror.{#if own.changes.length}
							<span title={own.changes.join('\n')}
								>{own.changes.length === 1 ? 'One step is' : `${own.changes.length} steps are`} done otherwise: {own.changes
									.slice(0, 3)
									.join('; ')}{own.changes.length > 3 ? ' …' : ''}.</span
							>{/if}
					</p>{/if}
				{#if plan.ownStops.length}<p class="text-flag mt-1.5 text-[13px]">
						<b>{plan.ownStops.length === 1 ? 'One finding says stop.' : `${plan.ownStops.length} findings say stop.`}</b>
						<a class="dotted" href={composeAt(sequenceId!)}>Fix it first.</a>
					</p>{/if}
			</section>
			<section>
				<MeasureTable
					assessment={draft.assessment}
					{ghost}
					usual={usualOf(sessions.map((s) => s.before))}
					unit={app.settings?.units ?? 'mm'}
					onchange={(l) => (draft.assessment = l)}
				/>
			</section>
			<section class="grid grid-cols-[52px_1fr] items-center gap-2 text-[13.5px]">
				{#each ASKED as id (id)}
					{@const row = observation(id)}
					<span class="text-ink2">{row.label}</span>
					<Segmented
						large
						label={row.label}
						value={String(draft.context.find((e) => e.observation === id)?.value ?? '')}
						options={isChoice(row) ? Object.entries(row.options).map(([value, label]) => ({ value, label })) : []}
						onchange={(value) => (draft.context = withChoice(draft.context, id, value))}
					/>
				{/each}
			</section>
			<label class="block text-[13.5px]"
				><span class="text-ink2">Her words</span>
				<textarea
					autocomplete="off"
					class="field mt-1 w-full text-[14px]"
					rows="2"
					maxlength={MAX_TEXT}
					placeholder="What she says of today"
					bind:value={draft.told}></textarea></label
			>
			<p class="text-ink2 border-hair border-t pt-3 text-[13px] leading-[18px]">{CAUTION_LINE}</p>
		{/if}
	</aside>
</div>
<div class="to-sea flex flex-wrap items-center gap-3 bg-gradient-to-b from-transparent px-5 py-3">
	<p class="flex-1 text-[15px]">
		<b class="font-semibold">{felt} {felt === 1 ? 'place' : 'places'} felt</b>{#if taken}<span class="text-ink2"
				>, {taken} distances taken</span
			>{/if}
	</p>
	<button type="button" class="btn btn-large" disabled={!client || !plan} onclick={() => start('looked')}
		>Save findings, edit sequence</button
	>
	<button
		type="button"
		class="btn btn-large"
		title="It was done without the stage: minutes and what was left out follow"
		disabled={!startable}
		onclick={() => start('written')}>Done already, write it down</button
	>
	<button type="button" class="btn btn-large btn-primary min-w-[118px]" disabled={!startable} onclick={() => start('stage')}
		>Start{plan?.seconds ? `, ${clock(plan.seconds)}` : ''}</button
	>
</div>
{#if redFlags}{#await import('$lib/ui/parts/shell/RedFlags.svelte') then { default: RedFlags }}<RedFlags
			bind:open={redFlags}
		/>{/await}{/if}
