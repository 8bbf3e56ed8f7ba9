<script lang="ts">
	import { clientAt, composeAt, sessionAt } from '$lib/ui/parts/shell/addresses';
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { countOf, emptyAssessment, withChoice } from '$lib/core/assess/assessment';
	import type { Assessment, Entry } from '$lib/core/assess/assessment.schema';
	import { ENTERED_MEASURED_IDS, GRADE_IDS, inSection, isChoice, observation } from '$lib/core/assess/registry';
	import { placesLookedAt } from '$lib/core/perform/lookedAt';
	import { usualOf } from '$lib/core/assess/doubts';
	import type { Session } from '$lib/core/records/session';
	import { AS_PLANNED } from '$lib/core/records/asPlanned';
	import { sameDay } from '$lib/ui/parts/dates';
	import { MAX_TEXT } from '$lib/core/step/sizes';
	import { clock } from '$lib/core/step/describe';
	import { asTaken, withMet } from '$lib/core/sequence/chosen';
	import { stepsOf } from '$lib/core/sequence/walk';
	import { isRefused } from '$lib/core/screening/start';
	import SessionLine from '$lib/ui/views/session/SessionLine.svelte';
	import { CAUTION_LINE } from '$lib/formats/caution';
	import { Fetched } from '$lib/state/fetched.svelte';
	import { useApp } from '$lib/state/app.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import ClientForm from '$lib/ui/parts/shell/ClientForm.svelte';
	import MeasureTable from '$lib/ui/views/session/MeasureTable.svelte';
	import TodayAsks from '$lib/ui/views/session/TodayAsks.svelte';
	import GradeBoard from '$lib/ui/views/session/GradeBoard.svelte';
	import Segmented from '$lib/ui/parts/controls/Segmented.svelte';
	import Select from '$lib/ui/parts/controls/Select.svelte';

	const app = useApp();
	const sequences = liveRows(
		() => null,
		() => app.repo.sequences(),
		[]
	);
	const clientId = $derived(app.current.id);
	const client = $derived(app.current.client);
	const sessions = liveRows(
		() => clientId,
		(id) => (id ? app.repo.sessionsOf(id) : Promise.resolve([])),
		[]
	);
	const last = $derived(sessions.current.at(-1) ?? null);
	/** A stage of hers that is not over. */
	const stages = liveRows(
		() => null,
		() => app.repo.openSessions(),
		[]
	);
	/** All of it at once: nothing is pushed down by what comes a moment later. */
	const here = $derived(sequences.loaded && sessions.loaded && stages.loaded && app.current.loaded);
	const going = $derived(stages.current.find((s) => s.clientId === clientId) ?? null);

	/** A look taken today before anything was composed: the session goes on from it. */
	const lookedToday = $derived(last && !last.sequence && !last.after && sameDay(last.startedAt, new Date()) ? last : null);
	const ghost = $derived((lookedToday ? sessions.current.at(-2) : last)?.before ?? null);
	let wished = $state<string | null>(page.url.searchParams.get('sequence'));
	const sequenceId = $derived(wished ?? last?.sequence?.id ?? sequences.current[0]?.sequence.id ?? null);
	const planned = $derived(sequences.current.find((s) => s.sequence.id === sequenceId)?.sequence ?? null);
	/** What the sequence left open, as it is answered today. */
	let met = $state.raw<ReadonlySet<string>>(new Set());
	let options = $state.raw<Readonly<Record<string, string>>>({});
	const sequence = $derived(planned && withMet(asTaken(planned, options), met));
	const today = $derived(app.today.current);
	/** Nothing is begun before it is known what today allows. */
	const planning = new Fetched(() => import('$lib/ui/views/session/planning')).oncePainted(() => here);
	const plan = $derived(planning.current);
	const facts = $derived(plan?.factsOf(client, today) ?? null);
	const given = $derived({ ...app.context, client: facts });
	const refused = $derived(isRefused(facts?.limits ?? []));
	/** As she may have it: it is this that the session performs, unless the plan is wanted as it is. */
	const fitted = $derived(plan && sequence && facts?.limits.length ? plan.makeItFit(sequence, given) : null);
	let fit = $state(true);
	const asPlanned = $derived(fit && fitted ? fitted.sequence : sequence);
	/** On oneself it is done with two hands, before a mirror. */
	const own = $derived(
		plan && asPlanned && (client?.performer === 'self' || asPlanned.performer === 'self') ? plan.forOneself(asPlanned, given) : null
	);
	const performed = $derived(own?.sequence ?? asPlanned);
	const judgement = $derived(plan && performed ? plan.judge(performed, given) : null);
	const grave = $derived(judgement?.findings.filter((f) => f.severity === 'stop') ?? []);
	/** Stops of hers want a reason, which is kept. */
	const herStops = $derived(plan ? grave.filter(plan.isOfClient) : []);
	const stops = $derived(grave.length - herStops.length);
	let reason = $state('');
	let redFlags = $state(false);
	// Another client, another plan, another reason.
	$effect(() => {
		void clientId;
		void sequenceId;
		untrack(() => {
			reason = '';
			fit = true;
		});
	});

	let assessment = $state.raw<Assessment>(emptyAssessment(new Date().toISOString()));
	let context = $state.raw<readonly Entry[]>([]);
	let told = $state('');
	/** What is asked of the day with one answer each. */
	const ASKED = inSection('context').filter((id) => {
		const row = observation(id);
		return isChoice(row) && !row.many;
	});
	// Another client, another face.
	$effect(() => {
		void clientId;
		const begun = lookedToday;
		untrack(() => {
			told = begun?.told ?? '';
			assessment = begun?.before ?? emptyAssessment(new Date().toISOString());
		});
	});
	const asked = $derived(placesLookedAt(sequence));
	/** Keeps the look; with a sequence the stage follows, without one the composing. */
	/** @param how on the stage, written down as done, or only looked at */
	async function start(how: 'stage' | 'written' | 'looked') {
		const perform = how !== 'looked';
		if (!client || !plan || (perform && (refused || (herStops.length > 0 && !reason.trim())))) return;
		const { now, newId } = app.repo.stamp();
		const session = {
			...AS_PLANNED,
			...(lookedToday ?? { id: newId(), revision: 0, updatedAt: now }),
			clientId: client.id,
			startedAt: how === 'written' ? new Date(Date.parse(now) - 1000 * seconds).toISOString() : now,
			endedAt: how === 'stage' ? null : now,
			...(how === 'written' && performed
				? { guided: false, done: plan.plannedCounts(performed, app.context), workedSeconds: Math.round(seconds) }
				: {}),
			zoneOffsetMinutes: -new Date().getTimezoneOffset(),
			sequence: null,
			before: { ...assessment, takenAt: now },
			context: [...context],
			told,
			screened: facts && {
				held: plan.allowedLines(facts.limits, today).map((l) => `${l.name}: ${l.effects.join('. ')}`.slice(0, 300)),
				despite: perform ? herStops.map((f) => ({ what: plan!.sentenceOf(f).head.slice(0, 300), reason: reason.trim() })) : [],
				fitted: perform && performed !== sequence
			}
		};
		const saved = await app.run(() =>
			perform && performed
				? app.repo[how === 'stage' ? 'startSession' : 'writeSession'](session as Omit<Session, 'sequence' | 'order'>, performed)
				: app.repo.saveSession(session)
		);
		if (saved) await goto(perform ? sessionAt(session.id) : '/compose');
	}
	const felt = $derived(countOf(assessment, GRADE_IDS));
	const taken = $derived(countOf(assessment, ENTERED_MEASURED_IDS));
	const seconds = $derived(judgement?.timing.expectedSeconds ?? 0);
	const startable = $derived(client && sequence && seconds && !refused && (!herStops.length || reason.trim()));
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
		{#if here}<GradeBoard
				{assessment}
				{ghost}
				{asked}
				orientation={sequence?.orientation ?? 'facing'}
				title="What the hands find"
				recall
				limits={facts?.limits ?? []}
				onchange={(l) => (assessment = l)}
			/>{/if}
	</div>
	<aside class="space-y-4 pb-4 lg:-mx-1 lg:overflow-y-auto lg:px-1" aria-label="Who and what">
		{#if here}
			<section>
				<h2 class="mb-1.5 text-[15px] font-semibold">Client</h2>
				{#if app.current.here.length}
					<Select
						label="Client"
						value={client?.id ?? ''}
						options={app.current.here.map((c) => ({ value: c.id, label: c.name }))}
						onchange={(id) => app.save({ currentClientId: id })}
						class="min-h-11 w-full text-[15px]"
					/>
				{/if}
				{#if !client}<ClientForm
						onsave={async (name) => {
							const { now, newId } = app.repo.stamp();
							const id = newId();
							if (await app.run(() => app.repo.saveClient({ id, revision: 0, updatedAt: now, name })))
								await app.save({ currentClientId: id });
						}}
					/>{/if}
				{#if client?.cautions}<p class="text-ink2 mt-1.5 text-[13px]">
						<b class="text-flag">Client alert:</b>
						{client.cautions}
					</p>{/if}
			</section>
			{#if plan}{#if client && facts}<plan.TodayLimits
						{client}
						limits={facts.limits}
						{today}
						sessions={sessions.current}
						steps={sequence ? stepsOf(sequence).map((s) => s.step) : []}
						{fitted}
						{fit}
						onfit={(f) => (fit = f)}
						stops={herStops}
						{reason}
						onreason={(r) => (reason = r)}
						onredflags={() => (redFlags = true)}
					/>{/if}
				<section>
					<h2 class="mb-1.5 text-[15px] font-semibold">Sequence</h2>
					{#if sequences.current.length}
						<Select
							label="Sequence"
							value={sequenceId ?? ''}
							options={sequences.current.map((s) => ({ value: s.id, label: s.sequence.title }))}
							onchange={(id) => {
								wished = id;
								met = new Set();
								options = {};
							}}
							class="min-h-11 w-full text-[15px]"
						/>
					{:else}<p class="text-ink2 text-[13px]">
							None yet. <a class="dotted" href="/compose">Compose one</a>, or only look today.
						</p>{/if}
					{#if planned}<div class="mt-3">
							<TodayAsks
								sequence={asTaken(planned, options)}
								{met}
								taken={options}
								onmet={(m) => (met = m)}
								ontake={(group, option) => (options = { ...options, [group]: option })}
							/>
						</div>{/if}
					{#if own}<p class="text-ink2 mt-1.5 text-[13px]">
							For oneself, as in a mirror.{#if own.changes.length}
								<span title={own.changes.join('\n')}
									>{own.changes.length === 1 ? 'One step is' : `${own.changes.length} steps are`} done otherwise: {own.changes
										.slice(0, 3)
										.join('; ')}{own.changes.length > 3 ? ' …' : ''}.</span
								>{/if}
						</p>{/if}
					{#if stops}<p class="text-flag mt-1.5 text-[13px]">
							<b>{stops === 1 ? 'One finding says stop.' : `${stops} findings say stop.`}</b>
							<a class="dotted" href={composeAt(sequenceId!)}>Fix it first.</a>
						</p>{/if}
				</section>
				<section>
					<MeasureTable
						{assessment}
						{ghost}
						usual={usualOf(sessions.current.map((s) => s.before))}
						unit={app.settings?.units ?? 'mm'}
						onchange={(l) => (assessment = l)}
					/>
				</section>
				<section class="grid grid-cols-[52px_1fr] items-center gap-2 text-[13.5px]">
					{#each ASKED as id (id)}
						{@const row = observation(id)}
						<span class="text-ink2">{row.label}</span>
						<Segmented
							large
							label={row.label}
							value={String(context.find((e) => e.observation === id)?.value ?? '')}
							options={isChoice(row) ? Object.entries(row.options).map(([value, label]) => ({ value, label })) : []}
							onchange={(value) => (context = withChoice(context, id, value))}
						/>
					{/each}
				</section>
				<label class="block text-[13.5px]"
					><span class="text-ink2">Her words</span>
					<textarea
						class="field mt-1 w-full text-[14px]"
						rows="2"
						maxlength={MAX_TEXT}
						placeholder="What she says of today"
						bind:value={told}></textarea></label
				>
				<p class="text-ink2 border-hair border-t pt-3 text-[13px] leading-[18px]">{CAUTION_LINE}</p>
			{/if}{/if}
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
		>Start{seconds ? `, ${clock(seconds)}` : ''}</button
	>
</div>
{#if redFlags}{#await import('$lib/ui/parts/shell/RedFlags.svelte') then { default: RedFlags }}<RedFlags
			bind:open={redFlags}
		/>{/await}{/if}
