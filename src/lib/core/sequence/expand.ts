import { otherSide, type PlaceRef, type Side } from '../atlas/places';
import type { Level } from '../step/levels';
import { isStationary, toolRow } from '../vocabulary/vocabulary';
import type { Working } from '../working/working.schema';
import type { Block, Phase, Sequence } from './sequence.schema';
import type { Step } from '../step/step.schema';
import { levelsOf } from '../step/levelsOf';
import { computable } from './cost';
import { turnsOf, type WorkedSide } from './workedSide';

export type { WorkedSide } from './workedSide';
export type EventKind = 'work' | 'link' | 'station' | 'transition' | 'rest';

/** A stretch of time in a sequence. Runs of equal repetitions are one event. */
export interface TimedEvent {
	readonly stepId: string;
	readonly blockId: string;
	readonly phaseId: string;
	readonly kind: EventKind;
	readonly side: WorkedSide;
	/** Lane of the stroke, from 1. */
	readonly lane: number;
	readonly direction: 'forward' | 'back';
	/** Repetitions, of both sides where they are done in turn; for a dose in seconds as many as the pace gives, for breaths one a breath. */
	readonly reps: number;
	readonly paceSeconds: number;
	readonly startSeconds: number;
	readonly endSeconds: number;
	readonly places: readonly PlaceRef[];
	readonly levels: readonly Level[];
}

export type CountChoice = 'min' | 'target' | 'max';
export interface ExpandContext {
	readonly working: Working;
}

interface Cursor {
	seconds: number;
	tool: string | null;
	gloved: boolean;
	posture: Step['posture'];
	side: Side | null;
	readonly begun: Set<string>;
	/** Null where only the seconds are asked for. */
	readonly out: TimedEvent[] | null;
	readonly bySteps: Map<string, number>;
	readonly byPhases: Map<string, number>;
}

const newCursor = (out: TimedEvent[] | null): Cursor => ({
	seconds: 0,
	tool: null,
	gloved: false,
	posture: 'neutral',
	side: null,
	begun: new Set(),
	out,
	bySteps: new Map(),
	byPhases: new Map()
});

/**
 * A sequence as timed events, in playing order, gapless from second 0. Whatever a sequence asks for, no more is made than
 * its limits allow: what goes beyond is cut (`cost.ts`), and the rule `too-much-work` says so.
 * @param sequence a valid sequence
 * @param context the working values
 * @param count which end of each count range is taken; expected time is `target`
 */
export function expand(sequence: Sequence, context: ExpandContext, count: CountChoice = 'target'): TimedEvent[] {
	const out: TimedEvent[] = [];
	walk(newCursor(out), computable(sequence), context.working, count);
	return out;
}

export interface Seconds {
	readonly total: number;
	readonly steps: ReadonlyMap<string, number>;
	readonly phases: ReadonlyMap<string, number>;
}

/** The seconds of `expand`, by step and by phase, without the events: for the ends of the count ranges. */
export function secondsOf(sequence: Sequence, context: ExpandContext, count: CountChoice): Seconds {
	const cursor = newCursor(null);
	walk(cursor, computable(sequence), context.working, count);
	return { total: cursor.seconds, steps: cursor.bySteps, phases: cursor.byPhases };
}

function walk(cursor: Cursor, sequence: Sequence, working: Working, count: CountChoice): void {
	for (const phase of sequence.phases)
		for (const block of phase.blocks)
			if (block.sides === 'asSteps') {
				for (const step of block.steps) expandStep(cursor, { phase, block, step }, working, count);
			} else {
				for (const side of [block.sides.first, otherSide(block.sides.first)])
					for (const step of block.steps) expandPass(cursor, { phase, block, step }, side, working, count);
			}
}

interface Placed {
	readonly phase: Phase;
	readonly block: Block;
	readonly step: Step;
}

