<script lang="ts">
	import { onMount } from 'svelte';
	import { tinykeys } from 'tinykeys';
	import { otherSide, SIDES, type Side } from '$lib/core/atlas/places';
	import { opennessAt } from '$lib/core/rules/opennessAt';
	import type { CueKind } from '$lib/core/perform/cues';
	import type { Judgement } from '$lib/core/rules/judge';
	import { clock, stepTitle } from '$lib/core/step/describe';
	import { turnsOf } from '$lib/core/sequence/workedSide';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import type { Working } from '$lib/core/working/working.schema';
	import { modalOpen } from '$lib/state/modal';
	import type { Runner } from '$lib/state/runner.svelte';
	import StageAsks from './StageAsks.svelte';
	import AimGlyph from '../../parts/glyphs/AimGlyph.svelte';
	import FaceMap from '../../parts/map/FaceMap.svelte';
	import LimitMarks from '../../parts/map/LimitMarks.svelte';
	import { focusFrame } from '../../parts/map/orientation';
	import { pathPoints } from '../../parts/map/strokeShape';
	import { FIGURE } from '$lib/core/atlas/geometry';
	import MiniScore from '../../parts/score/MiniScore.svelte';
	import { sideWords } from './sideWords';
	import StageButton from './StageButton.svelte';
	import StageFacts from './StageFacts.svelte';
	import StepWaves from './StepWaves.svelte';

	interface Props {
		runner: Runner;
		judgement: Judgement;
		sequence: Sequence;
		clientName: string;
		working: Working;
		/** Steps that are done next if their condition is met. */
		asks: readonly PlacedStep[];
		onmet: (stepId: string) => void;
		onend: () => void;
		/** What makes one stop and refer; the stage pauses. */
		onredflags: () => void;
		/** A touch or key has come: sound and a waking screen are allowed from now on. */
		onwake: () => void;
	}
	let { runner, judgement, sequence, clientName, working, asks, onmet, onend, onredflags, onwake }: Props = $props();

	let width = $state(1280);
	/** What that day allowed her, drawn on the face while one works. */
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
	const view = $derived(step.places.every((r) => pathPoints('front', [r], 'left').length) ? 'front' : 'profile');
	const focus = $derived.by(() => {
		const sides: readonly Side[] = view === 'profile' ? ['left'] : side ? [side] : SIDES;
		const points = sides.flatMap((s) => pathPoints(view, step.places, s));
		// A step without places shows the whole face.
		return focusFrame(
			view,
			sequence.orientation,
			points.length ? points : [FIGURE.front.zones['forehead-medial']!.centroid, [400, 480], [240, 300], [560, 300]],
			1.34
		);
	});
	const count = $derived.by(() => {
		if (p.done) return '✓';
		if (p.event?.kind === 'transition') return side ?? '…';
		return String(p.rep || 1);
	});
	const counted = $derived(p.event?.kind === 'work' && step.dose.kind !== 'seconds');
	/** Captions, what comes next and what to mind are cues; voice will read the same ones. */
	const words = (kind: CueKind) => runner.said(kind).map((c) => c.words);
	const [doing, onTo] = $derived((p.done ? words('end').join() : words('doing').join()).split(': '));
	const nextUp = $derived(words('next').join());
	const mind = $derived(words('mind'));

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
		if (runner.playing) runner.pause();
		else runner.go();
	}
	function stop() {
		runner.pause();
		onredflags();
	}
	/** A key of the stage, while nothing stands before it. */
	const unasked = (run: (e: KeyboardEvent) => void) => (e: KeyboardEvent) => void (modalOpen() || run(e));
	onMount(() => {
		let frame = requestAnimationFrame(function loop() {
			runner.tick();
			frame = requestAnimationFrame(loop);
		});
		// A hidden tab gets no frames: the slow tick keeps the tones and the log going.
		const slow = setInterval(() => document.hidden && runner.tick(), 250);
		const keys = tinykeys(window, {
			Space: unasked((e) => (e.preventDefault(), toggle())),
			ArrowRight: unasked(() => runner.skip()),
			PageDown: unasked(() => runner.skip()),
			ArrowLeft: unasked(() => runner.back()),
			PageUp: unasked(() => runner.back()),
			y: unasked(() => asks[0] && onmet(asks[0].step.id)),
			e: unasked(() => !runner.playing && onend()),
			r: unasked(stop)
		});
		return () => (cancelAnimationFrame(frame), clearInterval(slow), keys());
	});
	const GLYPHS = {
		pause: 'M3 33H9C14 33 15 13 21 13S28 33 33 33H43',
		go: 'M3 33H12C18 33 19 13 27 13S35 33 43 33',
		back: 'M5 36H41M14 36C18 36 18 18 23 18S28 36 32 36M32 14A12 10 0 0 0 13 12M13 5V13H21',
		skip: 'M5 36H41M8 28C12 10 32 8 38 26M31 22L38.5 27L42 18.5',
		end: 'M5 36H41M9 36C9 22 14 12 23 12S37 22 37 36M23 13V36'
	};
</script>

