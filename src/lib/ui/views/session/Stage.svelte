<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { tinykeys } from 'tinykeys';
	import { otherSide, type Side } from '$lib/core/atlas/places';
	import { opennessAt } from '$lib/core/rules/opennessAt';
	import { clock } from '$lib/core/step/describe';
	import { changedSince, instructionAt } from '$lib/core/perform/instruction/instruction';
	import type { SlotId } from '$lib/core/perform/instruction/slots';
	import type { Plan } from '$lib/core/perform/instruction/moment';
	import { fontPx, LARGE_ARC_MINUTES, PLAIN_ARC_MINUTES, screenOf } from '$lib/core/perform/legible';
	import { turnsOf } from '$lib/core/sequence/workedSide';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import { learntAt, learntWords, type Learnt } from '$lib/core/visit/learnt';
	import type { Working } from '$lib/core/working/working.schema';
	import { modalOpen } from '$lib/state/modal';
	import { ScreenSender } from '$lib/state/secondScreen';
	import type { Performing } from '$lib/state/performing.svelte';
	import MiniScore from '../../parts/score/MiniScore.svelte';
	import SessionLine from './SessionLine.svelte';
	import StageAsks from './StageAsks.svelte';
	import StageControls from './StageControls.svelte';
	import StageFace from './StageFace.svelte';
	import StageLimits from './StageLimits.svelte';
	import StagePause from './StagePause.svelte';
	import StageSaid from './StageSaid.svelte';
	import StageWords from './StageWords.svelte';

	interface Props {
		performing: Performing;
		/** What is told from. */
		plan: Plan;
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
		/** What of the menu of the feet is at hand; empty where it is closed. */
		menu: string;
		/** Says place, side and count. */
		onwhere: () => void;
		/** How much is said, and how that is changed. */
		voice: { readonly state: 'on' | 'off' | 'none'; readonly words: string };
		onvoice: () => void;
		/** How far the screen is from the eyes, m. */
		distanceM: number;
	}
	let {
		performing,
		plan,
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
		leading,
		menu,
		onwhere,
		voice,
		onvoice,
		distanceM
	}: Props = $props();

	let [width, height] = $state([1280, 800]);
	const screen = $derived(screenOf(width, height));
	/** As the style sheets of the stage have it. */
	const low = $derived(height <= 560);
	/** In a low window letters are as large as it has room for. */
	const large = $derived(Math.min(fontPx(LARGE_ARC_MINUTES, screen, distanceM), low ? 0.195 * height : Infinity));
	const plain = $derived(Math.min(fontPx(PLAIN_ARC_MINUTES, screen, distanceM), low ? 0.154 * height : Infinity));
	const { sequence, judgement, runner } = $derived(performing);
	const limits = $derived(judgement.context.client?.limits ?? []);
	const context = $derived(judgement.context);
	const p = $derived(runner.position);
	const placed = $derived(context.byId.get(p.event?.stepId ?? judgement.events.at(-1)!.stepId)!);
	const step = $derived(placed.step);
	/** A number stays the same from frame to frame: what hangs on it is made once a stretch. */
	const index = $derived(Math.min(p.index, judgement.events.length - 1));
	const told = $derived(instructionAt(plan, index));
	const changed = $derived(changedSince(told, instructionAt(plan, index - 1)));
	const NONE: ReadonlySet<SlotId> = new Set();
	/** How long what has become otherwise stands out, s. */
	const FRESH_SECONDS = 6;
	const isFresh = $derived(!p.done && p.index > 0 && runner.seconds - (p.event?.startSeconds ?? 0) < FRESH_SECONDS);
	const fresh = $derived(isFresh ? changed : NONE);
	/** A step in a block done side by side runs twice; only the run at hand is shown. */
	const run = $derived(judgement.events.slice(plan.runs[index]!.start, plan.runs[index]!.end + 1));
	const side = $derived(p.side === 'left' || p.side === 'right' ? p.side : null);
	const then = $derived(sideAfter());
	const midline = $derived(p.side === 'midline');
	const left = $derived(runner.total - runner.seconds);
	const open = $derived(opennessAt(context, runner.seconds));
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
	export function stop() {
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
	export function yes() {
		if (runner.untilSign !== null && runner.playing) runner.signed();
		else if (performing.fit) performing.takeFit();
		else if (performing.uneven) performing.even();
		else if (asks[0]) performing.meet(asks[0].step.id);
	}
	/** No to what is asked: it stays as it was. */
	export const no = () => leave();
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
			m: unasked(onvoice),
			w: unasked(onwhere),
			ArrowLeft: unasked(() => performing.back()),
			PageUp: unasked(() => performing.back()),
			u: unasked(() => performing.undo()),
			z: unasked(() => performing.undo()),
			'$mod+z': unasked((e) => (e.preventDefault(), performing.undo())),
			y: unasked(yes),
			e: unasked(end),
			Escape: unasked(leave),
			r: unasked(stop)
		});
		return () => (cancelAnimationFrame(frame), clearInterval(slow), keys(), screen.close());
	});
</script>

