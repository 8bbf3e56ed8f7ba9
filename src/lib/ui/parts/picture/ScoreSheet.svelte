<script lang="ts">
	import { LEVEL_NAMES, LEVELS } from '$lib/core/step/levels';
	import { clock } from '$lib/core/step/describe';
	import type { TimedEvent } from '$lib/core/sequence/expand';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import { AIMS, type Aim } from '$lib/core/vocabulary/vocabulary';
	import { AIM_GLYPHS, AIM_TONE } from '../glyphs/aimGlyphs';
	import GateMark from '../score/GateMark.svelte';
	import ScoreAxis from '../score/ScoreAxis.svelte';
	import ScoreBands from '../score/ScoreBands.svelte';
	import ScoreLand from '../score/ScoreLand.svelte';
	import ScorePhases from '../score/ScorePhases.svelte';
	import SwellMark from '../score/SwellMark.svelte';
	import Textures from '../score/Textures.svelte';
	import { bandRows } from '../score/scoreBands';
	import { FULL_HEIGHTS, undulation, xAt, type ScoreFrame } from '../score/scoreGeometry';
	import { scorePhases, scoreSteps } from '../score/scoreLayout';

	interface Props {
		sequence: Sequence;
		events: readonly TimedEvent[];
		byId: ReadonlyMap<string, PlacedStep>;
		/** px, at least 900; a longer sequence is drawn wider. */
		width: number;
	}
	let { sequence, events, byId, width }: Props = $props();
	const uid = $props.id();
	const steps = $derived(scoreSteps(events, byId));
	const phases = $derived(scorePhases(events, new Map(sequence.phases.map((p) => [p.id, p.title]))));
	const bands = $derived(bandRows(steps));
	const total = $derived(events.at(-1)?.endSeconds ?? 0);
	const frame = $derived<ScoreFrame>({ seconds: total, x0: 96, x1: width - 40, mid: 104, bar: 16, heights: FULL_HEIGHTS, swing: 1 });
	const TOP = 58;
	const axis = $derived(190 + 14 * bands.length);
	const height = $derived(TOP + axis + 76);
	const aims = $derived((Object.keys(AIMS) as Aim[]).filter((a) => steps.some((s) => s.placed.step.aim === a)));
</script>

<svg {width} {height} viewBox="0 0 {width} {height}" role="img" aria-label="Score of {sequence.title}">
	<rect {width} {height} fill="var(--sheet)" />
	<Textures {uid} />
	<text x="22" y="34" font-size="22" font-weight="540" fill="var(--ink)">{sequence.title}</text>
	<text x={width - 40} y="34" font-size="13" text-anchor="end" fill="var(--ink2)"
		>{clock(total)}, {sequence.school.title.toLowerCase()}, {byId.size} steps</text
	>
	<g transform="translate(0 {TOP})">
		<ScorePhases {phases} {frame} height={axis} />
		<text x="22" y="62" font-size="12" fill="var(--ink2)">Client’s</text><text
			x="22"
			y="77"
			font-size="12"
			font-weight="600"
			fill="var(--ink)">left</text
		>
		<text x="22" y="140" font-size="12" fill="var(--ink2)">Client’s</text><text
			x="22"
			y="155"
			font-size="12"
			font-weight="600"
			fill="var(--ink)">right</text
		>
		<ScoreLand {frame}>
			{#each steps as step (step.key)}<SwellMark {step} {frame} {uid} detail="full" seaUp={28} seaDown={182} />{/each}
		</ScoreLand>
		{#each steps as step (step.key)}
			{#if step.gate}<GateMark {step} {frame} detail="full" />{/if}
			{@const x = xAt(frame, (step.startSeconds + step.endSeconds) / 2)}
			{#if xAt(frame, step.endSeconds) - xAt(frame, step.startSeconds) > 11}
				<text
					{x}
					y={frame.mid + undulation(frame, x) + 4}
					font-size="11"
					font-weight="600"
					text-anchor="middle"
					fill={step.gate ? 'var(--gapnum)' : 'var(--ink)'}>{step.placed.number}</text
				>
			{/if}
		{/each}
		{#each bands as row, i (row.id)}<text x="22" y={190 + 14 * i + 10.5} font-size="11.5" fill="var(--ink2)">{row.title}</text>{/each}
		<ScoreBands rows={bands} {frame} y={190} />
		<ScoreAxis {frame} y={axis} cursorSeconds={-1000} />
		<g transform="translate(96 {axis + 50})">
			{#each aims as aim, i (aim)}
				<g transform="translate({i * 92} 0)">
					<g
						transform="translate(0 -12)"
						fill="none"
						stroke="var(--{AIM_TONE[aim]})"
						stroke-width="1.4"
						stroke-linecap="round"
						stroke-linejoin="round"
					>
						{#each AIM_GLYPHS[aim] as mark (mark.d)}
							<path
								d={mark.d}
								stroke={mark.fill ? 'none' : undefined}
								stroke-width={mark.width ?? 1.4}
								fill={mark.fill ? `var(--${AIM_TONE[aim]})` : 'none'}
							/>
						{/each}
					</g>
					<text x="21" y="1" font-size="12" fill="var(--ink2)">{AIMS[aim].toLowerCase()}</text>
				</g>
			{/each}
			<text x={width - 136} y="1" font-size="12" text-anchor="end" fill="var(--ink2)"
				>height: pressure, {LEVELS.map((l) => `${l} ${LEVEL_NAMES[l]}`).join(', ')}</text
			>
		</g>
	</g>
</svg>