function expandStep(cursor: Cursor, placed: Placed, working: Working, count: CountChoice): void {
	const side = placed.step.side ?? 'both';
	if (typeof side === 'string') expandPass(cursor, placed, side, working, count);
	else if ('each' in side)
		for (const s of [side.first, otherSide(side.first)]) expandPass(cursor, placed, s, working, count);
	else expandAlternate(cursor, placed, side.first, working, count);
}

function push(
	cursor: Cursor,
	{ phase, block, step }: Placed,
	part: Pick<TimedEvent, 'kind' | 'side'> & Partial<TimedEvent>,
	seconds: number
): void {
	if (!(seconds > 0)) return;
	const startSeconds = cursor.seconds;
	cursor.seconds += seconds;
	if (!cursor.out) return tally(cursor, phase.id, step.id, seconds);
	// Written out field by field: this is the hottest place of the core, and a spread costs several times as much.
	cursor.out.push({
		stepId: step.id,
		blockId: block.id,
		phaseId: phase.id,
		kind: part.kind,
		side: part.side,
		lane: part.lane ?? 1,
		direction: part.direction ?? 'forward',
		reps: part.reps ?? 1,
		paceSeconds: part.paceSeconds ?? seconds,
		startSeconds,
		endSeconds: cursor.seconds,
		places: part.places ?? step.places,
		levels: part.levels ?? levelsOf(step)
	});
}

function tally(cursor: Cursor, phaseId: string, stepId: string, seconds: number): void {
	cursor.bySteps.set(stepId, (cursor.bySteps.get(stepId) ?? 0) + seconds);
	cursor.byPhases.set(phaseId, (cursor.byPhases.get(phaseId) ?? 0) + seconds);
}

/** Seconds that go by before a pass can begin: tool, gloves, posture, side, medium. The same in min, expected and max. */
function payTransitions(cursor: Cursor, placed: Placed, side: WorkedSide, working: Working): void {
	const { step } = placed;
	let seconds = 0;
	const gloved = step.tool !== undefined && toolRow(step.tool.id).worn;
	if (gloved !== cursor.gloved) seconds += working.glovesSeconds;
	cursor.gloved = gloved;
	const tool = step.tool && !gloved ? `${step.tool.id}/${step.tool.edge ?? ''}` : null;
	if (tool && tool !== cursor.tool) seconds += working.toolPickUpSeconds;
	cursor.tool = tool;
	if (step.posture !== cursor.posture) seconds += working.postureChangeSeconds;
	cursor.posture = step.posture;
	const oneSide = side === 'left' || side === 'right' ? side : null;
	if (oneSide && cursor.side && oneSide !== cursor.side) seconds += working.sideChangeSeconds;
	cursor.side = oneSide;
	const topsUp = step.medium && step.aim !== 'prepare';
	if (topsUp && !cursor.begun.has(step.id)) seconds += working.topUpSeconds;
	cursor.begun.add(step.id);
	push(cursor, placed, { kind: 'transition', side }, seconds);
}

/** Counted seconds of one pass in one lane and direction, split into what repeats. */
function passDose(step: Step, working: Working, count: CountChoice): { reps: number; paceSeconds: number } {
	const amount = step.dose[count];
	if (step.dose.kind === 'reps') return { reps: amount, paceSeconds: step.paceSeconds };
	const perPlace = isStationary(step.motion) ? Math.max(1, step.places.length) : 1;
	if (step.dose.kind === 'breaths') return { reps: amount * perPlace, paceSeconds: working.doseBreathSeconds };
	const seconds = amount * perPlace;
	const reps = Math.max(1, Math.round(seconds / step.paceSeconds));
	return { reps, paceSeconds: seconds / reps };
}

/** Seconds of one station's hold. */
export function holdSeconds(step: Step, working: Working): number {
	if (!step.stations) return 0;
	const { kind, amount } = step.stations.hold;
	return kind === 'breaths' ? amount * working.doseBreathSeconds : amount;
}