<div
	class="stage bg-paper {runner.begun ? 'working' : ''}"
	class:crowded={alerts.length > 3}
	bind:clientWidth={width}
	bind:clientHeight={height}
>
	<header class="head border-hair flex min-w-0 items-center gap-x-1 border-b px-1 text-[13px] sm:gap-x-4 sm:px-3 sm:text-[15px]">
		<SessionLine at="perform" to={parts} why={{ after: 'it follows when this is ended' }} />
		<p class="min-w-0 flex-1 truncate text-right max-sm:hidden">
			<b class="font-semibold">{clientName}</b><span class="text-ink2">, {sequence.title}</span>
		</p>
		<p class="whitespace-nowrap max-sm:ml-auto max-sm:pr-1"><b>{clock(left)}</b> <span class="text-ink2">in all</span></p>
		<button type="button" class="dotted text-ink2 max-md:hidden" aria-keyshortcuts="L" onclick={fullScreen}>Full screen</button>
		<a class="dotted text-ink2 max-md:hidden" href="/session/screen" target="_blank" rel="noopener">Second screen</a>
	</header>
	<div class="band"><StageLimits {alerts} {voice} {onvoice} onstop={stop} /></div>
	<div class="map">
		<button
			type="button"
			class="absolute inset-0 overflow-hidden text-left"
			aria-label={runner.playing ? 'Pause: touch the face' : 'Go on: touch the face'}
			onclick={toggle}
		>
			<StageFace {step} position={p} orientation={sequence.orientation} {open} {limits} moving={runner.playing} />
		</button>
		{#if asks.length}<div class="bg-paper border-hair absolute inset-x-3 bottom-2 z-[1] max-h-full overflow-y-auto rounded-xl border p-2">
				<StageAsks {asks} supplies={plan.supplies} onmet={(id) => performing.meet(id)} />
			</div>{/if}
		<StageSaid {performing} {menu} onyes={yes} />
	</div>
	<StageWords
		{runner}
		{plan}
		{told}
		{fresh}
		{placed}
		steps={context.steps.length}
		signWords={performing.signWords}
		{run}
		{side}
		{then}
		{midline}
		{working}
		lastTime={learntAt(learnt, step).map(learntWords)}
		{leading}
		{screen}
		upright={height > width}
		{low}
		{large}
		{plain}
	/>
	{#if (runner.begun && !runner.playing && (!p.done || performing.undoWords)) || performing.fit}<StagePause
			{performing}
			bind:noting
			{timeLeft}
			{parts}
		/>{/if}
	<div class="horizon to-sea relative overflow-hidden bg-gradient-to-b from-transparent">
		<MiniScore
			events={judgement.events}
			byId={context.byId}
			{width}
			size="horizon"
			now={runner.seconds}
			label="The whole session; {clock(left)} to go"
		/>
	</div>
	<div class="controls"><StageControls {performing} {leading} ontoggle={toggle} onend={end} onfit={fitNow} {armed} /></div>
	<p class="sr-only" role="status">
		{armed ? 'Paused. End now ends the session; Go on goes on.' : ''}
		{placed.number}. {told
			.filter(({ slot }) => slot !== 'why')
			.map(({ words }) => words)
			.join('. ')}.
		{runner.playing ? '' : 'Paused.'}
		{performing.said}
	</p>
</div>

<style>
	/* The window is filled exactly: under many limits the map gives way, and what is read does not; the controls never leave it, and nothing moves when a step changes. */
	.stage {
		position: relative;
		display: grid;
		height: 100dvh;
		overflow: hidden;
		grid-template:
			'head head' auto
			'band band' auto
			'map words' minmax(0, 1fr)
			'horizon horizon' auto
			'controls controls' auto / 40.5% minmax(0, 1fr);
	}
	.head {
		grid-area: head;
	}
	.band {
		grid-area: band;
	}
	.map {
		position: relative;
		min-height: 0;
		overflow: hidden;
		grid-area: map;
	}
	.horizon {
		grid-area: horizon;
	}
	.controls {
		grid-area: controls;
	}
	@media (orientation: portrait) {
		.stage {
			grid-template:
				'head' auto
				'band' auto
				'map' minmax(0, 1fr)
				'words' minmax(51dvh, 1.36fr)
				'horizon' auto
				'controls' auto / minmax(0, 1fr);
		}
	}
	/* Once it has begun, a small window is all for the hands: the ways to other parts stand in the pause. */
	@media (max-width: 600px) {
		.working .head {
			display: none;
		}
	}
	@media (max-width: 600px) and (orientation: portrait) {
		.stage {
			grid-template-rows: auto auto minmax(60px, 1fr) auto 40px auto;
		}
		.stage.crowded {
			grid-template-rows: auto auto minmax(48px, 1fr) auto 22px auto;
		}
	}
	@media (max-height: 560px) {
		.stage {
			grid-template-columns: 20% minmax(0, 1fr);
		}
		.horizon {
			height: 0;
		}
		.working .head {
			display: none;
		}
	}
	@media (max-height: 700px), (max-width: 600px) {
		.horizon :global(svg) {
			height: 100%;
		}
	}
</style>
