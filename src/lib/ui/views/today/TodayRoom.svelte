<script lang="ts">
	import { clientAt, composeAt, progressOf, sessionAt, sessionFor } from '../../parts/shell/addresses';
	import { clock } from '$lib/core/step/describe';
	import { ZONES } from '$lib/core/atlas/zones';
	import type { Client } from '$lib/core/records/client';
	import type { SequenceRecord } from '$lib/core/records/sequenceRecord';
	import type { Session } from '$lib/core/records/session';
	import { changesOf } from '$lib/core/assess/change';
	import { HEADLINE_GRADE } from '$lib/core/assess/registry';
	import { learntFrom } from '$lib/core/visit/learnt';
	import { sequenceFor } from '$lib/core/visit/sequenceFor';
	import { NO_WISHES } from '$lib/core/visit/wishes';
	import { ago, longDay } from '../../parts/dates';
	import { useApp } from '$lib/state/app.svelte';
	import { Fetched } from '$lib/state/fetched.svelte';
	import { showAround } from '../../parts/shell/showAround';
	import { inTurns } from '$lib/state/inTurns.svelte';
	import MiniScore from '../../parts/score/MiniScore.svelte';
	import KeepBar from './KeepBar.svelte';
	import ShelfCard from './ShelfCard.svelte';
	import Shore from './Shore.svelte';
	import WelcomeSteps from './WelcomeSteps.svelte';

	interface Props {
		/** By name. */
		clients: readonly Client[];
		/** Who is next; null where there is nobody. */
		client: Client | null;
		/** All of who is next, the earliest first; those that are open too. */
		sessions: readonly Session[];
		/** All sequences, those changed last first. */
		records: readonly SequenceRecord[];
		/** Of all clients, of the last two weeks, the latest first. */
		recent: readonly Session[];
		/** Interrupted ones. */
		open: readonly Session[];
		/** The last visit of each client; null as long as that is not known. */
		lasts: ReadonlyMap<string, Session> | null;
		now: Date;
	}
	let { clients, client, sessions, records, recent, open, lasts, now }: Props = $props();
	const app = useApp();
	const WEEK_MS = 7 * 86_400_000;
	const isOpen = (s: Session) => open.some((o) => o.id === s.id);
	const last = $derived(sessions.findLast((s) => !isOpen(s)) ?? null);
	const done = $derived(recent.filter((s) => !isOpen(s)));
	/** An interrupted session is none yet: it is offered to go on with. */
	const week = $derived(done.filter((s) => now.getTime() - Date.parse(s.startedAt) < WEEK_MS));
	const chosen = $derived(sequenceFor({ clientId: client?.id ?? null, records, sessions }));
	/** What works out today is fetched once the page is on the screen. */
	const planning = new Fetched(() => import('$lib/core/visit/planOfToday')).oncePainted(() => true);
	const plan = $derived(
		planning.current?.planOfToday({
			client,
			today: app.today.current,
			sequence: chosen?.sequence ?? null,
			wishes: NO_WISHES,
			given: app.context
		}) ?? null
	);
	const next = $derived(chosen?.sequence ?? null);
	const shown = $derived(plan?.judgement ?? null);
	const shelf = $derived(records.filter((s) => s.id !== next?.id && !s.archived).slice(0, 4));
	const shelved = inTurns(() => shelf.length, 0, 1);
	const others = $derived(clients.filter((c) => c.id !== client?.id).map((c) => ({ client: c, last: lasts?.get(c.id) ?? null })));
	const learnt = $derived(last ? learntFrom(last, null) : []);
	const name = (id: string) => app.current.byId(id)?.name ?? 'somebody';
	const when = (iso: string) => ago(iso, now);
	const words = (s: Session) => {
		const [top] = changesOf(HEADLINE_GRADE, s.before, s.after, app.working).sort((a, b) => (b.before ?? 0) - (a.before ?? 0));
		return top?.place
			? `${ZONES[top.place].label.toLowerCase()}, ${top.side}: ${top.before ?? '–'}${top.after === null ? '' : ` to ${top.after}`}`
			: 'not graded';
	};
	let width = $state(420);
	// Fewer at first than elsewhere: the next client and her sequence, judged and drawn, come in the same frame.
	const drawn = inTurns(() => others.length, 12, 48);
	const empty = $derived(!clients.length && !records.length);
</script>

