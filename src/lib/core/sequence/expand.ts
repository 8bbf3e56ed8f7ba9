import { otherSide, type PlaceRef, type Side } from '../atlas/places';
import type { Level } from '../step/levels';
import { toolRow } from '../vocabulary/vocabulary';
import type { Working } from '../working/working.schema';
import type { Block, Phase, Sequence } from './sequence.schema';
import type { Step } from '../step/step.schema';
import { levelsOf } from '../step/levelsOf';
import { partAs } from '../step/parts';
import { beatOf, holdSeconds, isTold, kindOf, waysOf, type CountChoice, type Way } from './beats';
import { isDone } from './chosen';
import { computable } from './cost';
import { turnsOf, type WorkedSide } from './workedSide';

export { holdSeconds, type CountChoice } from './beats';
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
	/** Which stroke of a repetition that has several: 0 is the step's own, 1 its first part. */
	readonly part: number;
	/** Repetitions, of both sides where they are done in turn; for a dose in seconds as many as the pace gives, for breaths one a breath. */
	readonly reps: number;
	readonly paceSeconds: number;
	readonly startSeconds: number;
	readonly endSeconds: number;
	readonly places: readonly PlaceRef[];
	readonly levels: readonly Level[];
	/** Number of the spot within its places, from 0; absent where none are told. */
	readonly spot?: number;
}

export interface ExpandContext {
	readonly working: Working;
}

interface Cursor {
	seconds: number;
	tool: string | null;
	gloved: boolean;
	/** Hands were just washed, or gloves put on. */
	handsReady: boolean;
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
	handsReady: false,
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
	const isOn = isDone(sequence, count);
	for (const phase of sequence.phases)
		for (let round = 0; round < (phase.passes ?? 1); round++)
			for (const block of phase.blocks)
				for (let pass = 0; pass < (block.passes ?? 1); pass++) walkBlock(cursor, phase, block, isOn, working, count);
}

