<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import type { Client, Session } from '$lib/core/measure/records.schema';
	import { judge, type Judgement } from '$lib/core/rules/judge';
	import { useApp } from '$lib/state/app.svelte';
	import { Runner, type RunState } from '$lib/state/runner.svelte';
	import { SessionDraft } from '$lib/state/sessionDraft.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import { settleRecord } from '$lib/store/saveRecord';
	import OtherVersion from '$lib/ui/parts/shell/OtherVersion.svelte';
	import AfterBoard from '$lib/ui/views/session/AfterBoard.svelte';
	import Stage from '$lib/ui/views/session/Stage.svelte';
	import { Tones } from '$lib/ui/views/session/tone';

	const app = useApp();
	const tones = new Tones();
	let draft = $state.raw<SessionDraft | null>(null);
	const session = $derived(draft?.current ?? null);
	let client = $state.raw<Client | null>(null);
	let judgement = $state.raw<Judgement | null>(null);
	let runner = $state.raw<Runner | null>(null);
	let missing = $state(false);
	const performing = $derived(session !== null && session.endedAt === null && runner !== null);
	const storeKey = (id: string) => `soft-tide-stage-${id}`;

	const seconds = liveRows(
		() => page.params.id!,
		(id) => app.repo.secondVersionsOf(id),
		[]
	);
	const second = $derived(seconds.current[0] ?? null);
	const facts = $derived.by(() => {
		const other = second?.record as Session | undefined;
		if (!session || !other) return [];
		const count = (s: Session) => `${s.before.grades.length} before, ${s.after?.grades.length ?? 0} after`;
		return [
			{ name: 'Places felt', stored: count(session), second: count(other) },
			{ name: 'Worked', stored: `${session.workedSeconds} s`, second: `${other.workedSeconds} s` },
			{ name: 'Side effects', stored: session.sideEffects, second: other.sideEffects },
			{ name: 'Note', stored: session.note, second: other.note }
		];
	});
	async function settle(choice: 'stored' | 'second') {
		if (!second) return;
		await app.run(() => settleRecord(app.repo.db, second, choice, app.repo.stamp()));
		await load(second.recordId);
	}
	async function load(id: string) {
		const found = (await app.run(() => app.repo.session(id))) ?? null;
		draft = found ? new SessionDraft(found, app.repo) : null;
		missing = found === null;
		if (!found) return;
		client = (await app.run(() => app.repo.client(found.clientId))) ?? null;
		if (!found.sequence || found.endedAt) return;
		judgement = judge(found.sequence, app.context);
		runner = new Runner({
			events: judgement.events,
			clock: () => performance.now(),
			resume: remembered(id),
			onbeat: (kind) => app.settings?.tone !== false && tones.play(kind)
		});
	}
	function remembered(id: string): RunState | undefined {
		try {
			const text = localStorage.getItem(storeKey(id));
			return text ? (JSON.parse(text) as RunState) : undefined;
		} catch {
			return undefined;
		}
	}
	$effect(() => {
		const { id } = page.params;
		untrack(() => void load(id!));
	});

	/** The place is noted every few seconds and at each step, so that an interruption loses nothing. */
	const note = () => runner && session && localStorage.setItem(storeKey(session.id), JSON.stringify(runner.state()));
	$effect(() => {
		void runner?.position.index;
		void runner?.playing;
		untrack(note);
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
		const seen = () => {
			runner?.tick();
			if (!document.hidden && runner?.playing) void stayAwake();
			note();
		};
		document.addEventListener('visibilitychange', seen);
		window.addEventListener('pagehide', note);
		const noting = setInterval(note, 2000);
		return () => {
			document.removeEventListener('visibilitychange', seen);
			window.removeEventListener('pagehide', note);
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
		if (draft.saving.state === 'saved') localStorage.removeItem(storeKey(draft.current.id));
		void lock?.release();
	}
	$effect(() => {
		if (runner?.position.done && session?.endedAt === null) untrack(() => void end());
	});
	$effect(() => {
		if (draft?.saving.trouble) app.trouble = draft.saving.trouble;
	});
	async function close(fields: Partial<Session>) {
		await draft?.change(fields);
		if (session) await goto(`/progress?client=${session.clientId}&session=${session.id}`);
	}
</script>

<svelte:head><title>Session · Soft Tide</title></svelte:head>
{#if missing}
	<div class="p-6">
		<h1 class="text-xl">This session is not here</h1>
		<p class="text-ink2 my-2">It may have been removed, or it lives in another browser.</p>
		<a class="btn" href="/session">Begin a session</a>
	</div>
{:else if session && performing && judgement && session.sequence && runner}
	<Stage
		{runner}
		{judgement}
		sequence={session.sequence}
		clientName={client?.name ?? ''}
		working={app.context.working}
		onend={end}
		onwake={wake}
	/>
{:else if session}
	{#if second}<div class="px-5"><OtherVersion {facts} onchoose={settle} /></div>{/if}
	<AfterBoard
		{session}
		clientName={client?.name ?? ''}
		context={app.context}
		unit={app.settings?.units ?? 'mm'}
		onchange={(fields) => draft?.change(fields)}
		onclose={close}
		now={() => new Date().toISOString()}
	/>
{/if}