function expandPass(cursor: Cursor, placed: Placed, side: WorkedSide, working: Working, count: CountChoice): void {
	payTransitions(cursor, placed, side, working);
	const { step } = placed;
	const { reps, paceSeconds } = passDose(step, working, count);
	const kind: EventKind = step.motion === 'none' && step.contact === 'none' ? 'rest' : 'work';
	const start = cursor.seconds;
	for (let lane = 1; lane <= step.lanes; lane++)
		for (const direction of step.reverse ? (['forward', 'back'] as const) : (['forward'] as const)) {
			const part = { kind, side, lane, direction, paceSeconds };
			if (!step.stations) push(cursor, placed, { kind, side, lane, direction, paceSeconds, reps }, reps * paceSeconds);
			else
				for (let rep = 0; rep < reps; rep++) {
					push(cursor, placed, part, paceSeconds);
					pushStations(cursor, placed, part, working);
				}
		}
	if (step.until && count === 'max') stretch(cursor, placed, start, step.until.capSeconds);
	pushLink(cursor, placed, side, working);
}

function pushStations(
	cursor: Cursor,
	placed: Placed,
	part: Pick<TimedEvent, 'side' | 'lane' | 'direction'>,
	working: Working
): void {
	const { step } = placed;
	const levels = levelsOf(step);
	for (const place of step.stations!.places) {
		const level = levels[step.places.indexOf(place)] ?? levels[0]!;
		push(cursor, placed, { ...part, kind: 'station', places: [place], levels: [level] }, holdSeconds(step, working));
	}
}

/** `until` ends at its cap at the latest: the last event of the pass is lengthened or cut to it. */
function stretch(cursor: Cursor, { phase, step }: Placed, startSeconds: number, capSeconds: number): void {
	const end = startSeconds + capSeconds;
	if (!cursor.out) {
		tally(cursor, phase.id, step.id, end - cursor.seconds);
		cursor.seconds = end;
		return;
	}
	while (cursor.out.length && cursor.out.at(-1)!.startSeconds >= end) cursor.out.pop();
	const last = cursor.out.pop();
	if (!last) return;
	// In turn, both sides get the same.
	const least = turnsOf(last.side) ? 2 : 1;
	const reps = least * Math.max(1, Math.round((end - last.startSeconds) / (least * last.paceSeconds)));
	cursor.out.push({ ...last, reps, paceSeconds: (end - last.startSeconds) / reps, endSeconds: end });
	cursor.seconds = end;
}

function pushLink(cursor: Cursor, placed: Placed, side: WorkedSide, working: Working): void {
	const { end } = placed.step;
	if (end.kind !== 'link') return;
	const levels: Level[] = end.places.map(() => 1);
	push(
		cursor,
		placed,
		{ kind: 'link', side, reps: end.pumps, places: end.places, levels },
		end.places.length * working.linkPlaceSeconds + end.pumps * working.linkPumpSeconds
	);
}

/** Repetition by repetition, left and right in turn. The hands change without a pause. */
function expandAlternate(cursor: Cursor, placed: Placed, first: Side, working: Working, count: CountChoice): void {
	payTransitions(cursor, placed, 'both', working);
	const { step } = placed;
	const { reps, paceSeconds } = passDose(step, working, count);
	const sides = [first, otherSide(first)];
	const start = cursor.seconds;
	for (let lane = 1; lane <= step.lanes; lane++)
		for (const direction of step.reverse ? (['forward', 'back'] as const) : (['forward'] as const))
			if (!step.stations) {
				const side = `in-turn-${first}` as const;
				push(
					cursor,
					placed,
					{ kind: 'work', side, lane, direction, paceSeconds, reps: 2 * reps },
					2 * reps * paceSeconds
				);
			} else
				for (let rep = 0; rep < reps; rep++)
					for (const side of sides) {
						const part = { kind: 'work' as const, side, lane, direction, paceSeconds };
						push(cursor, placed, part, paceSeconds);
						pushStations(cursor, placed, part, working);
					}
	// The cap holds on each side; done in turn, both together take twice as long.
	if (step.until && count === 'max') stretch(cursor, placed, start, 2 * step.until.capSeconds);
	for (const side of sides) pushLink(cursor, placed, side, working);
}
