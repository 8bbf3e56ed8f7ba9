<script lang="ts">
	import { clientAt, idIn, progressOf, sessionAt } from '$lib/ui/parts/shell/addresses';
	import { onMount, untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { factsOf } from '$lib/core/screening/clientFacts';
	import { allowedLines } from '$lib/core/screening/allowed';
	import { refusals } from '$lib/core/screening/start';
	import type { Client } from '$lib/core/records/client';
	import type { RunEvent } from '$lib/core/records/runEntry';
	import type { Session } from '$lib/core/records/session';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { useApp } from '$lib/state/app.svelte';
	import { followWhetherThere } from '$lib/state/stillThere.svelte';
	import { SessionDraft } from '$lib/state/sessionDraft.svelte';
	import GoneDialog from '$lib/ui/parts/shell/GoneDialog.svelte';
	import SecondVersions from '$lib/ui/parts/shell/SecondVersions.svelte';
	import { placesLookedAt } from '$lib/core/perform/lookedAt';
	import AfterBoard from '$lib/ui/views/session/AfterBoard.svelte';
	import BeforeBoard from '$lib/ui/views/session/BeforeBoard.svelte';
	import SessionLine from '$lib/ui/views/session/SessionLine.svelte';
	import PerformRoom from '$lib/ui/views/session/PerformRoom.svelte';
	import { StageHold } from '$lib/state/stageHold.svelte';

	const app = useApp();
	let draft = $state.raw<SessionDraft | null>(null);
	const session = $derived(draft?.current ?? null);
	let client = $state.raw<Client | null>(null);
	/** Its log, while it is being performed; null before and after. */
	let log = $state.raw<readonly RunEvent[] | null>(null);
	let room = $state<PerformRoom>();
	/** The sequence as it was performed so far. */
	let sequence = $state.raw<Sequence | null>(null);
	/** The sequence as it was planned, where something was changed while working. */
	let planned = $state.raw<Sequence | null>(null);
	let missing = $state(false);
	let loaded = $state(false);

	followWhetherThere(
		'session',
		() => idIn(page.params.id),
		() => draft?.current.id === idIn(page.params.id),
		() => void lose(draft!)
	);
	async function lose({ saving, current }: SessionDraft) {
		const owned = (await app.run(() => app.repo.has('client', current.clientId))) ?? false;
		saving.lose(`This session was removed in another window${owned ? '' : ', with the client that it belongs to'}.`, owned);
	}
	/** It was ended on its way and is not closed yet. */
	let resumable = $state(false);
	const facts = $derived(factsOf(client, app.today.current));
	const limits = $derived(facts?.limits ?? []);
	/** What is seen, and said once, before the first touch. */
	const alerts = $derived([
		...(client?.cautions ? [client.cautions] : []),
		...allowedLines(limits, app.today.current).map(({ name, effects }) => `${name}: ${effects.join(', ')}`)
	]);
	/** Before can be looked at, and corrected, at any time. */
	const atBefore = $derived(page.url.searchParams.get('part') === 'before');
	const parts = $derived(session ? { screening: clientAt(session.clientId), before: sessionAt(session.id, 'before') } : {});
	async function resume() {
		const id = draft?.current.id;
		if (!id) return;
		await draft!.change({ endedAt: null, done: [], happened: [], workedSeconds: 0, haltedSeconds: 0 });
		if (draft!.saving.state === 'saved') await load(id);
	}
	let redFlags = $state(false);
	/** What ends the day before it has begun. */
	let refused = $state.raw<ReturnType<typeof refusals>>([]);
	/** Two windows would write one log. */
	const hold = new StageHold(navigator.locks as LockManager | undefined, () => room?.pause());
	const onStage = $derived(session !== null && session.endedAt === null && sequence !== null && log !== null && hold.state === 'mine');
	onMount(() => () => hold.release());
	async function takeOver() {
		const id = draft?.current.id;
		if (!id) return;
		await hold.takeOver(id);
		await load(id, true);
	}
	/** @param held the session is this window's already */
	async function load(id: string, held = false) {
		[log, loaded] = [null, false];
		const found = (await app.run(() => app.repo.session(id))) ?? null;
		draft = found ? new SessionDraft(found, app.repo) : null;
		missing = found === null;
		if (!found) return;
		client = (await app.run(() => app.repo.client(found.clientId))) ?? null;
		sequence = (await app.run(() => app.repo.performed(found))) ?? null;
		planned = (await app.run(() => app.repo.planned(found))) ?? null;
		resumable = false;
		loaded = true;
		if (!sequence) return;
		const lines = (await app.run(() => app.repo.run(id))) ?? [];
		if (found.endedAt) {
			// Its log lies here until the session is closed: till then one can go on.
			resumable = lines.some((line) => line.kind === 'go');
			return;
		}
		if (!held) await hold.ask(id);
		// What ends the day ends it by every way: a session from a file or an old address is not begun either.
		refused = lines.some((line) => line.kind !== 'begin') ? [] : refusals(limits);
		if (refused.length) return;
		log = lines;
	}
	$effect(() => {
		const id = idIn(page.params.id);
		untrack(() => void load(id));
	});

	$effect(() => {
		app.tell('session', draft?.saving.trouble ?? '');
		return () => app.tell('session', '');
	});
	/** Leaves only what is saved: after a failure the page stays, with all that was written, and says why. */
	async function close(fields: Partial<Session>) {
		await draft?.change(fields);
		if (!session || draft?.saving.state !== 'saved') return;
		await app.run(() => app.repo.endRun(session.id));
		await goto(progressOf(session.clientId, session.id));
	}
</script>

{#if missing}
	<div class="p-6">
		<h1 class="text-xl">This session is not here</h1>
		<p class="text-ink2 my-2">{app.storeless || 'It may have been removed, or it lives in another browser.'}</p>
		<a class="btn" href="/session">Begin a session</a>
	</div>
{:else if session && refused.length}
	<div class="mx-auto max-w-[620px] space-y-3 p-6 text-[15px] leading-6" role="alert">
		<h1 class="flare text-flag text-[22px] font-[540]">No massage today. Refer.</h1>
		{#each refused as r (r.id)}<p><b class="font-semibold">{r.name}.</b> {r.reason}</p>{/each}
		<p>This session is not begun. It stays as it is, and can be taken up on a day on which nothing speaks against it.</p>
		<a class="btn" href={clientAt(session.clientId)}>Her record</a>
	</div>
{:else if session && atBefore}
	<header class="border-hair flex min-h-11 flex-wrap items-center gap-x-6 border-b px-5">
		<SessionLine at="before" to={{ screening: parts.screening, [onStage ? 'perform' : 'after']: sessionAt(session.id) }} />
		<span class="ml-auto"><b>{client?.name ?? ''}</b>{session.sequence ? `, ${session.sequence.title}` : ''}</span>
	</header>
	<BeforeBoard
		{session}
		asked={placesLookedAt(sequence)}
		orientation={sequence?.orientation ?? 'facing'}
		{limits}
		unit={app.settings?.units ?? 'mm'}
		onchange={(fields) => draft?.change(fields)}
		back={sessionAt(session.id)}
		backLabel={onStage ? 'To the stage' : 'To after'}
	/>
{:else if session && session.endedAt === null && (hold.state === 'elsewhere' || hold.state === 'taken')}
	<div class="mx-auto max-w-[620px] space-y-3 p-6 text-[17px] leading-7" role="alert">
		<h1 class="flare text-[24px] font-[540]">This session is performed in another window</h1>
		<p>
			{hold.state === 'taken' ? 'It was taken over there, and waits here.' : 'Two windows would write one record.'} Go on there, or take it over
			to this one: it goes on at the repetition that was last noted, and stops there.
		</p>
		<button type="button" class="btn btn-large btn-primary" onclick={takeOver}>Take it over</button>
	</div>
{:else if session && loaded && (session.endedAt !== null || !sequence)}
	<div class="px-5"><SecondVersions kind="session" id={session.id} onsettled={() => load(session.id)} /></div>
	<AfterBoard
		{session}
		{sequence}
		planned={planned ?? sequence}
		clientName={client?.name ?? ''}
		context={app.context}
		unit={app.settings?.units ?? 'mm'}
		onchange={(fields) => draft?.change(fields)}
		onclose={close}
		onresume={resumable ? resume : null}
		blind={app.settings?.gradesBlind ?? false}
		onblind={(gradesBlind) => app.save({ gradesBlind })}
		{parts}
		now={() => new Date().toISOString()}
	/>
{/if}
{#if draft && sequence && log && onStage && !refused.length}
	<PerformRoom
		bind:this={room}
		{draft}
		{sequence}
		{log}
		{facts}
		clientName={client?.name ?? ''}
		{alerts}
		{parts}
		hidden={atBefore}
		onredflags={() => (redFlags = true)}
		onended={(performed, more) => {
			if (performed !== sequence) planned ??= sequence;
			[sequence, resumable] = [performed, more];
		}}
	/>
{/if}
{#if draft?.saving.gone}
	<GoneDialog {...draft.saving.gone} onkeep={() => draft?.keepAsNew()} ondrop={() => goto('/')} />
{/if}
{#if redFlags}{#await import('$lib/ui/parts/shell/RedFlags.svelte') then { default: RedFlags }}<RedFlags
			bind:open={redFlags}
		/>{/await}{/if}
