<script lang="ts">
	import { composeAt, progressOf, sessionAt, sessionWith } from '$lib/ui/parts/shell/addresses';
	import { expand } from '$lib/core/sequence/expand';
	import { stepsOf } from '$lib/core/sequence/walk';
	import { clock } from '$lib/core/step/describe';
	import { ZONES } from '$lib/core/atlas/zones';
	import type { Session } from '$lib/core/records/session';
	import { changesOf } from '$lib/core/assess/change';
	import { HEADLINE_GRADE } from '$lib/core/assess/registry';
	import { ago, longDay } from '$lib/ui/parts/dates';
	import { useApp } from '$lib/state/app.svelte';
	import { showAround } from '$lib/ui/parts/shell/showAround';
	import { inTurns } from '$lib/state/inTurns.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import MiniScore from '$lib/ui/parts/score/MiniScore.svelte';
	import KeepBar from '$lib/ui/views/today/KeepBar.svelte';
	import ShelfCard from '$lib/ui/views/today/ShelfCard.svelte';
	import Shore from '$lib/ui/views/today/Shore.svelte';
	import WelcomeSteps from '$lib/ui/views/today/WelcomeSteps.svelte';

	const app = useApp();
	const WEEK_MS = 7 * 86_400_000;
	/** The shore shows two weeks. */
	const SHORE_MS = 2 * WEEK_MS;
	const now = new Date();
	const since = new Date(now.getTime() - SHORE_MS).toISOString();
	const sequences = liveRows(
		() => null,
		() => app.repo.sequences(),
		[]
	);
	const recent = liveRows(
		() => null,
		() => app.repo.sessionsSince(since),
		[]
	);
	const opened = liveRows(
		() => null,
		() => app.repo.openSessions(),
		[]
	);
	const lasts = liveRows(
		() => null,
		() => app.repo.lastVisits(),
		new Map<string, Session>()
	);
	const clients = $derived(app.current.all);
	const client = $derived(app.current.orFirst);
	/** So many clients that the one who is next does not wait until the last visits of all the others are read. */
	const MANY_CLIENTS = 30;
	const hers = liveRows(
		() => (clients.length > MANY_CLIENTS ? (client?.id ?? null) : null),
		async (id) => (id === null ? null : { id, last: await app.repo.lastVisitOf(id) }),
		null
	);
	/** Her last visit, read beforehand; null where it is not, or is of another one. */
	const ofNext = $derived(hers.current?.id === client?.id ? hers.current : null);
	const last = $derived((lasts.loaded ? lasts.current.get(client?.id ?? '') : ofNext?.last) ?? null);
	const open = $derived(opened.current);
	const done = $derived(recent.current.filter((s) => !open.some((o) => o.id === s.id)));
	/** An interrupted session is none yet: it is offered to go on with. */
	const week = $derived(done.filter((s) => now.getTime() - Date.parse(s.startedAt) < WEEK_MS));
	const next = $derived(sequences.current.find((s) => s.id === last?.sequence?.id)?.sequence ?? sequences.current[0]?.sequence ?? null);
	const events = $derived(next ? expand(next, app.context) : []);
	const byId = $derived(new Map(next ? stepsOf(next).map((s) => [s.step.id, s]) : []));
	const shelf = $derived(sequences.current.filter((s) => s.id !== next?.id).slice(0, 4));
	const shelved = inTurns(() => shelf.length, 0, 1);
	const others = $derived(clients.filter((c) => c.id !== client?.id).map((c) => ({ client: c, last: lasts.current.get(c.id) ?? null })));
	const name = (id: string) => app.current.byId(id)?.name ?? 'somebody';
	const when = (iso: string) => ago(iso, now);
	const words = (s: Session) => {
		const [top] = changesOf(HEADLINE_GRADE, s.before, s.after, app.working).sort((a, b) => (b.before ?? 0) - (a.before ?? 0));
		return top?.place
			? `${ZONES[top.place].label.toLowerCase()}, ${top.side}: ${top.before ?? '–'}${top.after === null ? '' : ` to ${top.after}`}`
			: 'not graded';
	};
	let width = $state(420);
	/** All of it at once: nothing is pushed down by what comes a moment later. */
	const here = $derived(app.current.loaded && sequences.loaded && recent.loaded && opened.loaded && (lasts.loaded || ofNext !== null));
	// Fewer at first than elsewhere: the next client and her sequence, judged and drawn, come in the same frame.
	const drawn = inTurns(() => (here ? others.length : 0), 12, 48);
	const empty = $derived(app.current.loaded && sequences.loaded && !clients.length && !sequences.current.length);
</script>

<div class="flex min-h-0 flex-1 overflow-hidden max-lg:flex-col max-lg:overflow-y-auto">
	<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-6" bind:clientWidth={width}>
		<div class="flex flex-wrap items-baseline gap-x-4 gap-y-1 pt-3 pb-2">
			<h1 class="text-xl leading-7 font-[520]">
				{longDay(now)}
			</h1>
			<p class="text-ink2">
				{!recent.loaded
					? ''
					: empty
						? 'A first day.'
						: `${week.length} ${week.length === 1 ? 'session' : 'sessions'} in the last seven days.`}
			</p>
		</div>
		{#if !here}<!-- the records are being read -->{:else if empty}
			<WelcomeSteps onaround={() => showAround(app)} />
		{:else}
			<KeepBar worth={!app.demo && clients.length + sequences.current.length > 0} />
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
						{#if next}<a class="btn btn-primary btn-large" href={sessionWith(next.id)}>Start</a>{:else}<a
								class="btn btn-large"
								href="/compose">Compose first</a
							>{/if}
					</div>
					{#if next}
						<p class="pt-1">
							<a class="dotted" href={composeAt(next.id)}>{next.title}</a>{' '}<span class="text-ink2"
								>· {clock(events.at(-1)?.endSeconds ?? 0)} · {next.school.title.toLowerCase()}</span
							>
						</p>
						<div class="py-1">
							<MiniScore {events} {byId} width={Math.min(560, width - 40)} label="Score of {next.title}" />
						</div>
					{/if}
					{#if client.cautions}<p><b class="text-flag">Client alert:</b> {client.cautions}</p>{/if}
					{#if last}<p class="text-ink2">
							Last time: <span class="water">{words(last)}</span>{last.note ? `. ${last.note}` : ''}
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
										>{:else if lasts.loaded}no session yet{:else}<span class="water">&nbsp;</span>{/if}</span
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
