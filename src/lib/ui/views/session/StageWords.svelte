<script lang="ts">
	import type { Side } from '$lib/core/atlas/places';
	import type { CueKind } from '$lib/core/perform/cues';
	import { shownAt } from '$lib/core/perform/shown';
	import type { Judgement } from '$lib/core/rules/judge';
	import type { TimedEvent } from '$lib/core/sequence/expand';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import { placeIndexOf, titleAt } from '$lib/core/perform/placeAtHand';
	import { actWords, suppliesOf } from '$lib/core/perform/supplies';
	import { clock } from '$lib/core/step/describe';
	import type { Working } from '$lib/core/working/working.schema';
	import type { Runner } from '$lib/state/runner.svelte';
	import AimGlyph from '../../parts/glyphs/AimGlyph.svelte';
	import Footprint from '../../parts/glyphs/Footprint.svelte';
	import StageAsks from './StageAsks.svelte';
	import StageFacts from './StageFacts.svelte';
	import StepWaves from './StepWaves.svelte';

	interface Props {
		runner: Runner;
		judgement: Judgement;
		/** The step at hand, and the events of this run of it. */
		placed: PlacedStep;
		run: readonly TimedEvent[];
		side: Side | null;
		then: Side | null;
		midline: boolean;
		working: Working;
		alerts: readonly string[];
		/** What the visit before taught of this step. */
		lastTime: readonly string[];
		/** What the step at hand waits for. */
		signWords: string;
		/** It is being said what comes first. */
		leading: boolean;
		asks: readonly PlacedStep[];
		onmet: (stepId: string) => void;
	}
	let { runner, judgement, placed, run, side, then, midline, working, alerts, lastTime, signWords, leading, asks, onmet }: Props = $props();

	let wordsWidth = $state(520);
	const context = $derived(judgement.context);
	const p = $derived(runner.position);
	const step = $derived(placed.step);
	const supplies = $derived(suppliesOf(context.sequence, working));
	/** What is washed or prepared: it stands beside the numeral, and once. */
	const act = $derived(actWords(step, supplies));
	/** The place at hand, where it is one of several. */
	const place = $derived(p.event ? placeIndexOf(p.event, step) : null);
	const before = $derived(context.byId.get(judgement.events[p.index - 1]?.stepId ?? '')?.step ?? null);
	/** Past the plan, until the sign comes, the seconds of the longest time run down. */
	const shown = $derived({
		...shownAt(p, step, before, supplies),
		...(runner.untilSign === null ? {} : { numeral: String(Math.ceil(runner.untilSign)), beside: 's', unit: '' })
	});
	/** Captions, what comes next and what to mind are cues; voice will read the same ones. */
	const words = (kind: CueKind) => runner.said(kind).map((c) => c.words);
	const [doing, onTo] = $derived(
		(runner.untilSign !== null ? signWords : p.done ? words('end').join() : words('doing').join()).split(': ')
	);
	const nextUp = $derived(words('next').join());
	const mind = $derived(words('mind'));
	const breath = $derived(runner.breath);
	const last = $derived(runner.untilSign === null && p.event?.kind === 'work' && p.reps > 2 && p.rep === p.reps);
</script>

