<script lang="ts">
	import type { Side } from '$lib/core/atlas/places';
	import { wordsOf, type Told } from '$lib/core/perform/instruction/instruction';
	import type { Plan } from '$lib/core/perform/instruction/moment';
	import { nextTexts, placeTexts } from '$lib/core/perform/instruction/placeTexts';
	import type { SlotId } from '$lib/core/perform/instruction/slots';
	import type { ScreenKind } from '$lib/core/perform/legible';
	import { placeIndexOf } from '$lib/core/perform/placeAtHand';
	import { shownAt } from '$lib/core/perform/shown';
	import type { TimedEvent } from '$lib/core/sequence/expand';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import { clock } from '$lib/core/step/describe';
	import { spotsOf } from '$lib/core/step/spots';
	import type { Working } from '$lib/core/working/working.schema';
	import type { Runner } from '$lib/state/runner.svelte';
	import { shrink } from '../../parts/shrink';
	import FitText from '../../parts/FitText.svelte';
	import AimGlyph from '../../parts/glyphs/AimGlyph.svelte';
	import Footprint from '../../parts/glyphs/Footprint.svelte';
	import StageFacts from './StageFacts.svelte';
	import StageGrid from './StageGrid.svelte';
	import StepWaves from './StepWaves.svelte';

	interface Props {
		runner: Runner;
		plan: Plan;
		told: readonly Told[];
		/** What has just become otherwise. */
		fresh: ReadonlySet<SlotId>;
		/** The step at hand, how many there are, and the events of this run of it. */
		placed: PlacedStep;
		steps: number;
		run: readonly TimedEvent[];
		side: Side | null;
		then: Side | null;
		midline: boolean;
		working: Working;
		/** What the visit before taught of this step. */
		lastTime: readonly string[];
		/** What the step at hand waits for. */
		signWords: string;
		/** It is being said what comes first. */
		leading: boolean;
		screen: ScreenKind;
		/** Higher than wide. */
		upright: boolean;
		/** A low window: only what is read from afar has lines of its own. */
		low: boolean;
		/** px of what must be read from afar, and of what may be a little smaller. */
		large: number;
		plain: number;
	}
	let {
		runner,
		plan,
		told,
		fresh,
		placed,
		steps,
		run,
		side,
		then,
		midline,
		working,
		lastTime,
		signWords,
		leading,
		screen,
		upright,
		low,
		large,
		plain
	}: Props = $props();

	let wordsWidth = $state(520);
	const p = $derived(runner.position);
	const step = $derived(placed.step);
	const phone = $derived(screen === 'phone');
	/** Whether the path and the waves have lines of their own. */
	const roomy = $derived(!phone && !low);
	/** The place at hand, where it is one of several. */
	const place = $derived(p.event ? placeIndexOf(p.event, step) : null);
	const before = $derived(plan.byId.get(plan.events[p.index - 1]?.stepId ?? '')?.step ?? null);
	/** Past the plan, until the sign comes, the seconds of the longest time run down. */
	const shown = $derived({
		...shownAt(p, step, before, plan.supplies),
		...(runner.untilSign === null ? {} : { numeral: String(Math.ceil(runner.untilSign)), beside: 's', unit: '' })
	});
	const end = $derived(
		runner
			.said('end')
			.map((c) => c.words)
			.join()
	);
	const nextUp = $derived(
		runner
			.said('next')
			.map((c) => c.words)
			.join()
	);
	const nextStep = $derived.by(() => {
		const after = plan.events[(plan.runs[p.index]?.end ?? -2) + 1];
		return after && place === null ? (plan.byId.get(after.stepId)?.step ?? null) : null;
	});
	const next = $derived(nextUp.startsWith('Next ') ? nextTexts(nextUp.slice(5), nextStep) : [nextUp]);
	/** These stay the same from frame to frame: the type is measured once a stretch. */
	const index = $derived(p.index);
	const done = $derived(p.done);
	const places = $derived(done ? [end] : placeTexts(plan, index));
	const last = $derived(runner.untilSign === null && p.event?.kind === 'work' && p.reps > 2 && p.rep === p.reps);
	const move = $derived(
		runner.untilSign !== null ? signWords : p.event?.kind === 'transition' ? wordsOf(told, 'ready') || 'Get ready' : wordsOf(told, 'what')
	);
	const way = $derived([wordsOf(told, 'way'), wordsOf(told, 'beside'), wordsOf(told, 'tape')].filter(Boolean).join('. '));
	/** Which of several places or spots of the step is at hand. */
	const within = $derived.by(() => {
		if (p.event?.spot !== undefined) return `spot ${p.event.spot + 1} of ${spotsOf(step).length} · `;
		return place === null || step.places.length === 1 ? '' : `place ${place + 1} of ${step.places.length} · `;
	});
	const number = $derived(`${within}${placed.number} of ${steps}`);
	const first = $derived(
		[
			low ? `${move} · ${number}.` : '',
			leading ? 'Get ready.' : '',
			runner.breath ? `Breathe ${runner.breath}.` : '',
			last ? 'Last one, then drain off.' : '',
			...lastTime.map((words) => `${words}.`),
			!roomy && way ? `${way}.` : ''
		].filter(Boolean)
	);