<div class="bg-paper flex min-h-screen flex-col" bind:clientWidth={width}>
	<div class="grid min-h-0 flex-1 grid-cols-1 md:grid-cols-[56.5%_1fr]">
		<button
			type="button"
			class="relative min-h-[300px] overflow-hidden text-left"
			aria-label={runner.playing ? 'Pause: touch the face' : 'Go on: touch the face'}
			onclick={toggle}
		>
			<span class="fading pointer-events-none absolute inset-0 block">
				<FaceMap
					{view}
					orientation={sequence.orientation}
					{open}
					{step}
					now={side ?? 'both'}
					{focus}
					label="Where the hands are: {stepTitle(step)}"
				>
					{#snippet over()}{#if limits.length}<LimitMarks {view} {limits} wide quiet />{/if}{/snippet}
				</FaceMap>
			</span>
			<span class="bg-paper/85 absolute top-3 left-3 rounded-xl px-3 py-1 text-[20px]"
				><span class="text-ink2 block leading-6">now</span><b class="text-[24px] leading-7 font-semibold"
					>{side ?? (p.side === 'midline' ? 'middle' : 'both')}</b
				></span
			>
		</button>
		<section class="flex flex-col px-5 pt-4" aria-label="This step">
			<p class="text-ink2 flex flex-wrap justify-between gap-x-4 text-[20px] leading-7">
				<span><b class="text-ink">{placed.number}</b> of {context.steps.length}</span><span class="min-w-0 truncate"
					>{sequence.title}, {clientName}</span
				><button type="button" class="btn min-h-16 rounded-2xl px-5 text-[17px]" aria-keyshortcuts="R" onclick={stop}>Red flags</button>
			</p>
			<h1 class="flex items-center gap-3 text-[34px] leading-10 font-[560]">
				<AimGlyph aim={step.aim} size={34} /><span>{stepTitle(step)}</span>
			</h1>
			<div class="flex flex-1 flex-wrap items-center gap-x-6 gap-y-2 py-2">
				<p class="flex items-baseline" aria-hidden="true">
					<span class="count font-[620] {runner.playing ? '' : 'outline-only'} {count.length > 2 ? 'words' : ''}">{count}</span>
					{#if counted && p.reps}<span class="text-ink2 pl-3 text-[42px]">of {p.reps}</span
						>{:else if step.dose.kind === 'seconds' && p.event?.kind === 'work'}<span class="text-ink2 pl-3 text-[42px]"
							>× · {Math.ceil(p.eventLeftSeconds)} s</span
						>{/if}
				</p>
				<StageFacts {step} {side} {then} {midline} {working} />
			</div>
			<div class="flex items-baseline justify-between text-[20px]">
				<span
					>{doing}{#if onTo}<span class="text-ink2">: {onTo}</span>{/if}</span
				><span class="whitespace-nowrap"
					><b class="text-[24px]">{clock(p.stepLeftSeconds)}</b>
					<span class="text-ink2">to go in this step</span></span
				>
			</div>
			<StepWaves events={run} seconds={runner.seconds} width={Math.max(280, (width >= 768 ? width * 0.435 : width) - 44)} />
			<StageAsks {asks} {onmet} />
			<p class="text-ink2 truncate pb-2 text-[20px]">
				{#if nextUp.startsWith('Next ')}Next <b class="text-ink font-semibold">{nextUp.slice(5)}</b>{:else}{nextUp}{/if}
			</p>
		</section>
	</div>
	<div class="to-sea relative bg-gradient-to-b from-transparent px-0">
		<p class="absolute top-0 right-6 text-[20px]">
			<b class="text-[24px]">{clock(left)}</b> <span class="text-ink2">to go</span>
		</p>
		<MiniScore
			events={judgement.events}
			byId={context.byId}
			{width}
			size="horizon"
			now={runner.seconds}
			label="The whole session; {clock(left)} left"
		/>
	</div>
	<div class="grid grid-cols-2 md:grid-cols-[1.35fr_1fr_1fr_1fr]">
		<StageButton
			sand
			label={runner.playing ? 'Pause' : runner.begun ? 'Go on' : 'Begin'}
			hint="space"
			glyph={runner.playing ? GLYPHS.pause : GLYPHS.go}
			onclick={toggle}
		/>
		<StageButton label="Step again" hint="←" glyph={GLYPHS.back} onclick={() => runner.back()} />
		<StageButton label="Skip" hint="→" glyph={GLYPHS.skip} onclick={() => runner.skip()} />
		<StageButton label="End here" hint="E, when paused" glyph={GLYPHS.end} onclick={onend} />
	</div>
	<p class="sr-only" role="status">
		{placed.number}. {stepTitle(step)}, {sideWords(side, then, midline).filter(Boolean).join(', ')}. {mind.join('. ')}
		{runner.playing ? '' : 'Paused.'}
	</p>
</div>

<style>
	.fading {
		mask-image: linear-gradient(to right, #000 90%, transparent), linear-gradient(to bottom, #000 88%, transparent);
		mask-composite: intersect;
	}
	.count {
		font-size: 250px;
		line-height: 0.86;
		letter-spacing: -0.02em;
	}
	.count.words {
		font-size: 120px;
	}
	.outline-only {
		color: transparent;
		-webkit-text-stroke: 3px var(--ink);
	}
</style>
