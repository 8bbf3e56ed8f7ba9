<script lang="ts">
	import { composeAt } from '../../parts/shell/addresses';
	import { pressingAreaCm2 } from '$lib/core/pressure/area';
	import { labelOf, placeOf } from '$lib/core/atlas/places';
	import { GOAL_IDS, goalInfo } from '$lib/core/goal/goals';
	import { usefulness } from '$lib/core/goal/useful';
	import { pointByCode } from '$lib/core/point/points';
	import { signsText } from '$lib/core/step/describe';
	import { levelRangeKPa, scaleGrams } from '$lib/core/step/levels';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { stepsOf } from '$lib/core/sequence/walk';
	import { contraOf } from '$lib/core/technique/contra';
	import type { Technique } from '$lib/core/technique/technique.schema';
	import { AIMS, BREATHS, CONTACTS, MOTIONS, MOUTHS, POSTURES, STONE_EDGES, TOOLS } from '$lib/core/vocabulary/vocabulary';
	import type { Working } from '$lib/core/working/working.schema';
	import Arrow from '../../parts/glyphs/Arrow.svelte';
	import Footprint from '../../parts/glyphs/Footprint.svelte';
	import MotionGlyph from '../../parts/glyphs/MotionGlyph.svelte';
	import { techniqueToday } from '$lib/core/screening/ofTechnique';
	import type { Limit } from '$lib/core/screening/limit.schema';
	import FaceMap from '../../parts/map/FaceMap.svelte';
	import LimitMarks from '../../parts/map/LimitMarks.svelte';
	import TodayFor from '../../parts/screening/TodayFor.svelte';
	import { focusFrame } from '../../parts/map/orientation';
	import RangeLine from './RangeLine.svelte';
	import { onDestroy } from 'svelte';
	import { captionOf } from '$lib/core/perform/caption';
	import { positionAt } from '$lib/core/perform/position';
	import { expand } from '$lib/core/sequence/expand';
	import { Player } from '$lib/state/player.svelte';
	import { fingerAt } from '../../parts/map/finger';
	import { pointsOf, sequenceAlone, stepOfTechnique, viewOf } from './stepOfTechnique';

	interface Props {
		technique: Technique;
		own: boolean;
		working: Working;
		/** Sequences in which it is looked for. */
		sequences: readonly Sequence[];
		/** What today allows whoever is up next. */
		today?: { readonly name: string; readonly limits: readonly Limit[]; readonly all: readonly Technique[] } | null;
		/** What the licence leaves out. */
		codes?: readonly Limit[];
		actions: import('svelte').Snippet;
	}
	let { technique, own, working, sequences, today = null, codes = [], actions }: Props = $props();
	const contra = $derived(contraOf(technique));
	const outside = $derived([...new Set(techniqueToday(technique, codes).limits.map((l) => l.name.toLowerCase()))]);
	const step = $derived(stepOfTechnique(technique));
	const view = $derived(viewOf(step.places));
	const frame = $derived(focusFrame(view, 'facing', pointsOf(view, step.places), 1.8));
	/** The move by itself, at its own pace: what the hand does is shown where it does it. */
	const events = $derived(expand(sequenceAlone(step), { working }));
	let seconds = $state(0);
	const position = $derived(positionAt(events, seconds));
	const handSide = $derived(position.side === 'left' || position.side === 'right' ? position.side : 'both');
	const player = new Player(
		() => seconds,
		(s) => (seconds = s),
		() => events.at(-1)?.endSeconds ?? 0
	);
	onDestroy(() => player.stop());
	const dose = $derived(technique.dose);
	const unit = $derived({ reps: '×', seconds: 's', breaths: 'breaths' }[dose.kind]);
	const most = $derived(Math.max(5, Math.ceil(dose.max / 5) * 5));
	const level = $derived(technique.pressure);
	const kPa = $derived(levelRangeKPa(level.default, working));
	const area = $derived(pressingAreaCm2(technique, working));
	const goals = $derived(
		GOAL_IDS.filter((g) => usefulness(technique, g) > 0).sort((a, b) => usefulness(technique, b) - usefulness(technique, a))
	);
	const body = $derived(
		[
			technique.posture !== 'neutral' ? POSTURES[technique.posture] : '',
			technique.mouth !== 'closed' ? MOUTHS[technique.mouth] : '',
			technique.breath !== 'free' ? BREATHS[technique.breath] : '',
			technique.by === 'client' ? 'The client does it herself' : '',
			technique.support?.stays ? 'One hand always stays' : ''
		].filter(Boolean)
	);
	const GLIDE = { none: 'no medium needed', slide: 'slides: needs a medium', dry: 'wants bare, dry skin' } as const;
	const SIDES = { both: 'both at once', each: 'one side, then the other', alternate: 'in turn', midline: 'along the middle' } as const;
	const used = $derived(
		sequences
			.map((sequence) => ({ sequence, steps: stepsOf(sequence).filter((s) => s.step.techniqueId === technique.id) }))
			.filter((u) => u.steps.length)
	);
	const point = $derived(technique.point ? pointByCode(technique.point) : null);
</script>

<div class="flex items-start gap-2">
	<span class="pt-1"><MotionGlyph motion={technique.motion} lanes={technique.lanes} reverse={technique.reverse} size={30} /></span>
	<div class="min-w-0 flex-1">
		<h2 class="text-[15px] leading-5 font-[560]">{technique.title}</h2>
		<p class="text-ink2 text-xs">{AIMS[technique.aim]}, {MOTIONS[technique.motion].toLowerCase()}{own ? ' · yours' : ''}</p>
	</div>
