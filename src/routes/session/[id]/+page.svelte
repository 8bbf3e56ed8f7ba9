<script lang="ts">
	import { clientAt, idIn, progressOf } from '$lib/ui/parts/shell/addresses';
	import { onMount, untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { askedNow, metNow } from '$lib/core/perform/asks';
	import { cuesOf, type CueKind } from '$lib/core/perform/cues';
	import { factsOf } from '$lib/core/screening/clientFacts';
	import { refusals } from '$lib/core/screening/start';
	import type { Client } from '$lib/core/records/client';
	import type { RunEvent } from '$lib/core/records/runEntry';
	import type { Session } from '$lib/core/records/session';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { judge, type Judgement } from '$lib/core/rules/judge';
	import { useApp } from '$lib/state/app.svelte';
	import { Runner } from '$lib/state/runner.svelte';
	import { followWhetherThere } from '$lib/state/stillThere.svelte';
	import { SessionDraft } from '$lib/state/sessionDraft.svelte';
	import GoneDialog from '$lib/ui/parts/shell/GoneDialog.svelte';
	import SecondVersions from '$lib/ui/parts/shell/SecondVersions.svelte';
	import AfterBoard from '$lib/ui/views/session/AfterBoard.svelte';
	import Stage from '$lib/ui/views/session/Stage.svelte';
	import { Tones } from '$lib/ui/views/session/tone';

	const app = useApp();
	const tones = new Tones();
	let draft = $state.raw<SessionDraft | null>(null);
	const session = $derived(draft?.current ?? null);
	let client = $state.raw<Client | null>(null);
	/** The sequence as it was when the session began. */
	let sequence = $state.raw<Sequence | null>(null);
	let judgement = $state.raw<Judgement | null>(null);
	let runner = $state.raw<Runner | null>(null);
	let missing = $state(false);
	const performing = $derived(session !== null && session.endedAt === null && runner !== null);

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
	let redFlags = $state(false);
	/** What ends the day before it has begun. */
	let refused = $state.raw<ReturnType<typeof refusals>>([]);
	async function load(id: string) {
		const found = (await app.run(() => app.repo.session(id))) ?? null;
		draft = found ? new SessionDraft(found, app.repo) : null;
		missing = found === null;
		if (!found) return;
		client = (await app.run(() => app.repo.client(found.clientId))) ?? null;
		sequence = (await app.run(() => app.repo.performed(found))) ?? null;
		if (!sequence || found.endedAt) return;
		const log = (await app.run(() => app.repo.run(id))) ?? [];
		// What ends the day ends it by every way: a session from a file or an old address is not begun either.
		refused = log.some((line) => line.kind !== 'begin') ? [] : refusals(factsOf(client, app.today.current)?.limits ?? []);
		if (refused.length) return;
		judgement = judge(sequence, { ...app.context, client: factsOf(client, app.today.current) });
		const { events, context } = judgement;
		runner = new Runner({
			events,
			cues: cuesOf(events, context.byId, app.working),
			clock: () => performance.now(),
			now: () => Date.now(),
			log,
			onlog: (event) => note(id, event),
			oncue: ({ kind }) => app.settings?.tone !== false && tones.play(kind as CueKind & ('step' | 'side' | 'stroke'))
		});
	}
	const here = $derived(runner?.position.index ?? 0);
	const asks = $derived(
		sequence && judgement ? askedNow(sequence, judgement.events, here, (id) => judgement!.context.byId.get(id)!.number, app.context) : []
	);
	/** A condition is met: the step is done next, and the session keeps the sequence as it is performed now. */
	async function meet(stepId: string) {
		const next = sequence && judgement && metNow(sequence, stepId, judgement.events, here, app.context);
		if (!next || !runner) return;
		sequence = next;
		judgement = judge(next, { ...app.context, client: factsOf(client, app.today.current) });
		runner.follow({ events: judgement.events, cues: cuesOf(judgement.events, judgement.context.byId, app.working) });
		const kept = await app.run(() => app.repo.keepPerformed(next));
		if (kept) await draft?.change({ sequence: kept });
	}
	/** Lines of the log are written one after the other, in their order. */
	let writing: Promise<unknown> = Promise.resolve();
	function note(id: string, event: RunEvent) {
		writing = writing.then(() => app.run(() => app.repo.logRun(id, event)));
	}
	$effect(() => {
		const id = idIn(page.params.id);
		untrack(() => void load(id));
	});

	/** The place is noted every few seconds and at each stretch, so that an interruption loses nothing. */
	$effect(() => {
		void runner?.position.repStartSeconds;
		untrack(() => runner?.still());
	});

	let lock: WakeLockSentinel | null = null;
	async function stayAwake() {
		if (lock && !lock.released) return;
		lock = (await navigator.wakeLock?.request('screen').catch(() => null)) ?? null;
	}
	function wake() {
		tones.wake();
		void stayAwake();
	}
	onMount(() => {
		const still = () => runner?.still();
		const seen = () => {
			runner?.tick();
			if (!document.hidden && runner?.playing) void stayAwake();
			runner?.still();
		};
		document.addEventListener('visibilitychange', seen);
		window.addEventListener('pagehide', still);
		const noting = setInterval(still, 2000);
		return () => {
			document.removeEventListener('visibilitychange', seen);
			window.removeEventListener('pagehide', still);
			clearInterval(noting);
			void lock?.release();
			tones.close();
		};
	});

	async function end() {
		if (!draft || !runner) return;
		runner.pause();
		const [done, workedSeconds, haltedSeconds] = [runner.done(), Math.round(runner.workedSeconds), Math.round(runner.haltedSeconds)];
		await draft.change({ endedAt: app.repo.stamp().now, done, workedSeconds, haltedSeconds });
		await writing;
		const { id } = draft.current;
		if (draft.saving.state === 'saved') await app.run(() => app.repo.endRun(id));
		void lock?.release();
	}
	$effect(() => {
		if (runner?.position.done && session?.endedAt === null) untrack(() => void end());
	});
	$effect(() => {
		app.tell('session', draft?.saving.trouble ?? '');
		return () => app.tell('session', '');
	});
	/** Leaves only what is saved: after a failure the page stays, with all that was written, and says why. */
	async function close(fields: Partial<Session>) {
		await draft?.change(fields);
		if (session && draft?.saving.state === 'saved') await goto(progressOf(session.clientId, session.id));
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
{:else if session && performing && judgement && sequence && runner}
	<Stage
		{runner}
		{judgement}
		{sequence}
		{asks}
		onmet={meet}
		clientName={client?.name ?? ''}
		working={app.context.working}
		onend={end}
		onredflags={() => (redFlags = true)}
		onwake={wake}
	/>
{:else if session}
	<div class="px-5"><SecondVersions kind="session" id={session.id} onsettled={() => load(session.id)} /></div>
	<AfterBoard
		{session}
		{sequence}
		clientName={client?.name ?? ''}
		context={app.context}
		unit={app.settings?.units ?? 'mm'}
		onchange={(fields) => draft?.change(fields)}
		onclose={close}
		now={() => new Date().toISOString()}
	/>
{/if}
{#if draft?.saving.gone}
	<GoneDialog {...draft.saving.gone} onkeep={() => draft?.keepAsNew()} ondrop={() => goto('/')} />
{/if}
{#if redFlags}{#await import('$lib/ui/parts/shell/RedFlags.svelte') then { default: RedFlags }}<RedFlags
			bind:open={redFlags}
		/>{/await}{/if}