function walkBlock(
	cursor: Cursor,
	phase: Phase,
	block: Block,
	isOn: (step: Step) => boolean,
	working: Working,
	count: CountChoice
): void {
	const sides = block.sides === 'asSteps' ? [null] : [block.sides.first, otherSide(block.sides.first)];
	for (const side of sides)
		for (const step of block.steps) {
			if (!isOn(step)) continue;
			const placed = { phase, block, step };
			// Over the middle it is worked once, in the first pass.
			if (side && step.side === 'midline') {
				if (side === sides[0]) expandPass(cursor, placed, 'midline', working, count);
			} else if (side) expandPass(cursor, placed, side, working, count);
			else expandStep(cursor, placed, working, count);
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
	else expandAlternate(cursor, placed, side, working, count);
}

/** What repeats in a stretch, where it is more than one of its length. */
interface Run {
	readonly reps: number;
	readonly paceSeconds: number;
}

/**
 * Adds a stretch of time. This is the hottest place of the core: what is known is handed over as it is, for a spread
 * costs several times as much as the rest.
 * @param way absent: all places of the step
 * @param part which stroke of a repetition, from 0
 */
function push(
	cursor: Cursor,
	placed: Placed,
	kind: EventKind,
	side: WorkedSide,
	seconds: number,
	way?: Way,
	run?: Run,
	part = 0
): void {
	if (!(seconds > 0)) return;
	const { step } = placed;
	const startSeconds = cursor.seconds;
	cursor.seconds += seconds;
	if (!cursor.out) return tally(cursor, placed.phase.id, step.id, seconds);
	cursor.out.push({
		stepId: step.id,
		blockId: placed.block.id,
		phaseId: placed.phase.id,
		kind,
		side,
		lane: way ? way.lane : 1,
		direction: way ? way.direction : 'forward',
		part,
		reps: run ? run.reps : 1,
		paceSeconds: run ? run.paceSeconds : seconds,
		startSeconds,
		endSeconds: cursor.seconds,
		places: way ? way.places : step.places,
		levels: way ? way.levels : levelsOf(step),
		...(way?.spot === undefined ? {} : { spot: way.spot })
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
	// Putting them on is paid; taking them off is a moment. Who has just put them on, or washed, pays no second time.
	if (gloved && !cursor.gloved && !cursor.handsReady) seconds += working.glovesSeconds;
	cursor.gloved = gloved;
	cursor.handsReady = step.aim === 'cleanse' && step.target === 'hands';
	// Another edge of the same tool is turned to in the hand.
	const tool = step.tool && !gloved ? step.tool.id : null;
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
	push(cursor, placed, 'transition', side, seconds);
}

/** One repetition by itself: its stroke, the stations on its way, and its further parts. */
function pushRepetition(
	cursor: Cursor,
	placed: Placed,
	side: WorkedSide,
	way: Way,
	paceSeconds: number,
	working: Working
): void {
	const { step } = placed;
	push(cursor, placed, kindOf(step), side, paceSeconds, way);
	if (step.stations) pushStations(cursor, placed, side, way, working);
	step.parts?.forEach((own, i) => {
		const { lane, direction } = way;
		const spot = way.spot === undefined ? {} : { spot: way.spot };
		const at = { lane, direction, ...spot, places: own.places ?? way.places, levels: levelsOf(partAs(step, i)) };
		push(cursor, placed, 'work', side, own.seconds, at, undefined, i + 1);
	});
}

function expandPass(cursor: Cursor, placed: Placed, side: WorkedSide, working: Working, count: CountChoice): void {
	payTransitions(cursor, placed, side, working);
	const { step } = placed;
	const beat = beatOf(step, working, count);
	const start = cursor.seconds;
	const [kind, told] = [kindOf(step), isTold(step)];
	for (const way of waysOf(step))
		if (!told) push(cursor, placed, kind, side, beat.reps * beat.paceSeconds, way, beat);
		else for (let rep = 0; rep < beat.reps; rep++) pushRepetition(cursor, placed, side, way, beat.paceSeconds, working);
	keepToCap(cursor, placed, start, step.until?.capSeconds, count);
	pushPose(cursor, placed, side);
	pushLink(cursor, placed, side, working);
}

/** The pose in which a side ends is held. */
function pushPose(cursor: Cursor, placed: Placed, side: WorkedSide): void {
	const { step } = placed;
	if (step.poseSeconds === undefined) return;
	const place = step.places.at(-1);
	const at = place && spotWay(place, levelsOf(step).at(-1)!);
	push(cursor, placed, 'station', side, step.poseSeconds, at);
}

const spotWay = (place: PlaceRef, level: Level, from?: Way): Way => ({
	lane: from?.lane ?? 1,
	direction: from?.direction ?? 'forward',
	places: [place],
	levels: [level]
});

function pushStations(cursor: Cursor, placed: Placed, side: WorkedSide, way: Way, working: Working): void {
	const { step } = placed;
	const levels = levelsOf(step);
	for (const place of step.stations!.places) {
		const level = levels[step.places.indexOf(place)] ?? levels[0]!;
		push(cursor, placed, 'station', side, holdSeconds(step, working), spotWay(place, level, way));
	}
}

/** `until` ends at its cap at the latest, whichever end of the count is taken; at the longest it lasts until then. */
function keepToCap(
	cursor: Cursor,
	placed: Placed,
	startSeconds: number,
	capSeconds: number | undefined,
	count: CountChoice
): void {
	if (capSeconds === undefined) return;
	const over = cursor.seconds > startSeconds + capSeconds + 1e-9;
	if (over || count === 'max') stretch(cursor, placed, startSeconds, capSeconds);
}

/** The last event of a pass is lengthened or cut to a cap. */
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
	const seconds = end.places.length * working.linkPlaceSeconds + end.pumps * working.linkPumpSeconds;
	const run = { reps: end.pumps, paceSeconds: seconds };
	push(cursor, placed, 'link', side, seconds, { lane: 1, direction: 'forward', places: end.places, levels }, run);
}

/** Left and right in turn, after each repetition or after so many. The hands change without a pause. */
function expandAlternate(
	cursor: Cursor,
	placed: Placed,
	{ first, every = 1 }: { readonly first: Side; readonly every?: number | undefined },
	working: Working,
	count: CountChoice
): void {
	payTransitions(cursor, placed, 'both', working);
	const { step } = placed;
	const { reps, paceSeconds } = beatOf(step, working, count);
	const sides = [first, otherSide(first)];
	const start = cursor.seconds;
	const [kind, told] = [kindOf(step), isTold(step)];
	const inTurn = { reps: 2 * reps, paceSeconds };
	for (const way of waysOf(step))
		if (every === 1 && !told) push(cursor, placed, kind, `in-turn-${first}`, 2 * reps * paceSeconds, way, inTurn);
		else
			for (let done = 0; done < reps; done += every)
				for (const side of sides) {
					const turn = Math.min(every, reps - done);
					if (!told) push(cursor, placed, kind, side, turn * paceSeconds, way, { reps: turn, paceSeconds });
					else for (let rep = 0; rep < turn; rep++) pushRepetition(cursor, placed, side, way, paceSeconds, working);
				}
	// The cap holds on each side; done in turn, both together take twice as long.
	const cap = step.until && 2 * step.until.capSeconds;
	keepToCap(cursor, placed, start, cap, count);
	for (const side of sides) {
		pushPose(cursor, placed, side);
		pushLink(cursor, placed, side, working);
	}
}
