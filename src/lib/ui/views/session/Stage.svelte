<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { tinykeys } from 'tinykeys';
	import { otherSide, type Side } from '$lib/core/atlas/places';
	import { opennessAt } from '$lib/core/rules/opennessAt';
	import { clock, stepTitle } from '$lib/core/step/describe';
	import { turnsOf } from '$lib/core/sequence/workedSide';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import { learntAt, learntWords, type Learnt } from '$lib/core/visit/learnt';
	import type { Working } from '$lib/core/working/working.schema';
	import { modalOpen } from '$lib/state/modal';
	import { ScreenSender } from '$lib/state/secondScreen';
	import type { Performing } from '$lib/state/performing.svelte';
	import MiniScore from '../../parts/score/MiniScore.svelte';
	import SessionLine from './SessionLine.svelte';
	import { sideWords } from './sideWords';
	import StageControls from './StageControls.svelte';
	import StageFace from './StageFace.svelte';
	import StagePause from './StagePause.svelte';
	import StageSaid from './StageSaid.svelte';
	import StageWords from './StageWords.svelte';

	interface Props {
		performing: Performing;
		/** When the session began: what is left of her time counts from then. */
		startedAt: string;
		clientName: string;
		/** What is to be minded of her: her alert, and what today leaves out. */
		alerts: readonly string[];
		/** Where the other parts of the session lie. */
		parts: Partial<Record<'screening' | 'before', string>>;
		working: Working;
		/** What the visit before taught: it is said at the step that it belongs to. */
		learnt: readonly Learnt[];
		/** Steps that are done next if their condition is met. */
		asks: readonly PlacedStep[];
		onend: () => void;
		/** What makes one stop and refer; the stage pauses. */
		onredflags: () => void;
		/** A touch or key has come: sound and a waking screen are allowed from now on. */
		onwake: () => void;
		/** Begins, pauses, goes on. */
		ontoggle: () => void;
		/** At each frame. */
		onframe: () => void;
		/** It is being said what comes first: the hands wait. */
		leading: boolean;
	}
	let {
		performing,
		startedAt,
		clientName,
		alerts,
		parts,
		working,
		learnt,
		asks,
		onend,
		onredflags,
		onwake,
		ontoggle,
		onframe,
		leading
	}: Props = $props();

	let width = $state(1280);
	const { sequence, judgement, runner } = $derived(performing);
	const limits = $derived(judgement.context.client?.limits ?? []);
	const context = $derived(judgement.context);
	const p = $derived(runner.position);
	const placed = $derived(context.byId.get(p.event?.stepId ?? judgement.events.at(-1)!.stepId)!);
	const step = $derived(placed.step);
	const run = $derived(judgement.events.filter((e) => e.stepId === step.id && sameRun(e.startSeconds)));
	const side = $derived(p.side === 'left' || p.side === 'right' ? p.side : null);
	const then = $derived(sideAfter());
	const midline = $derived(p.side === 'midline');
	const left = $derived(runner.total - runner.seconds);
	const open = $derived(opennessAt(context, runner.seconds));
	/** A step in a block done side by side runs twice; only the run at hand is shown. */
	function sameRun(startSeconds: number): boolean {
		const events = judgement.events;
		let [from, to] = [p.index, p.index];
		while (events[from - 1]?.stepId === step.id) from--;
		while (events[to + 1]?.stepId === step.id) to++;
		return startSeconds >= (events[from]?.startSeconds ?? 0) && startSeconds <= (events[to]?.startSeconds ?? Infinity);
	}
	function sideAfter(): Side | null {
		if (side && p.event && turnsOf(p.event.side)) return otherSide(side);
		const later = judgement.events.slice(p.index).find((e) => e.stepId === step.id && e.kind === 'work' && e.side !== side);
		return later?.side === 'left' || later?.side === 'right' ? later.side : null;
	}
	function toggle() {
		onwake();
		ontoggle();
	}
	/** Ending was asked for while it runs: it pauses, and a second touch ends. */
	let armed = $state(false);
	$effect(() => {
		if (runner.playing) armed = false;
	});
	function end() {
		if (!runner.playing) return onend();
		performing.end(() => {
			runner.pause();
			armed = true;
		});
	}
	function stop() {
		runner.pause();
		performing.note('red-flags');
		onredflags();
	}
	/** What she has left of her time, by the clock: a late start and every halt count. */
	const timeLeft = () => Math.max(30, sequence.budgetSeconds - (Date.now() - Date.parse(startedAt)) / 1000);
	function fitNow() {
		runner.pause();
		performing.askFit(runner.begun ? timeLeft() : Math.min(timeLeft(), sequence.budgetSeconds));
	}
	/** The whole screen, and back. A browser that refuses stays as it is. */
	const fullScreen = () =>
		void (document.fullscreenElement ? document.exitFullscreen() : document.documentElement.requestFullscreen?.())?.catch(() => {});
	let noting = $state(false);
	function writeNote() {
		runner.pause();
		noting = true;
	}
	/** Yes to what is asked: the plan fitted, the other side evened, a condition met. */
	function yes() {
		if (performing.fit) performing.takeFit();
		else if (performing.uneven) performing.even();
		else if (asks[0]) performing.meet(asks[0].step.id);
	}
	function leave() {
		armed = false;
		noting = false;
		performing.fit = null;
		performing.leaveUneven();
	}
	// What lies ahead is looked at whenever a step begins, when it stops, and while it stands.
	$effect(() => {
		void [p.event?.stepId, runner.playing];
		untrack(() => performing.look());
		const still = runner.playing ? undefined : setInterval(() => performing.look(), 15_000);
		return () => clearInterval(still);
	});
	/** A key of the stage, while nothing stands before it. */
	const unasked = (run: (e: KeyboardEvent) => void) => (e: KeyboardEvent) => {
		if (modalOpen() || isTyped(e)) return;
		// A key that is held down says it once.
		if (e.repeat) e.preventDefault();
		else run(e);
	};
	/** A key for a field, or for a button of what stands open: the stage does not hear it. */
	const isTyped = ({ target, key }: KeyboardEvent): boolean =>
		key !== 'Escape' &&
		target instanceof Element &&
		(target.matches('input, textarea, select') || (key === ' ' && target.closest('[data-own-keys]') !== null));
	onMount(() => {
		const screen = new ScreenSender(() => performance.now());
		const look = () => {
			runner.tick();
			screen.send({ step, position: p, orientation: sequence.orientation, moving: runner.playing, breath: runner.breath });
		};
		let frame = requestAnimationFrame(function loop() {
			look();
			onframe();
			frame = requestAnimationFrame(loop);
		});
		// A hidden tab gets no frames: the slow tick keeps the tones and the log going.
		const slow = setInterval(() => document.hidden && look(), 250);
		const keys = tinykeys(window, {
			Space: unasked((e) => (e.preventDefault(), toggle())),
			ArrowRight: unasked(() => performing.skip()),
			PageDown: unasked(() => performing.skip()),
			ArrowUp: unasked((e) => (e.preventDefault(), performing.more())),
			ArrowDown: unasked((e) => (e.preventDefault(), performing.less())),
			s: unasked(() => performing.otherSide()),
			f: unasked(fitNow),
			x: unasked(() => performing.exit()),
			o: unasked(() => performing.note('oil')),
			t: unasked(() => performing.note('tender')),
			',': unasked(() => performing.note('lighter')),
			'.': unasked(() => performing.note('firmer')),
			l: unasked(fullScreen),
			n: unasked((e) => (e.preventDefault(), writeNote())),
			ArrowLeft: unasked(() => performing.back()),
			PageUp: unasked(() => performing.back()),
			u: unasked(() => performing.undo()),
			'$mod+z': unasked((e) => (e.preventDefault(), performing.undo())),
			y: unasked(yes),
			e: unasked(end),
			Escape: unasked(leave),
			r: unasked(stop)
		});
		return () => (cancelAnimationFrame(frame), clearInterval(slow), keys(), screen.close());
	});
