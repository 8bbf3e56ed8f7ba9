<script lang="ts">
	import { clientAt, idIn, progressOf, sessionAt } from '$lib/ui/parts/shell/addresses';
	import { onMount, untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { askedNow } from '$lib/core/perform/asks';
	import { happenedOf } from '$lib/core/perform/happened';
	import { factsOf } from '$lib/core/screening/clientFacts';
	import { allowedLines } from '$lib/core/screening/allowed';
	import { refusals } from '$lib/core/screening/start';
	import type { Client } from '$lib/core/records/client';
	import type { RunEvent } from '$lib/core/records/runEntry';
	import type { Session } from '$lib/core/records/session';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { useApp } from '$lib/state/app.svelte';
	import { Performing } from '$lib/state/performing.svelte';
	import { followWhetherThere } from '$lib/state/stillThere.svelte';
	import { SessionDraft } from '$lib/state/sessionDraft.svelte';
	import GoneDialog from '$lib/ui/parts/shell/GoneDialog.svelte';
	import SecondVersions from '$lib/ui/parts/shell/SecondVersions.svelte';
	import { placesLookedAt } from '$lib/core/perform/lookedAt';
	import AfterBoard from '$lib/ui/views/session/AfterBoard.svelte';
	import BeforeBoard from '$lib/ui/views/session/BeforeBoard.svelte';
	import SessionLine from '$lib/ui/views/session/SessionLine.svelte';
	import Stage from '$lib/ui/views/session/Stage.svelte';
	import { soundtrackOf } from '$lib/core/perform/sounds';
	import { Pedals } from '$lib/state/pedals';
	import { modalOpen } from '$lib/state/modal';
	import { StageSound, voiceHere } from '$lib/ui/views/session/sound';

	const app = useApp();
	const sound = new StageSound(() => app.settings?.voiceRate ?? 1);
	let draft = $state.raw<SessionDraft | null>(null);
	const session = $derived(draft?.current ?? null);
	let client = $state.raw<Client | null>(null);
	/** What is being performed; null before and after. */
	let performing = $state.raw<Performing | null>(null);
	/** The sequence as it was performed, of a session that is over, or refused. */
	let over = $state.raw<Sequence | null>(null);
	/** The sequence as it was planned, where something was changed while working. */
	let planned = $state.raw<Sequence | null>(null);
	const sequence = $derived(performing?.sequence ?? over);
	const judgement = $derived(performing?.judgement ?? null);
	const runner = $derived(performing?.runner ?? null);
	let missing = $state(false);
	const onStage = $derived(session !== null && session.endedAt === null && performing !== null);

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
	$effect(() => {
		if (atBefore) untrack(() => runner?.pause());
	});
	async function resume() {
		const id = draft?.current.id;
		if (!id) return;
		await draft!.change({ endedAt: null, done: [], happened: [], workedSeconds: 0, haltedSeconds: 0 });
		if (draft!.saving.state === 'saved') await load(id);
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
		over = (await app.run(() => app.repo.performed(found))) ?? null;
		planned = (await app.run(() => app.repo.planned(found))) ?? null;
		performing = null;
		resumable = false;
		if (!over) return;
		const log = (await app.run(() => app.repo.run(id))) ?? [];
		if (found.endedAt) {
			// Its log lies here until the session is closed: till then one can go on.
			resumable = log.some((line) => line.kind === 'go');
			return;
		}
		// What ends the day ends it by every way: a session from a file or an old address is not begun either.
		refused = log.some((line) => line.kind !== 'begin') ? [] : refusals(limits);
		if (refused.length) return;
		performing = new Performing({
			sequence: over,
			given: { ...app.context, client: facts },
			log,
			clock: () => performance.now(),
			now: () => Date.now(),
			waits: () => app.settings?.waits ?? false,
			onlog: (event) => {
				lines.push(event);
				note(id, event);
				if (event.kind === 'pause') sound.stop();
				else if (event.kind === 'go' || (event.kind === 'jump' && runner?.playing)) sound.play(event.seconds);
			},
			onchange: (next) => keep(next),
			onsaid: (words) => app.settings?.voice !== 'none' && sound.say(words)
		});
		lines = log;
	}
	/** The log as it is by now: what of it stays with the session. */
	let lines: RunEvent[] = [];
	/** What is heard: tones and words, as the settings say. */
	const track = $derived(
		judgement &&
			soundtrackOf(judgement.events, judgement.context.byId, app.working, {
				voice: app.settings?.voice ?? 'none',
				rate: app.settings?.voiceRate ?? 1,
				tones: app.settings?.tone ?? true,
				alerts,
				performer: sequence?.performer ?? 'client'
			})
	);
	$effect(() => {
		if (track) untrack(() => sound.follow(track));
	});
	const SILENT = 'The browser keeps this page silent. Touch the face once more, or allow sound for it; till then the numeral counts.';
	/** Before the first touch it is said what is to be minded, and where it begins. */
	let leading = $state<ReturnType<typeof setTimeout> | null>(null);
	function toggle() {
		if (!runner) return;
		if (leading !== null) {
			clearTimeout(leading);
			leading = null;
			return sound.stop();
		}
		if (runner.playing) return runner.pause();
		const lead = runner.begun || !voiceHere() ? 0 : -(track?.spoken[0]?.atSeconds ?? 0);
		if (lead <= 0) return runner.go();
		sound.play(-lead);
		leading = setTimeout(() => {
			leading = null;
			runner?.go();
		}, 1000 * lead);
	}
	const pedals = new Pedals({
		onsignal: (signal) => {
			if (!onStage || modalOpen()) return;
			wake();
			if (signal === 'toggle') toggle();
			else if (signal === 'back') runner?.back();
			else performing?.[signal]();
		},
		onplugged: (there, name) => app.tell('pedal', there ? '' : `The pedal “${name}” is not there any more. Keys and touch go on working.`)
	});
	$effect(() => pedals.follow());
	const here = $derived(runner?.position.index ?? 0);
	const asks = $derived(
		sequence && judgement ? askedNow(sequence, judgement.events, here, (id) => judgement!.context.byId.get(id)!.number, app.context) : []
	);
	/** Lines of the log are written one after the other, in their order, and so is a sequence that goes on otherwise. */
	let writing: Promise<unknown> = Promise.resolve();
	function note(id: string, event: RunEvent) {
		writing = writing.then(() => app.run(() => app.repo.logRun(id, event)));
	}
	/** The session keeps the sequence as it is performed now, and the plan as it was. */
	function keep(next: Sequence) {
		const plan = draft!.current.planned ?? draft!.current.sequence;
		writing = writing.then(async () => {
			const sequence = await app.run(() => app.repo.keepPerformed(next));
			if (sequence) await draft?.change({ sequence, planned: plan });
		});
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
		sound.wake();
		// A moment later it is known whether the browser lets it sound.
		setTimeout(() => app.tell('sound', track?.tones.length && sound.blocked ? SILENT : ''), 1500);
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
			sound.close();
			for (const about of ['sound', 'pedal']) app.tell(about, '');
		};
	});

	// Nobody touches the screen while she works: it stays open.
	$effect(() => (runner?.playing ? app.lock.keepOpen() : undefined));

	async function end() {
		if (!draft || !runner) return;
		runner.pause();
		await writing;
		await draft.change({
			endedAt: app.repo.stamp().now,
			done: runner.done(),
			happened: happenedOf(lines),
			workedSeconds: Math.round(runner.workedSeconds),
			haltedSeconds: Math.round(runner.haltedSeconds)
		});
		const { id } = draft.current;
		resumable = !runner.position.done;
		if (draft.saving.state === 'saved' && !resumable) await app.run(() => app.repo.endRun(id));
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
{:else if session && onStage && performing}
	<Stage
		{performing}
		{asks}
		startedAt={session.startedAt}
		clientName={client?.name ?? ''}
		{alerts}
		{parts}
		working={app.context.working}
		onend={end}
		onredflags={() => (redFlags = true)}
		onwake={wake}
		ontoggle={toggle}
		onframe={() => pedals.look()}
		leading={leading !== null}
	/>
{:else if session}
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
		{parts}
		now={() => new Date().toISOString()}
	/>
{/if}
{#if draft?.saving.gone}
	<GoneDialog {...draft.saving.gone} onkeep={() => draft?.keepAsNew()} ondrop={() => goto('/')} />
{/if}
{#if redFlags}{#await import('$lib/ui/parts/shell/RedFlags.svelte') then { default: RedFlags }}<RedFlags
			bind:open={redFlags}
		/>{/await}{/if}
