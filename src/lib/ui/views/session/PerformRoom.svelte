<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { askedNow } from '$lib/core/perform/asks';
	import { happenedOf } from '$lib/core/perform/happened';
	import { clock } from '$lib/core/step/describe';
	import { USUAL_DISTANCE_M } from '$lib/core/perform/legible';
	import { FOOT_ITEMS, type FootItem } from '$lib/core/perform/footMenu';
	import { planOf } from '$lib/core/perform/instruction/moment';
	import { arrivalWords, whereWords } from '$lib/core/perform/where';
	import { FeetMenu } from '$lib/state/feetMenu.svelte';
	import { soundtrackOf } from '$lib/core/perform/sounds';
	import type { Voice } from '$lib/core/records/voices';
	import type { SpokenId } from '$lib/core/perform/spoken';
	import type { RunEvent } from '$lib/core/records/runEntry';
	import type { ClientFacts } from '$lib/core/screening/clientFacts.schema';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import type { Learnt } from '$lib/core/visit/learnt';
	import { useApp } from '$lib/state/app.svelte';
	import { kindHere, Listening } from '$lib/state/listening.svelte';
	import { modalOpen } from '$lib/state/modal';
	import { Pedals } from '$lib/state/pedals';
	import { Performing } from '$lib/state/performing.svelte';
	import { ClockWatch } from '$lib/state/clockWatch';
	import { RunLog } from '$lib/state/runLog';
	import type { SessionDraft } from '$lib/state/sessionDraft.svelte';
	import { StageSound, voiceHere, voicesHere } from './sound';
	import Stage from './Stage.svelte';

	interface Props {
		draft: SessionDraft;
		/** The sequence as it was performed so far, and the log of it. */
		sequence: Sequence;
		log: readonly RunEvent[];
		/** Plans that were in force before a change, by their snapshots. */
		plans: ReadonlyMap<string, Sequence>;
		/** What the visit before taught. */
		learnt: readonly Learnt[];
		facts: ClientFacts | null;
		clientName: string;
		/** What is seen, and said once, before the first touch. */
		alerts: readonly string[];
		parts: Partial<Record<'screening' | 'before', string>>;
		/** Another part of the session is looked at: it pauses. */
		hidden: boolean;
		onredflags: () => void;
		/** It is over, with the sequence as it was performed. */
		onended: (performed: Sequence) => void;
	}
	let { draft, sequence, log, plans, learnt, facts, clientName, alerts, parts, hidden, onredflags, onended }: Props = $props();

	const app = useApp();
	/** How fast the voice of this machine really speaks, once it has been heard. */
	let pace = $state(1);
	const sound = new StageSound({
		rate: () => app.settings?.voiceRate ?? 1,
		volume: () => app.settings?.volume ?? 1,
		onpace: (measured) => (pace = measured),
		onsilent: (silent) => app.tell('sound', silent ? SILENT : '')
	});
	/** Milliseconds since 1970 by a clock that nobody sets, and never before what was logged. */
	const openedAt = { wall: Math.max(Date.now(), ...untrack(() => log.map((line) => line.atMs))), clock: performance.now() };
	const now = () => openedAt.wall + performance.now() - openedAt.clock;
	/** The log as it is by now: what of it stays with the session. */
	const lines: RunEvent[] = untrack(() => [...log]);
	const performing = untrack(
		() =>
			new Performing({
				sequence,
				given: { ...app.context, client: facts },
				log,
				clock: () => performance.now(),
				now,
				heard: () => sound.heard,
				plans,
				waits: () => app.settings?.waits ?? 'signs',
				onsign: () => sound.stop(),
				onlog: (event) => {
					lines.push(event);
					note(event);
					if (event.kind === 'pause') sound.stop();
					else if (event.kind === 'go' || ((event.kind === 'jump' || event.kind === 'undo') && runner.playing)) {
						const led = event.kind === 'go' && event.seconds === 0;
						sound.play(event.seconds);
						// What the lead has said is not said again.
						if (!led) queueMicrotask(arrived);
					}
				},
				onchange: (next) => keep(next),
				onsaid: (words, corrected) =>
					app.settings?.voice !== 'none' && sound.say(corrected && runner.playing ? `${words} ${whereWords(plan, runner.position)}` : words)
			})
	);
	const runner = performing.runner;
	const NO_VOICE = 'This browser has no English voice of its own: tones and the words on the stage carry it.';
	/** How much was said before it was made quiet. */
	let spokenBefore: Voice = 'places';
	/** Voices come late in some browsers. */
	let voices = $state(0);
	const voiceNow = $derived.by(() => {
		void voices;
		const wanted = app.settings?.voice ?? 'none';
		if (wanted === 'none') return { state: 'off' as const, words: 'Voice off' };
		return voiceHere() ? { state: 'on' as const, words: 'Voice on' } : { state: 'none' as const, words: 'No voice found' };
	});
	/** Speaks, or is quiet: what was said before comes back. */
	function changeVoice() {
		const wanted = app.settings?.voice ?? 'none';
		if (wanted !== 'none') spokenBefore = wanted;
		void app.save({ voice: wanted === 'none' ? spokenBefore : 'none' });
		wake();
	}
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
	let stage = $state<{ yes: () => void; no: () => void; stop: () => void }>();
	const plan = $derived(planOf(performing.judgement.events, performing.judgement.context.byId, app.context.working, performing.sequence));
	/** Says where one is, at any time. */
	const where = () => tell(whereWords(plan, runner.position));
	/** After a signal the place, side and count at hand are said at once; what was said before it is broken off. */
	const arrived = () => {
		const words = arrivalWords(plan, runner.position);
		if (words && runner.playing && app.settings?.voice !== 'none') sound.say(words);
	};
	/** What is heard: tones and words, as the settings say. */
	const track = $derived(
		soundtrackOf(performing.judgement.events, performing.judgement.context.byId, app.working, {
			voice: app.settings?.voice ?? 'none',
			rate: (app.settings?.voiceRate ?? 1) * pace,
			tones: app.settings?.tone ?? true,
			alerts,
			led: performing.sequence
		})
	);
	$effect(() => {
		const now = track;
		untrack(() => sound.follow(now));
	});
	/** How long voices are waited for before it begins without them, ms. */
	const VOICES_MS = 1500;
	const SILENT = 'The browser keeps this page silent. Touch the face once more, or allow sound for it; till then the numeral counts.';
	const toggle = () => performing.toggle(toggleNow);
	function toggleNow() {
		if (runner.untilSign !== null && runner.playing) return runner.signed();
		if (leading || runner.playing) return pause();
		const begin = () => {
			leading = false;
			runner.go();
		};
		if (runner.begun) return begin();
		leading = true;
		// Voices come late in some browsers: the hands are not told to begin before what is to be minded could be said.
		void voicesHere(app.settings?.voice === 'none' ? 0 : VOICES_MS).then(() => {
			if (!leading) return;
			leading = sound.lead(begin);
			if (leading) return;
			begin();
			if (alerts.length && app.settings?.voice !== 'none') performing.said = `Not said aloud: ${alerts.join('. ')}`;
			else if (app.settings?.voice === 'none') performing.said = 'The voice is off. M turns it on.';
		});
	}
	/** What is asked for by foot or by voice, besides what the hands can touch. */
	const asked: Record<FootItem, () => void> = {
		yes: () => stage?.yes(),
		undo: () => performing.undo(),
		tender: () => performing.note('tender'),
		ten: () => fitTo(600),
		swap: () => performing.swap(),
		quiet: changeVoice,
		softer: () => louder(-0.2),
		louder: () => louder(0.2),
		slower: () => faster(-0.1),
		stop: () => stage?.stop(),
		back: () => {}
	};
	/** What can be asked for only now and then. */
	const possible: Partial<Record<FootItem, () => boolean>> = {
		yes: () => Boolean(performing.fit || performing.uneven || asks[0] || runner.untilSign !== null),
		undo: () => performing.undoWords !== '',
		ten: () => runner.begun,
		swap: () => runner.begun
	};
	const feet = new FeetMenu({
		can: (item) => possible[item]?.() ?? true,
		ontake: (item) => asked[item](),
		onsaid: tell,
		clock: () => performance.now()
	});
	/** Said aloud where there is a voice, and always shown. */
	function tell(words: string) {
		performing.said = words;
		if (app.settings?.voice !== 'none') sound.say(words);
	}
	const louder = (by: number) => app.save({ volume: clamp((app.settings?.volume ?? 1) + by, 0.1, 1) });
	const faster = (by: number) => app.save({ voiceRate: clamp((app.settings?.voiceRate ?? 1) + by, 0.6, 1.6) });
	const clamp = (n: number, least: number, most: number) => Number(Math.min(most, Math.max(least, n)).toFixed(1));
	/** How what is left would fit into so many seconds: it waits for yes or no. */
	function fitTo(seconds: number) {
		runner.pause();
		performing.askFit(seconds);
		const { fit } = performing;
		if (fit) tell('refused' in fit.adapted ? fit.adapted.refused : `${clock(fit.leftSeconds)} to go then. Yes or no?`);
	}
	const pedals = new Pedals({
		onsignal: (signal) => {
			if (hidden || modalOpen()) return;
			wake();
			if (feet.signal(signal)) return;
			if (signal === 'toggle') toggle();
			else if (signal === 'where') where();
			else if (signal !== 'menu') performing[signal]();
		},
		onplugged: (there, name) => app.tell('pedal', there ? '' : `The pedal “${name}” is not there any more. Keys and touch go on working.`)
	});
	$effect(() => pedals.follow());
	/** Spoken words, where the browser hears them on this machine. */
	const SPOKEN: Record<SpokenId, () => void> = {
		pause,
		go: () => (runner.untilSign !== null || !runner.playing) && toggle(),
		back: () => performing.back(),
		undo: () => performing.undo(),
		skip: () => performing.skip(),
		more: () => performing.more(),
		less: () => performing.less(),
		otherSide: () => performing.otherSide(),
		yes: asked.yes,
		no: () => stage?.no(),
		where,
		quiet: () => app.settings?.voice !== 'none' && changeVoice(),
		speak: () => app.settings?.voice === 'none' && changeVoice(),
		softer: asked.softer,
		louder: asked.louder,
		slower: asked.slower,
		faster: () => faster(0.1),
		ten: asked.ten,
		swap: asked.swap,
		redFlags: asked.stop,
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
	const runLog = new RunLog(async (work) => (await app.run(work)) !== null);
	function note(event: RunEvent) {
		runLog.add(() => app.repo.logRun(draft.current.id, event));
	}
	/** The session keeps the sequence as it is performed now, and the plan as it was: none of its own where it is that again. */
	function keep(next: Sequence) {
		runLog.add(async () => {
			const performed = await app.repo.keepPerformed(next);
			const planned = draft.current.planned ?? draft.current.sequence;
			await draft.change({ sequence: performed, planned: planned?.snapshot === performed?.snapshot ? null : planned });
		});
	}
	/** The place is noted every few seconds and at each stretch, so that an interruption loses nothing. */
	$effect(() => {
		void runner.position.repStartSeconds;
		untrack(() => runner.still());
	});

	const movedWords = ({ ms, zone }: { ms: number; zone: boolean }) =>
		ms
			? `The clock of this device went ${clock(Math.abs(ms) / 1000)} ${ms > 0 ? 'forward' : 'back'}: it was set, or the device slept. Counts and what was done stay right; what is left of her time goes by the new clock.`
			: zone
				? 'The time zone of this device was changed. Counts and what was done stay right.'
				: '';
	let lock: WakeLockSentinel | null = null;
	async function stayAwake() {
		if (lock && !lock.released) return;
		lock = (await navigator.wakeLock?.request('screen').catch(() => null)) ?? null;
	}
	function wake() {
		sound.wake();
		// A moment later it is known whether the browser lets it sound.
		setTimeout(() => app.tell('sound', track.tones.length && sound.blocked ? SILENT : ''), 1500);
		if (app.settings && app.settings.voice !== 'none') app.tell('voice', voiceHere() ? '' : NO_VOICE);
		void stayAwake();
	}
	onMount(() => {
		const watch = new ClockWatch(
			() => Date.now(),
			() => performance.now()
		);
		const still = () => {
			runner.tick();
			runner.still();
			// What found no room may find it now.
			void runLog.flush();
			const moved = watch.moved();
			if (moved) app.tell('clock', movedWords(moved));
		};
		/** A page that is neither seen nor heard guides nobody. */
		const unseen = () => {
			if (!runner.playing || sound.heard !== null) return;
			pause();
			performing.say('The window was out of sight and silent: it waits at the same count.');
		};
		const seen = () => {
			if (document.hidden) unseen();
			else if (runner.playing) void stayAwake();
			runner.still();
		};
		document.addEventListener('visibilitychange', seen);
		document.addEventListener('freeze', pause);
		window.addEventListener('pagehide', still);
		const noting = setInterval(still, 2000);
		const heard = () => voices++;
		if (typeof speechSynthesis !== 'undefined') speechSynthesis.addEventListener('voiceschanged', heard);
		return () => {
			document.removeEventListener('visibilitychange', seen);
			document.removeEventListener('freeze', pause);
			window.removeEventListener('pagehide', still);
			clearInterval(noting);
			if (typeof speechSynthesis !== 'undefined') speechSynthesis.removeEventListener('voiceschanged', heard);
			void lock?.release();
			sound.close();
			for (const about of ['sound', 'voice', 'pedal', 'clock']) app.tell(about, '');
		};
	});

	// Nobody touches the screen while she works: it stays open.
	$effect(() => (runner.playing ? app.lock.keepOpen() : undefined));

	let ending = false;
	async function end() {
		if (ending) return;
		ending = true;
		pause();
		await runLog.flush();
		await draft.change({
			// Never before it began, whatever was done to the clock meanwhile.
			endedAt: new Date(Math.max(now(), Date.parse(draft.current.startedAt))).toISOString(),
			done: runner.done(),
			happened: happenedOf(lines),
			workedSeconds: Math.round(runner.workedSeconds),
			haltedSeconds: Math.round(runner.haltedSeconds)
		});
		onended(performing.sequence);
	}
	/** It ends by itself where it comes to its end, not where it is taken up again there. */
	let short = untrack(() => !runner.position.done);
	$effect(() => {
		const { done } = runner.position;
		untrack(() => {
			if (!done) short = true;
			else if (short && draft.current.endedAt === null) void end();
		});
	});
</script>

{#if !hidden}
	<Stage
		bind:this={stage}
		{performing}
		{plan}
		menu={feet.open ? FOOT_ITEMS[feet.open.item] : ''}
		onwhere={where}
		{asks}
		startedAt={draft.current.startedAt}
		{clientName}
		{alerts}
		{parts}
		working={app.context.working}
		{learnt}
		onend={() => performing.end(end)}
		{onredflags}
		onwake={wake}
		ontoggle={toggle}
		onframe={() => {
			pedals.look();
			feet.look();
		}}
		{leading}
		voice={voiceNow}
		onvoice={changeVoice}
		distanceM={app.settings?.stageDistanceM ?? USUAL_DISTANCE_M}
	/>
{/if}