</div>
<div class="mt-2 flex flex-wrap gap-2">{@render actions()}</div>
{#if today}<TodayFor {technique} {...today} />{/if}
{#if outside.length}<p class="border-flag mt-2 border-l-2 pl-3 text-[12.5px] leading-[17px]">
		<b class="font-semibold">Outside your licence</b>, by your own note: {outside.join(', ')}.
		<a class="dotted" href="/settings/codes">Local codes</a>
	</p>{/if}
{#if step.places.length}
	<div class="relative mt-3 h-[205px] overflow-hidden rounded-xl">
		<FaceMap
			{view}
			orientation="facing"
			wide
			{step}
			focus={frame}
			showNodes={step.places.some((p) => p.startsWith('n:'))}
			finger={player.running ? fingerAt(position, step) : null}
			now={player.running ? handSide : null}
			label="{technique.title} on the face"
		>
			{#snippet over()}{#if today}<LimitMarks {view} limits={today.limits} wide quiet />{/if}{/snippet}
		</FaceMap>
		<button
			type="button"
			class="btn absolute bottom-2 left-2 min-h-[30px] px-3"
			aria-pressed={player.running}
			onclick={() => player.toggle()}>{player.running ? 'Stop' : 'Play it'}</button
		>
		{#if player.running}<p class="text-ink2 bg-sheet absolute right-2 bottom-2 rounded-lg px-2 py-1 text-xs">
				{captionOf(position, step.dose.kind)}
			</p>{/if}
	</div>
{/if}
<dl class="mt-3 grid grid-cols-[76px_minmax(0,1fr)] gap-y-2.5 text-xs leading-[18px]">
	{#if technique.paths.length}
		<dt>{technique.paths.length > 1 ? 'Paths' : 'Path'}</dt>
		<dd>
			{#each technique.paths as path, p (p)}
				<p>
					{#each path as ref, i (`${ref}${i}`)}{#if i}<Arrow />{/if}<span
							class="water {i === 0 || i === path.length - 1 ? 'font-[560]' : ''}">{labelOf(placeOf(ref))}</span
						>{/each}
				</p>
			{/each}
		</dd>
	{/if}
	<dt>Hand or tool</dt>
	<dd class="flex items-center gap-2">
		<Footprint contact={technique.contact} tool={technique.tool?.id} />
		{technique.tool && technique.contact === 'tool' ? TOOLS[technique.tool.id] : CONTACTS[technique.contact]}{technique.tool?.edge
			? `, ${STONE_EDGES[technique.tool.edge].toLowerCase()}, ${technique.tool.tiltDegrees ?? 15}°`
			: ''}{technique.lanes > 1 ? `, ${technique.lanes} lanes` : ''}
	</dd>
	<dt>Pressure</dt>
	<dd class="flex items-center gap-3">
		<RangeLine
			from={0}
			to={4}
			ticks={[0, 1, 2, 3, 4]}
			min={level.min}
			target={level.default}
			max={level.max}
			label="Level {level.default}, from {level.min} to {level.max}"
		/>
		<span
			><b class="font-semibold">level {level.default}</b><br />{area
				? `${kPa.map((k) => Math.round(scaleGrams(k, area))).join('–')} g`
				: `${kPa.join('–')} kPa`}</span
		>
	</dd>
	<dt>Repeats</dt>
	<dd class="flex items-center gap-3">
		<RangeLine
			from={0}
			to={most}
			ticks={[0, most / 2, most]}
			min={dose.min}
			target={dose.target}
			max={dose.max}
			label="{dose.target} {unit}, from {dose.min} to {dose.max}"
		/>
		<span
			><b class="font-semibold">{dose.min}–{dose.max} {unit}</b><br />{dose.kind === 'reps'
				? `${technique.paceSeconds} s each`
				: 'a side'}{technique.until ? `, until ${signsText(technique.until)}` : ''}</span
		>
	</dd>
	<dt>Sides</dt>
	<dd>{technique.sides.map((s) => SIDES[s]).join('; ')}</dd>
	<dt>Skin</dt>
	<dd>{GLIDE[technique.glide]}</dd>
	{#if body.length}
		<dt>Body</dt>
		<dd>{body.join(', ')}</dd>
	{/if}
	{#if point}
		<dt>Point</dt>
		<dd><b class="font-semibold">{point.code}</b> {point.find} <i>Tradition: {point.tradition}.</i></dd>
	{/if}
	{#if technique.how.length}
		<dt>How</dt>
		<dd>
			<ul class="space-y-1">
				{#each technique.how as line (line)}<li>{line}</li>{/each}
			</ul>
		</dd>
	{/if}
	<dt>Why</dt>
	<dd>{technique.why}</dd>
	{#if contra.length}
		<dt>Take care</dt>
		<dd>{contra.join(' ')}</dd>
	{/if}
	{#if goals.length}
		<dt>Serves</dt>
		<dd>
			{goals
				.slice(0, 5)
				.map((g) => goalInfo(g).label.toLowerCase())
				.join(', ')}
		</dd>
	{/if}
	<dt>Used in</dt>
	<dd>
		{#each used.slice(0, 6) as { sequence, steps } (sequence.id)}
			<p>
				<a class="dotted" href={composeAt(sequence.id, steps[0]!.step.id)}>{sequence.title}</a>
				<span class="text-ink2">step {steps.map((s) => s.number).join(', ')}</span>
			</p>
		{:else}<span class="text-ink2">none of your sequences</span>{/each}
	</dd>
</dl>

<style>
	dt {
		color: var(--ink3);
	}
</style>