</script>

<div class="stage bg-paper" bind:clientWidth={width}>
	<header class="border-hair flex min-w-0 items-center gap-x-1 border-b px-1 text-[13px] sm:gap-x-4 sm:px-3 sm:text-[15px]">
		<SessionLine at="perform" to={parts} why={{ after: 'it follows when this is ended' }} />
		<p class="min-w-0 flex-1 truncate text-right max-sm:hidden">
			<b class="font-semibold">{clientName}</b><span class="text-ink2">, {sequence.title}</span>
		</p>
		<button type="button" class="dotted text-ink2 max-md:hidden" aria-keyshortcuts="L" onclick={fullScreen}>Full screen</button>
		<a class="dotted text-ink2 max-md:hidden" href="/session/screen" target="_blank" rel="noopener">Second screen</a>
		<button
			type="button"
			class="btn my-0.5 min-h-11 rounded-2xl px-2 text-[13px] max-sm:ml-auto sm:px-4 sm:text-[16px]"
			aria-keyshortcuts="R"
			onclick={stop}>Red flags</button
		>
	</header>
	<div class="work">
		<button
			type="button"
			class="relative min-h-0 overflow-hidden text-left"
			aria-label={runner.playing ? 'Pause: touch the face' : 'Go on: touch the face'}
			onclick={toggle}
		>
			<StageFace {step} position={p} orientation={sequence.orientation} {open} {limits} moving={runner.playing} />
			{#if step.contact !== 'none' || step.by === 'client'}<span
					class="bg-paper/85 absolute top-2 left-3 rounded-xl px-3 py-1 text-[clamp(15px,2.6dvh,22px)]"
					><span class="text-ink2">now</span>{' '}<b class="font-semibold">{side ?? (p.side === 'midline' ? 'middle' : 'both')}</b></span
				>{/if}
		</button>
		<StageSaid {performing} onyes={yes} />
		<StageWords
			{runner}
			{judgement}
			signWords={performing.signWords}
			{placed}
			{run}
			{side}
			{then}
			{midline}
			{working}
			{alerts}
			lastTime={learntAt(learnt, step).map(learntWords)}
			{leading}
			{asks}
			onmet={(id) => performing.meet(id)}
		/>
		{#if runner.begun && !runner.playing && (!p.done || performing.undoWords)}<StagePause {performing} bind:noting {timeLeft} />
		{:else if performing.fit}<StagePause {performing} bind:noting {timeLeft} />{/if}
	</div>
	<div class="to-sea relative overflow-hidden bg-gradient-to-b from-transparent">
		<p class="absolute top-0 right-4 text-[clamp(14px,2.4dvh,20px)]">
			<b class="text-[1.2em]">{clock(left)}</b> <span class="text-ink2">to go</span>
		</p>
		<div class="horizon">
			<MiniScore
				events={judgement.events}
				byId={context.byId}
				{width}
				size="horizon"
				now={runner.seconds}
				label="The whole session; {clock(left)} left"
			/>
		</div>
	</div>
	<StageControls {performing} {leading} ontoggle={toggle} onend={end} onfit={fitNow} {armed} />
	<p class="sr-only" role="status">
		{armed ? 'Paused. End now ends the session; Go on goes on.' : ''}
		{placed.number}. {stepTitle(step)}, {sideWords(side, then, midline, sequence.performer).filter(Boolean).join(', ')}. {runner
			.said('mind')
			.map((c) => c.words)
			.join('. ')}
		{runner.playing ? '' : 'Paused.'}
		{performing.said}
	</p>
</div>

<style>
	/* The window is filled exactly: the controls never leave it, and nothing moves when a step changes. */
	.stage {
		position: relative;
		display: grid;
		height: 100dvh;
		overflow: hidden;
		grid-template: auto minmax(0, 1fr) auto auto / minmax(0, 1fr);
	}
	.work {
		position: relative;
		display: grid;
		min-height: 0;
		grid-template: minmax(0, 1fr) / 56.5% minmax(0, 1fr);
	}
	@media (orientation: portrait) {
		.work {
			grid-template: minmax(0, 43fr) minmax(0, 57fr) / minmax(0, 1fr);
		}
	}
	.horizon {
		margin-top: clamp(0px, 2dvh, 12px);
	}
	@media (max-height: 560px) {
		.horizon {
			height: 44px;
		}
		.horizon :global(svg) {
			height: 100%;
		}
	}
</style>