</script>

<!-- What is read from the couch: the move, the place, the count, the side, the pressure; then the rest in fixed places. -->
<section class="words" aria-label="This step" bind:clientWidth={wordsWidth} style:--large="{large}px" style:--plain="{plain}px">
	{#if !low}<p class="move">
			<AimGlyph aim={step.aim} size={phone ? 20 : 26} />
			<span class="min-w-0"><b class="font-semibold">{move}</b></span>
			<span class="text-ink2 ml-auto whitespace-nowrap">{number}</span>
		</p>{/if}
	<h1 aria-label={places[0]}><FitText texts={places} size={large} lines={phone && upright ? 2 : 1} /></h1>
	{#if roomy}<p class="way text-ink2" {@attach shrink(19, 12)}>{way}</p>{/if}
	<div class="big">
		{#if shown.taking}<p class="taking" aria-hidden="true">
				{#if shown.taking.kind === 'medium'}<AimGlyph aim="prepare" size={phone ? 60 : 100} />
				{:else}<Footprint contact={step.contact} tool={step.tool?.id} size={phone ? 70 : 110} />{/if}
				<b class="font-semibold">{shown.taking.words}</b>
				<span class="text-ink2">{shown.numeral} {shown.beside}</span>
			</p>
		{:else}<p class="numbers" aria-hidden="true">
				<span
					class="count {runner.playing || p.done ? '' : 'still'} {shown.numeral.length > 2
						? 'word'
						: shown.numeral.length > 1
							? 'two'
							: ''}">{shown.numeral}</span
				><span class="beside text-ink2">{shown.beside}{shown.unit ? ` ${shown.unit}` : ''}</span>
			</p>{/if}
		<StageFacts
			{step}
			position={p}
			hands={shown.hands}
			{side}
			{then}
			{midline}
			{working}
			{screen}
			performer={plan.performer}
			act={told.some(({ slot }) => slot === 'place') ? '' : wordsOf(told, 'what')}
		/>
	</div>
	{#if roomy}<div class="waves">
			<StepWaves events={run} seconds={runner.seconds} width={Math.max(240, wordsWidth - 40)} />
		</div>{/if}
	<StageGrid {told} {fresh} {first} />
	<div class="foot">
		<p class="whitespace-nowrap">
			<b class="font-[560]">{clock(p.stepLeftSeconds)}</b>
			<span class={low ? 'sr-only' : 'text-ink2'}>to go</span>
		</p>
		<div class="next">
			{#if nextUp.startsWith('Next ')}<span class="text-ink2 sr-only">Next</span><svg
					width={plain * 0.9}
					height={plain * 0.6}
					viewBox="0 0 36 24"
					fill="none"
					stroke="var(--ink2)"
					stroke-width="3"
					stroke-linecap="round"
					stroke-linejoin="round"
					aria-hidden="true"><path d="M2 12H33M24 3.5L33 12L24 20.5" /></svg
				>{/if}
			<span class="min-w-0 flex-1 font-[530]"><FitText texts={next} size={plain} /></span>
		</div>
	</div>
</section>

<style>
	/* Rows of fixed height: only the numeral takes what is left. */
	.words {
		position: relative;
		display: grid;
		min-width: 0;
		min-height: 0;
		padding: 4px 20px 0;
		grid-template: auto auto auto minmax(0, 1fr) auto clamp(84px, 13.75dvh, 124px) auto / minmax(0, 1fr);
		grid-area: words;
	}
	.move {
		display: flex;
		align-items: center;
		gap: 10px;
		font-size: 20px;
		line-height: 1.3;
	}
	h1 {
		font-weight: 560;
	}
	/* On the words themselves: what is inherited is a length, of a size they do not have. */
	h1 :global(span) {
		letter-spacing: -0.02em;
	}
	.way {
		height: 34px;
		overflow: hidden;
		line-height: 1.25;
	}
	.big {
		display: grid;
		container-type: size;
		align-items: center;
		min-height: 0;
		grid-template-columns: minmax(0, 1.05fr) minmax(0, 1fr);
		gap: 8px;
	}
	.numbers {
		display: flex;
		align-items: baseline;
		min-width: 0;
		white-space: nowrap;
	}
	.taking {
		display: grid;
		justify-items: start;
		gap: 0.2em;
		font-size: min(14cqh, 5cqw, 30px);
		line-height: 1.15;
	}
	.taking :global(svg) {
		max-height: 50cqh;
		width: auto;
	}
	.waves {
		padding-top: 10px;
		overflow: hidden;
	}
	.count {
		font-size: min(112cqh, 28cqw, 200px);
		font-weight: 520;
		line-height: 0.8;
		letter-spacing: -0.03em;
	}
	.count.word {
		font-size: min(60cqh, 15cqw, 110px);
		line-height: 1;
	}
	.beside {
		padding-left: 0.25em;
		font-size: min(45cqh, 8cqw, var(--large));
		line-height: 1;
	}
	/* An outline while it rests: filled with the ground, so that no line shows inside. */
	.count.still {
		color: var(--paper);
		-webkit-text-stroke: 6px var(--ink);
		paint-order: stroke fill;
	}
	.foot {
		display: grid;
		align-items: end;
		grid-template-columns: auto minmax(0, 1fr);
		gap: 26px;
		padding-top: 4px;
		font-size: var(--plain);
		line-height: 1.06;
	}
	.next {
		display: flex;
		align-items: center;
		gap: 12px;
		min-width: 0;
	}
	.next svg {
		flex: none;
	}
	@media (max-width: 600px), (max-height: 560px) {
		/* Large type in little width: closer and lighter rather than smaller. */
		h1 :global(span) {
			font-weight: 530;
			letter-spacing: -0.035em;
		}
	}
	@media (max-width: 600px) {
		.words {
			padding: 2px 4px 0;
			grid-template: auto auto 158px 100px auto / minmax(0, 1fr);
		}
		.move {
			font-size: 17px;
		}
		.big {
			grid-template-columns: minmax(0, 0.35fr) minmax(0, 1fr);
			gap: 4px;
		}
		.numbers {
			flex-direction: column;
		}
		.count {
			font-size: min(70cqh, 30cqw, 114px);
		}
		.count.two {
			font-size: min(56cqh, 22cqw, 88px);
		}
		/* A word in the narrow column of the numeral: never into what stands beside it. */
		.count.word {
			font-size: min(28cqh, 9cqw);
		}
		.beside {
			padding: 0.15em 0 0;
			font-size: min(24cqh, 9.4cqw, 42px);
		}
		.foot {
			grid-template-columns: minmax(0, 1fr);
			gap: 0;
		}
	}
	@media (max-height: 560px) {
		.words {
			padding: 0 8px;
			grid-template: auto calc(var(--large) * 1.04) minmax(0, 1fr) auto / minmax(0, 1fr);
		}
		.big {
			grid-template-columns: auto minmax(0, 1fr);
			gap: 20px;
		}
		.count {
			font-size: min(122cqh, 96px);
		}
		.count.two,
		.count.word {
			font-size: min(100cqh, var(--large));
			line-height: 1;
		}
		.beside {
			font-size: min(34cqh, 26px);
		}
		.foot {
			gap: 40px;
			padding-top: 0;
			line-height: 1;
		}
	}
</style>