<div class="flex min-h-0 flex-1 overflow-hidden max-lg:flex-col max-lg:overflow-y-auto">
	<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-6" bind:clientWidth={width}>
		<div class="flex flex-wrap items-baseline gap-x-4 gap-y-1 pt-3 pb-2">
			<h1 class="text-xl leading-7 font-[520]">
				{longDay(now)}
			</h1>
			<p class="text-ink2">
				{empty ? 'A first day.' : `${week.length} ${week.length === 1 ? 'session' : 'sessions'} in the last seven days.`}
			</p>
		</div>
		{#if empty}
			<WelcomeSteps onaround={() => showAround(app)} />
		{:else}
			<KeepBar worth={!app.demo && clients.length + records.length > 0} />
			{#each open as s (s.id)}
				<p class="border-flag bg-sheet mb-3 flex items-center gap-3 rounded-lg border px-3 py-2">
					<span class="flex-1"><b>{name(s.clientId)}</b> was interrupted, {when(s.startedAt)}: {s.sequence?.title}.</span><a
						class="btn"
						href={sessionAt(s.id)}>Go on</a
					>
				</p>
			{/each}
			{#if client}
				<section class="border-hair border-t py-4" aria-label="Next">
					<div class="flex flex-wrap items-center gap-3">
						<h2 class="text-[26px] leading-8 font-[500]">{client.name}</h2>
						<p class="text-ink2 flex-1">{last ? `last here ${when(last.startedAt)}` : 'first time'}</p>
						{#if plan?.refusals.length}<a class="btn btn-large" href={clientAt(client.id)}>No massage today</a>{:else if next}<a
								class="btn btn-primary btn-large"
								href={sessionFor(client.id)}>Start</a
							>{:else}<a class="btn btn-large" href="/compose">Compose first</a>{/if}
					</div>
					{#if plan?.refusals.length}<p class="text-flag">
							{plan.refusals.map((r) => r.name).join(', ')}: no massage today, refer.
						</p>{/if}
					{#if next}
						<p class="pt-1">
							<a class="dotted" href={composeAt(next.id)}>{next.title}</a>{' '}<span class="text-ink2"
								>{plan ? `· ${clock(plan.seconds)}` : ''} · {next.school.title.toLowerCase()}{plan?.fitted?.edit
									? ` · made to fit: ${planning.current!.fitWords(plan)}`
									: ''}</span
							>
						</p>
						<div class="min-h-[58px] py-1">
							{#if shown}<MiniScore
									events={shown.events}
									byId={shown.context.byId}
									width={Math.min(560, width - 40)}
									label="Score of {next.title}"
								/>{/if}
						</div>
					{/if}
					{#if client.cautions}<p><b class="text-flag">Client alert:</b> {client.cautions}</p>{/if}
					{#if last}<p class="text-ink2">
							Last time: <span class="water">{words(last)}</span>{#each learnt as l (l.words)}<span>. {l.words}</span>{/each}
						</p>{/if}
				</section>
			{/if}
			<section aria-label="Others">
				<ul>
					{#each others.slice(0, drawn.current) as { client: c, last: l } (c.id)}
						<li class="long-row border-hair flex flex-wrap items-center gap-x-3 border-t py-2.5">
							<div class="min-w-0 flex-1">
								<b class="block text-[15px] font-[540]">{c.name}</b>
								<span class="text-ink2 text-xs"
									>{#if l}{when(l.startedAt)}, {l.sequence?.title ?? 'findings only'}{' · '}<span class="water">{words(l)}</span
										>{:else if lasts}no session yet{:else}<span class="water">&nbsp;</span>{/if}</span
								>
							</div>
							<button type="button" class="btn" onclick={() => app.current.choose(c.id)}>Make next</button>
							<a class="btn" href={progressOf(c.id)}>Progress</a>
						</li>
					{/each}
				</ul>
				<div class="flex flex-wrap gap-2 pt-3">
					<a class="btn" href="/clients?new=1">Someone new</a><a class="btn" href="/compose">All sequences</a><button
						type="button"
						class="btn"
						onclick={() => showAround(app)}>Show me around</button
					>
				</div>
			</section>
			{#if shelf.length}
				<section class="pt-6" aria-label="Sequences">
					<h2 class="border-hair border-b pb-1 text-[13.5px] font-semibold">Sequences</h2>
					<ul class="grid gap-x-8 sm:grid-cols-2">
						{#each shelf.slice(0, shelved.current) as { id, sequence } (id)}
							<ShelfCard {sequence} context={app.context} width={Math.max(160, Math.min(390, width / 2 - 40))} />
						{/each}
					</ul>
				</section>
			{/if}
		{/if}
	</div>
	<Shore sessions={done.slice(0, 24)} {name} {now} />
</div>
