<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { askedNow } from '$lib/core/perform/asks';
	import { happenedOf } from '$lib/core/perform/happened';
	import { soundtrackOf } from '$lib/core/perform/sounds';
	import type { SpokenId } from '$lib/core/perform/spoken';
	import type { RunEvent } from '$lib/core/records/runEntry';
	import type { ClientFacts } from '$lib/core/screening/clientFacts';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { useApp } from '$lib/state/app.svelte';
	import { kindHere, Listening } from '$lib/state/listening.svelte';
	import { modalOpen } from '$lib/state/modal';
	import { Pedals } from '$lib/state/pedals';
	import { Performing } from '$lib/state/performing.svelte';
	import type { SessionDraft } from '$lib/state/sessionDraft.svelte';
	import { StageSound } from './sound';
	import Stage from './Stage.svelte';

	interface Props {
		draft: SessionDraft;
		/** The sequence as it was performed so far, and the log of it. */
		sequence: Sequence;
		log: readonly RunEvent[];
		facts: ClientFacts | null;
		clientName: string;
		/** What is seen, and said once, before the first touch. */
		alerts: readonly string[];
		parts: Partial<Record<'screening' | 'before', string>>;
		/** Another part of the session is looked at: it pauses. */
		hidden: boolean;
		onredflags: () => void;
		/** It is over, with the sequence as it was performed, and whether one can go on with it. */
		onended: (performed: Sequence, resumable: boolean) => void;
	}
	let { draft, sequence, log, facts, clientName, alerts, parts, hidden, onredflags, onended }: Props = $props();

	const app = useApp();
	const sound = new StageSound(() => app.settings?.voiceRate ?? 1);
	/** The log as it is by now: what of it stays with the session. */
	const lines: RunEvent[] = untrack(() => [...log]);
	const performing = untrack(
		() =>
			new Performing({
				sequence,
				given: { ...app.context, client: facts },
				log,
				clock: () => performance.now(),
				now: () => Date.now(),
				waits: () => app.settings?.waits ?? false,
				onlog: (event) => {
					lines.push(event);
					note(event);
					if (event.kind === 'pause') sound.stop();
					else if (event.kind === 'go' || (event.kind === 'jump' && runner.playing)) sound.play(event.seconds);
				},
				onchange: (next) => keep(next),
				onsaid: (words) => app.settings?.voice !== 'none' && sound.say(words)
			})
	);
	const runner = performing.runner;
	/** Before the first touch it is said what is to be minded, and where it begins. */
	let leading = $state(false);
	/** Stops where it is, as when another window takes it over. */
	export function pause(): void {
		leading = false;
		runner.pause();
		sound.stop();
	}
	$effect(() => {
		if (hidden) untrack(pause);
	});
	/** What is heard: tones and words, as the settings say. */
	const track = $derived(
		soundtrackOf(performing.judgement.events, performing.judgement.context.byId, app.working, {
			voice: app.settings?.voice ?? 'none',
			rate: app.settings?.voiceRate ?? 1,
			tones: app.settings?.tone ?? true,
			alerts,
			performer: performing.sequence.performer
		})
	);
	$effect(() => {
		const now = track;
		untrack(() => sound.follow(now));
	});
	const SILENT = 'The browser keeps this page silent. Touch the face once more, or allow sound for it; till then the numeral counts.';
	function toggle() {
		if (leading || runner.playing) return pause();
		const begin = () => {
			leading = false;
			runner.go();
		};
		leading = !runner.begun && sound.lead(begin);
		if (!leading) begin();
	}
	const pedals = new Pedals({
		onsignal: (signal) => {
			if (hidden || modalOpen()) return;
			wake();
			if (signal === 'toggle') toggle();
			else if (signal === 'back') runner.back();
			else performing[signal]();
		},
		onplugged: (there, name) => app.tell('pedal', there ? '' : `The pedal “${name}” is not there any more. Keys and touch go on working.`)
	});
	$effect(() => pedals.follow());
	/** Spoken words, where the browser hears them on this machine. */
	const SPOKEN: Record<SpokenId, () => void> = {
		pause,
		go: () => !runner.playing && toggle(),
		back: () => runner.back(),
		skip: () => performing.skip(),
		more: () => performing.more(),
		less: () => performing.less(),
		otherSide: () => performing.otherSide(),
		even: () => performing.even(),
		oil: () => performing.note('oil'),
		tender: () => performing.note('tender'),
		lighter: () => performing.note('lighter'),
		firmer: () => performing.note('firmer')
	};
	const listening = new Listening((id) => {
		if (!hidden && !modalOpen()) SPOKEN[id]();
	});
	$effect(() => (app.settings?.listens ? listening.follow(kindHere()) : undefined));
	$effect(() => {
		app.tell('listening', listening.trouble);
		return () => app.tell('listening', '');
	});
	const here = $derived(runner.position.index);
	const asks = $derived(
		askedNow(performing.sequence, performing.judgement.events, here, (id) => performing.judgement.context.byId.get(id)!.number, app.context)
	);
	/** Lines of the log are written one after the other, in their order, and so is a sequence that goes on otherwise. */
	let writing: Promise<unknown> = Promise.resolve();
	function note(event: RunEvent) {
		writing = writing.then(() => app.run(() => app.repo.logRun(draft.current.id, event)));
	}
	/** The session keeps the sequence as it is performed now, and the plan as it was. */
	function keep(next: Sequence) {
		const plan = draft.current.planned ?? draft.current.sequence;
		writing = writing.then(async () => {
			const sequence = await app.run(() => app.repo.keepPerformed(next));
			if (sequence) await draft.change({ sequence, planned: plan });
		});
	}
	/** The place is noted every few seconds and at each stretch, so that an interruption loses nothing. */
	$effect(() => {
		void runner.position.repStartSeconds;
		untrack(() => runner.still());
	});

	let lock: WakeLockSentinel | null = null;
	async function stayAwake() {
		if (lock && !lock.released) return;
		lock = (await navigator.wakeLock?.request('screen').catch(() => null)) ?? null;
	}
	function wake() {
		sound.wake();
		// A moment later it is known whether the browser lets it sound.
		setTimeout(() => app.tell('sound', track.tones.length && sound.blocked ? SILENT : ''), 1500);
		void stayAwake();
	}
	onMount(() => {
		const still = () => runner.still();
		const seen = () => {
			runner.tick();
			if (!document.hidden && runner.playing) void stayAwake();
			runner.still();
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
	$effect(() => (runner.playing ? app.lock.keepOpen() : undefined));

	let ending = false;
	async function end() {
		if (ending) return;
		ending = true;
		pause();
		await writing;
		await draft.change({
			endedAt: app.repo.stamp().now,
			done: runner.done(),
			happened: happenedOf(lines),
			workedSeconds: Math.round(runner.workedSeconds),
			haltedSeconds: Math.round(runner.haltedSeconds)
		});
		const resumable = !runner.position.done;
		if (draft.saving.state === 'saved' && !resumable) await app.run(() => app.repo.endRun(draft.current.id));
		onended(performing.sequence, resumable);
	}
	$effect(() => {
		if (runner.position.done && draft.current.endedAt === null) untrack(() => void end());
	});
</script>

{#if !hidden}
	<Stage
		{performing}
		{asks}
		startedAt={draft.current.startedAt}
		{clientName}
		{alerts}
		{parts}
		working={app.context.working}
		onend={end}
		{onredflags}
		onwake={wake}
		ontoggle={toggle}
		onframe={() => pedals.look()}
		{leading}
	/>
{/if}
