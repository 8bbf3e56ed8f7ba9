<script lang="ts">
	import { sessionAt } from '$lib/ui/parts/shell/addresses';
	import { clock } from '$lib/core/step/describe';
	import { changeSentence } from '$lib/core/assess/wording';
	import { comparableSessions, contextWords } from '$lib/core/assess/sessions';
	import { allChanges, changesOf } from '$lib/core/assess/change';
	import { GRADE_IDS, gradeRow, HEADLINE_GRADE, HEADLINE_MEASURED, type ObservationId } from '$lib/core/assess/registry';
	import { hour, onWall, weekDay } from '$lib/ui/parts/dates';
	import { followTapeErrors } from '$lib/state/tapeErrors.svelte';
	import { withdrawnReactions } from '$lib/core/records/earlier';
	import { learntFrom } from '$lib/core/visit/learnt';
	import { useApp } from '$lib/state/app.svelte';
	import { ifHere } from '$lib/state/rows';
	import { useAccount } from '$lib/state/sessionAccount.svelte';
	import Awaited from '../../parts/shell/Awaited.svelte';
	import { Fetched } from '$lib/state/fetched.svelte';
	import { inTurns } from '$lib/state/inTurns.svelte';
	import type { Client } from '$lib/core/records/client';
	import type { Session } from '$lib/core/records/session';
	import ImageDown from '@lucide/svelte/icons/image-down';
	import ChartMenu from '$lib/ui/parts/picture/ChartMenu.svelte';
	import PictureMenu from '$lib/ui/parts/controls/PictureMenu.svelte';
	import Segmented from '$lib/ui/parts/controls/Segmented.svelte';
	import { overSentence, overSessions } from '$lib/core/assess/overSessions';

	interface Props {
		client: Client;
		/** All of this client, the earliest first; there is one at least. */
		sessions: readonly Session[];
		/** The one that is asked for. */
		asked: string | null;
	}
	let { client, sessions, asked }: Props = $props();
	const app = useApp();
	const tape = followTapeErrors(app);

	/** So many lines of what was learnt are shown. */
	const MOST_LEARNT = 6;
	let wished = $state<string | null>(null);
	let scope = $state<'session' | 'since'>('session');
	let width = $state(600);
	let strip = $state<SVGSVGElement>();
	const chosen = $derived(sessions.find((s) => s.id === (wished ?? asked)) ?? sessions.findLast((s) => s.after) ?? sessions.at(-1) ?? null);
	const first = $derived(sessions[0] ?? null);
	/** Within a session: before and after. Since the first visit: the two befores, at the same hour only. */
	const pair = $derived.by(() => {
		if (!chosen || !first) return null;
		if (scope === 'session')
			return { a: chosen.before, b: chosen.after, comparable: true, contexts: [{ when: '', words: contextWords(chosen.context) }] };
		return {
			a: first.before,
			b: chosen.before,
			comparable: chosen.id !== first.id && comparableSessions(first, chosen, app.working),
			contexts: [first, chosen].map((s) => ({ when: weekDay(onWall(s.startedAt, s)), words: contextWords(s.context) }))
		};
	});
	const told = $derived((pair?.contexts ?? []).filter((c) => c.words));
	let observedWish = $state<ObservationId | null>(null);
	/** Grades that were given in one of the two; the first one always. */
	const graded = $derived(
		GRADE_IDS.filter((id) => id === HEADLINE_GRADE || (pair && changesOf(id, pair.a, pair.b, app.working).length > 0))
	);
	const observed = $derived(observedWish && graded.includes(observedWish) ? observedWish : HEADLINE_GRADE);
	const zones = $derived(pair ? changesOf(observed, pair.a, pair.b, app.working, pair.comparable) : []);
	const own = $derived(tape.own);
	const repeats = $derived(own[HEADLINE_MEASURED] ?? null);
	const errorSaid = $derived(
		repeats
			? `of the sum, ${repeats.te.toFixed(1)} mm, ${repeats.interval[0].toFixed(1)} to ${repeats.interval[1].toFixed(1)}, from ${repeats.ownDf} ${repeats.ownDf === 1 ? 'repeat' : 'repeats'} and the working value`
			: `of ${app.working.distanceErrorMm} mm, of the sum ${app.working.compositeErrorMm} mm, working values until a reading is taken again`
	);
	const sentence = $derived(changeSentence(pair ? allChanges(pair.a, pair.b, app.working, pair.comparable, own) : []));
	/** What grades did from before to after, over all of her sessions. */
	const over = $derived(scope === 'session' && sessions.length ? overSessions(observed, sessions) : null);
	const overSaid = $derived(over ? overSentence(over, gradeRow(observed).label) : '');
	/** The session as a picture to hand on. */
	async function card() {
		const [{ drawApart }, { default: SessionCard }] = await Promise.all([
			import('$lib/ui/parts/picture/drawApart'),
			import('$lib/ui/views/progress/SessionCard.svelte')
		]);
		const of = allChanges(chosen!.before, chosen!.after, app.working, true, own);
		return drawApart(SessionCard, { session: chosen!, account: done, clientName: client.name, observed, sentence: changeSentence(of) });
	}
	/** The sentence first; what draws is fetched once it is on the screen, and comes one after the other: face, tape, strip. */
	const drawings = new Fetched(() =>
		Promise.all([
			import('$lib/ui/views/progress/ZoneChangeMap.svelte'),
			import('$lib/ui/views/progress/MeasuredChanges.svelte'),
			import('$lib/ui/views/progress/SessionStrip.svelte'),
			import('$lib/ui/views/progress/AtOnceAndLasting.svelte')
		])
	).oncePainted(() => chosen && tape.ready);
	const parts = inTurns(() => (drawings.current ? 4 : 0), 0, 1);
	const drawn = $derived.by(() => {
		const [map, tape, strip, lasting] = drawings.current ?? [];
		const turn = <T,>(n: number, part: { default: T } | undefined): T | null => (part && parts.current > n ? part.default : null);
		return { map: turn(0, map), tape: turn(1, tape), strip: turn(2, strip), lasting: turn(3, lasting) };
	});
	/** What was done in it, by the one account of it. */
	const account = useAccount(() => chosen);
	const done = $derived(ifHere(account.current));
	const learnt = $derived(chosen ? learntFrom(chosen, done) : []);
