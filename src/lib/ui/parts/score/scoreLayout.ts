import { motionRow } from '$lib/core/vocabulary/vocabulary';
import type { Level } from '$lib/core/step/levels';
import type { TimedEvent } from '$lib/core/sequence/expand';
import { sidesOf, turnsOf } from '$lib/core/sequence/workedSide';
import { type PlacedStep } from '$lib/core/sequence/walk';
import { peakLevel } from '$lib/core/step/levelsOf';
import type { Tone } from '../glyphs/aimGlyphs';
import { AIM_TONE } from '../glyphs/aimGlyphs';
import type { Direction } from './scoreGeometry';

/** One swell of the score: one step on one side. */
export interface SwellSpan {
	readonly dir: Direction;
	readonly startSeconds: number;
	readonly endSeconds: number;
}
export interface ScoreStep {
	readonly key: string;
	readonly placed: PlacedStep;
	readonly tone: Tone;
	readonly level: Level;
	readonly gate: boolean;
	readonly hold: boolean;
	readonly alternate: boolean;
	readonly startSeconds: number;
	readonly endSeconds: number;
	readonly spans: readonly SwellSpan[];
	/** Drain links that leave from this step: side and node groups. */
	readonly links: readonly { readonly dir: Direction; readonly nodes: number }[];
	readonly breaths: number;
}

const sameSpan = (a: SwellSpan, b: SwellSpan | undefined): boolean =>
	b !== undefined && a.dir === b.dir && a.startSeconds === b.startSeconds && a.endSeconds === b.endSeconds;

/** The same list, with what is as it was before as the same objects: views then redraw only what changed. */
export function keepSame(before: readonly ScoreStep[], now: readonly ScoreStep[]): ScoreStep[] {
	const known = new Map(before.map((s) => [s.key, s]));
	return now.map((s) => {
		const old = known.get(s.key);
		const same =
			old &&
			old.placed.step === s.placed.step &&
			old.placed.number === s.placed.number &&
			old.startSeconds === s.startSeconds &&
			old.endSeconds === s.endSeconds &&
			old.spans.length === s.spans.length &&
			s.spans.every((span, i) => sameSpan(span, old.spans[i]));
		return same ? old : s;
	});
}

const DIR = { left: -1, right: 1 } as const satisfies Record<string, Direction>;

/** Where an event stands in the score: in turn, the second side begins and ends a repetition later. */
function spansOf({ side, startSeconds, endSeconds, paceSeconds }: TimedEvent): SwellSpan[] {
	const late = turnsOf(side) ? paceSeconds : 0;
	return sidesOf(side).map((s, i) => ({
		dir: DIR[s],
		startSeconds: startSeconds + i * late,
		endSeconds: endSeconds - (1 - i) * late
	}));
}

/** Events gathered into what the score draws. A step inside a block done side by side appears once on each side. */
export function scoreSteps(events: readonly TimedEvent[], byId: ReadonlyMap<string, PlacedStep>): ScoreStep[] {
	const out: ScoreStep[] = [];
	let run: TimedEvent[] = [];
	const flush = () => {
		if (run.length) out.push(gather(run, byId.get(run[0]!.stepId)!, out.length));
		run = [];
	};
	for (const event of events) {
		if (run.length && run[0]!.stepId !== event.stepId) flush();
		run.push(event);
	}
	flush();
	return out;
}

function gather(run: readonly TimedEvent[], placed: PlacedStep, index: number): ScoreStep {
	const { step } = placed;
	const spans = new Map<Direction, SwellSpan>();
	for (const event of run) {
		if (event.kind === 'transition' || event.kind === 'link') continue;
		for (const span of spansOf(event)) {
			const known = spans.get(span.dir);
			spans.set(span.dir, { ...span, startSeconds: known?.startSeconds ?? span.startSeconds });
		}
	}
	return {
		key: `${step.id}:${index}`,
		placed,
		tone: AIM_TONE[step.aim],
		level: peakLevel(step),
		gate: motionRow(step.motion).opens && step.places.every((p) => p.startsWith('n:')),
		hold: motionRow(step.motion).holds,
		alternate: typeof step.side === 'object' && 'alternate' in step.side,
		startSeconds: run[0]!.startSeconds,
		endSeconds: run.at(-1)!.endSeconds,
		spans: [...spans.values()],
		links: run
			.filter((e) => e.kind === 'link')
			.flatMap((e) => sidesOf(e.side).map((side) => ({ dir: DIR[side], nodes: e.places.length }))),
		breaths: step.dose.kind === 'breaths' ? step.dose.target : 0
	};
}

export interface SpecPhase {
	readonly id: string;
	readonly title: string;
	readonly startSeconds: number;
	readonly endSeconds: number;
}

/** The phases that take time, in order. */
export function scorePhases(events: readonly TimedEvent[], titles: ReadonlyMap<string, string>): SpecPhase[] {
	const phases: SpecPhase[] = [];
	for (const { phaseId, startSeconds, endSeconds } of events) {
		const last = phases.at(-1);
		if (last?.id === phaseId) phases[phases.length - 1] = { ...last, endSeconds };
		else phases.push({ id: phaseId, title: titles.get(phaseId) ?? '', startSeconds, endSeconds });
	}
	return phases;
}