<!-- What is read from two metres: the step, the count, the side, the hand; in rows of fixed height. -->
<section class="words" aria-label="This step" bind:clientWidth={wordsWidth}>
	<p class="alerts {alerts.length ? '' : 'invisible'}" title={alerts.join('\n')}>
		<b class="text-flag">Today:</b>
		{alerts.join(' · ')}
	</p>
	<h1>
		<AimGlyph aim={step.aim} size={30} /><span
			><span class="text-ink2 font-normal">{placed.number} of {context.steps.length}</span>
			{titleAt(p.event, step)}{#if place !== null}{' '}<span class="text-ink2 font-normal">place {place + 1} of {step.places.length}</span
				>{/if}</span
		>
	</h1>
	<div class="big">
		{#if shown.taking}<p class="taking" aria-hidden="true">
				{#if shown.taking.kind === 'medium'}<AimGlyph aim="prepare" size={120} />
				{:else}<Footprint contact={step.contact} tool={step.tool?.id} size={150} />{/if}
				<b class="font-semibold">{shown.taking.words}</b>
				<span class="text-ink2">{shown.numeral} {shown.beside}</span>
			</p>
		{:else}<p class="min-w-0 {shown.beside === 's' ? 'whitespace-nowrap' : ''}" aria-hidden="true">
				<span class="count font-[620] {runner.playing || p.done ? '' : 'still'} {shown.numeral.length > 2 ? 'word' : ''}"
					>{shown.numeral}</span
				><span class="beside text-ink2"
					>{shown.beside}{#if shown.unit}<br />{shown.unit}{/if}</span
				>
			</p>{/if}
		<StageFacts {step} hands={shown.hands} {side} {then} {midline} {working} {act} performer={context.sequence.performer} />
	</div>
	<p class="line">
		<span class="min-w-0 truncate"
			>{doing === shown.taking?.words || doing === act ? '' : doing}{#if onTo}<span class="text-ink2">: {onTo}</span>{/if}</span
		><span class="whitespace-nowrap"><b>{clock(p.stepLeftSeconds)}</b> <span class="text-ink2">to go in this step</span></span>
	</p>
	<p class="line mind">
		<span class="min-w-0"
			>{#if leading}<b>Get ready.</b>
			{:else if breath}<b>Breathe {breath}.</b>
			{:else if last}<b>Last one, then let it run off.</b>
			{/if}{' '}{#if lastTime.length}<b class="text-flag">{lastTime.join(' · ')}.</b>{' '}{/if}{mind.join(' · ')}</span
		>
	</p>
	<div class="waves"><StepWaves events={run} seconds={runner.seconds} width={Math.max(240, wordsWidth - 40)} /></div>
	<p class="line next">
		<span class="min-w-0 truncate"
			>{#if nextUp.startsWith('Next ')}<span class="text-ink2">Next</span>
				<b class="font-semibold">{nextUp.slice(5)}</b>{:else}{nextUp}{/if}</span
		>
	</p>
	{#if asks.length}<div class="bg-paper border-hair absolute inset-x-4 bottom-1 rounded-xl border p-2">
			<StageAsks {asks} {supplies} {onmet} />
		</div>{/if}
</section>

<style>
	/* Rows of fixed height, in shares of the part: only the numeral takes what is left. */
	.words {
		position: relative;
		container-type: size;
		display: grid;
		min-width: 0;
		min-height: 0;
		padding: 4px 20px;
		grid-template: auto auto minmax(0, 1fr) auto auto auto auto / minmax(0, 1fr);
	}
	h1,
	.line,
	.alerts,
	.big {
		font-size: clamp(13px, 3.7cqh, 20px);
		line-height: 1.35;
	}
	.alerts {
		overflow: hidden;
		white-space: nowrap;
		text-overflow: ellipsis;
	}
	h1 {
		display: flex;
		align-items: flex-start;
		gap: 10px;
		height: 2.5em;
		overflow: hidden;
		font-size: clamp(18px, 6cqh, 33px);
		line-height: 1.22;
		font-weight: 560;
	}
	h1 :global(svg) {
		flex: none;
	}
	.big {
		display: grid;
		align-items: center;
		min-height: 0;
		grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
		gap: 12px;
	}
	.line {
		display: flex;
		justify-content: space-between;
		gap: 12px;
		height: 1.5em;
	}
	/* What is to be minded has two lines: a sign to wait for is not cut off. */
	.mind {
		height: 2.7em;
		overflow: hidden;
		color: var(--ink2);
	}
	.mind span {
		display: -webkit-box;
		-webkit-box-orient: vertical;
		-webkit-line-clamp: 2;
		line-clamp: 2;
		overflow: hidden;
	}
	.taking {
		display: grid;
		justify-items: start;
		gap: 0.25em;
		font-size: min(6cqh, 5.4cqw, 32px);
		line-height: 1.15;
	}
	.taking :global(svg) {
		max-height: 24cqh;
		width: auto;
	}
	.waves {
		overflow: hidden;
	}
	@container (max-height: 430px) {
		.waves {
			display: none;
		}
		.mind {
			height: 1.5em;
		}
		.mind span {
			-webkit-line-clamp: 1;
			line-clamp: 1;
		}
	}
	/* In a low window words stand alone: no glyphs, no second lines. */
	@container (max-height: 310px) {
		.big {
			font-size: 14px;
		}
		.big :global(li svg),
		.big :global(li .text-ink2),
		.big :global(li br) {
			display: none;
		}
		.big :global(li) {
			gap: 0;
		}
	}
	.count {
		font-size: min(39cqh, 38cqw, 250px);
		line-height: 0.86;
		letter-spacing: -0.02em;
	}
	.count.word {
		font-size: min(30cqh, 17cqw, 120px);
		line-height: 1;
	}
	.beside {
		display: inline-block;
		padding-left: 0.3em;
		line-height: 1.1;
		font-size: min(8cqh, 7cqw, 42px);
		white-space: nowrap;
	}
	/* An outline while it rests: filled with the ground, so that no line shows inside. */
	.count.still {
		color: var(--paper);
		-webkit-text-stroke: 6px var(--ink);
		paint-order: stroke fill;
	}
</style>