</script>

<div class="flex flex-wrap items-center justify-end gap-3 pb-2.5">
	<Segmented
		label="What is compared"
		value={scope}
		options={[
			{ value: 'session', label: 'Within the session' },
			{ value: 'since', label: 'Since the first visit' }
		]}
		onchange={(s) => (scope = s)}
	/>
</div>
{#if chosen && pair && tape.ready}
	<p class="border-hair border-b pb-2.5 text-[16px] leading-[22px]">
		{#each [sentence.real, overSaid].filter(Boolean) as real (real)}<b class="font-semibold">{real}</b>{' '}{/each}
		<span class="text-ink2"
			>{scope === 'since' && !pair.comparable
				? chosen.id === first?.id
					? 'This is the first visit: there is nothing before it.'
					: `Not comparable: the two visits lie more than ${app.working.comparableHourMinutes} minutes apart in the day.`
				: sentence.rest}</span
		>
	</p>
	<div class="grid grid-cols-1 gap-x-8 gap-y-5 pt-3 xl:grid-cols-[minmax(0,1fr)_minmax(0,1.05fr)]">
		<section>
			<h2 class="pb-1.5 text-[13.5px] font-semibold">
				On the face <span class="text-ink2 pl-1.5 font-normal"
					>{scope === 'session'
						? `${weekDay(onWall(chosen.startedAt, chosen))}, ${hour(onWall(chosen.before.takenAt, chosen))}${chosen.after ? ` and ${hour(onWall(chosen.after.takenAt, chosen))}` : ', not looked at again'}`
						: `${weekDay(onWall(first!.startedAt, first!))} and ${weekDay(onWall(chosen.startedAt, chosen))}, before the session`}</span
				>
			</h2>
			{#if graded.length > 1}<div class="pb-1.5">
					<Segmented
						label="What was graded"
						value={observed}
						options={graded.map((value) => ({ value, label: gradeRow(value).label }))}
						onchange={(id) => (observedWish = id)}
					/>
				</div>{/if}
			<div class="min-h-[390px]">
				{#if drawn.map}<drawn.map {observed} changes={zones} {over} blind={sessions.filter((s) => s.blind).length} />{/if}
			</div>
		</section>
		<section>
			<h2 class="pb-1.5 text-[13.5px] font-semibold">By tape</h2>
			<div class="min-h-[300px]">
				{#if drawn.tape}<drawn.tape
						before={pair.a}
						after={pair.b}
						working={app.working}
						comparable={pair.comparable}
						{own}
						unit={app.settings?.units ?? 'mm'}
					/>{/if}
			</div>
			<p class="text-ink2 pt-2 text-[12px] leading-4">
				Sand band: measuring error. Two measurings of the same face may differ so much (1.96 × √2 × the typical error {errorSaid}). A filled
				dot stands clear of it. A single pair of grades is never judged; grades are over the sessions.
			</p>
		</section>
	</div>
	<section class="border-hair mt-4 border-t pt-3" bind:clientWidth={width}>
		<div class="flex items-center gap-2 pb-1">
			<h2 class="text-[13.5px] font-semibold">
				Session by session <span class="text-ink2 pl-1.5 font-normal">before: dot. After: the fall beside it</span>
			</h2>
			<ChartMenu title="session by session" drawing={strip} />
		</div>
		<div class="min-h-[118px]">
			{#if drawn.strip}<drawn.strip
					{sessions}
					chosenId={chosen.id}
					observed={HEADLINE_MEASURED}
					{width}
					bind:drawing={strip}
					onchoose={(id) => (wished = id)}
				/>{/if}
		</div>
		<div class="grid grid-cols-1 gap-x-8 gap-y-3 pt-3 xl:grid-cols-[minmax(0,1fr)_minmax(0,1.05fr)]">
			<dl class="text-ink2 grid h-fit max-w-[80ch] grid-cols-[90px_1fr] gap-y-0.5 text-[12.5px]">
				{#if chosen.sequence}<dt>Done</dt>
					<dd>
						<b class="text-ink">{chosen.sequence.title}</b>{#if done}, {clock(done.workedSeconds)}{done.haltedSeconds
								? `, halted ${clock(done.haltedSeconds)}`
								: ''}, {done.stepsDone} of {done.stepsPlanned} steps{/if}
						{#if account.current.state === 'failed'}<Awaited of={account.current} what="What was done" />{/if}
					</dd>{/if}
				{#each told as c, i (i)}<dt>{c.when || 'Of the day'}</dt>
					<dd>{c.words}</dd>{/each}
				{#if chosen.sideEffects}<dt>Side effects</dt>
					<dd>{chosen.sideEffects}</dd>{/if}
				{#each withdrawnReactions(chosen) as words (words)}<dt>Side effects</dt>
					<dd>{words} <span class="text-ink3">withdrawn</span></dd>{/each}
				{#if learnt.length}<dt>For next time</dt>
					<dd>
						{#each learnt.slice(0, MOST_LEARNT) as l (l.words + l.stepId)}<div>{l.words}</div>{/each}
						{#if learnt.length > MOST_LEARNT}<div>and {learnt.length - MOST_LEARNT} more</div>{/if}
					</dd>{/if}
				<dt>Card</dt>
				<dd>
					<PictureMenu label="Save the card of this session" title="session card" picture={card}><ImageDown size={17} /></PictureMenu>
				</dd>
				<dt>Record</dt>
				<dd><a class="dotted" href={sessionAt(chosen.id)}>open to complete or correct</a></dd>
			</dl>
			{#if drawn.lasting}<div>
					<drawn.lasting {sessions} observed={HEADLINE_MEASURED} unit={app.settings?.units ?? 'mm'} />
					<p class="text-ink2 pt-1 text-[12px] leading-4">
						With their 95 % intervals. One person’s record, not proof: what else changed in these weeks is in it too.
					</p>
				</div>{/if}
		</div>
	</section>
{/if}
