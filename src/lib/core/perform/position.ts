import type { Side } from '../atlas/places';
import { firstWhere } from '../firstWhere';
import type { TimedEvent } from '../sequence/expand';
import { repsOn, sideOfRep, sidesOf, turnsOf, type WorkedSide } from '../sequence/workedSide';

/** Where one is in a sequence at a moment. */
export interface Position {
	/** Index of the event; the number of events when all is done. */
	readonly index: number;
	readonly event: TimedEvent | null;
	/** The side that is worked at this very moment; null behind the end. */
	readonly side: Exclude<WorkedSide, `in-turn-${Side}`> | null;
	/** The repetition being done, from 1, counted a side; 0 in a transition. */
	readonly rep: number;
	readonly reps: number;
	/** Second at which it began. */
	readonly repStartSeconds: number;
	/** Part of the present repetition that is over, 0..1. */
	readonly repShare: number;
	/** Seconds left in this event and in this step. */
	readonly eventLeftSeconds: number;
	readonly stepLeftSeconds: number;
	readonly done: boolean;
}

/** Index of the event that runs at a moment; the number of events behind the end. */
export const eventIndexAt = (events: readonly TimedEvent[], seconds: number): number =>
	firstWhere(events, ({ endSeconds }) => endSeconds > seconds);

/**
 * The position at a moment of the plan. It depends on nothing but the moment, so a clock that slept catches up by itself.
 * @param seconds since the start of the sequence, >= 0
 */
export function positionAt(events: readonly TimedEvent[], seconds: number): Position {
	const index = eventIndexAt(events, seconds);
	const event = events[index] ?? null;
	if (!event)
		return {
			index,
			event,
			side: null,
			rep: 0,
			reps: 0,
			repStartSeconds: seconds,
			repShare: 0,
			eventLeftSeconds: 0,
			stepLeftSeconds: 0,
			done: true
		};
	const into = Math.max(0, seconds - event.startSeconds);
	const length = event.endSeconds - event.startSeconds;
	const counted = event.kind === 'work' || event.kind === 'link';
	const beats = counted ? Math.max(1, event.reps) : 1;
	const pace = length / beats;
	const beat = Math.min(beats - 1, Math.floor(into / pace));
	const each = turnsOf(event.side) ? 2 : 1;
	const told = counted && event.kind === 'work' ? toldApart(events, index, each) : null;
	let last = index;
	while (events[last + 1]?.stepId === event.stepId) last++;
	return {
		index,
		event,
		side: sideOfRep(event.side, beat),
		rep: told ? told.done + Math.floor(beat / each) + 1 : counted ? Math.floor(beat / each) + 1 : 0,
		reps: told ? told.reps : counted ? Math.ceil(beats / each) : 0,
		repStartSeconds: event.startSeconds + beat * pace,
		repShare: Math.min(1, (into - beat * pace) / pace),
		eventLeftSeconds: length - into,
		stepLeftSeconds: events[last]!.endSeconds - seconds,
		done: false
	};
}

/**
 * One count in several stretches, as of repetitions that stop on their way, have further strokes, or take turns by twos:
 * how many a side are done before this stretch, and how many there are. Null where this one is all of it.
 */
function toldApart(events: readonly TimedEvent[], index: number, each: 1 | 2): { done: number; reps: number } | null {
	const here = events[index]!;
	const like = (e: TimedEvent) =>
		e.kind === 'work' &&
		e.part === 0 &&
		e.side === here.side &&
		e.lane === here.lane &&
		e.direction === here.direction &&
		(here.part > 0 || e.places === here.places);
	const at = firstOfRun(events, index);
	let [done, reps, stretches] = [0, 0, 0];
	for (let i = at; events[i]?.stepId === here.stepId; i++) {
		if (!like(events[i]!)) continue;
		const more = Math.ceil(events[i]!.reps / each);
		reps += more;
		stretches++;
		// A further stroke belongs to the repetition that has begun.
		if (i < index) done += more;
	}
	return stretches > 1 ? { done: here.part ? done - 1 : done, reps } : null;
}

/** First second of the next step, or the end. */
export function nextStepSeconds(events: readonly TimedEvent[], seconds: number): number {
	const at = events[eventIndexAt(events, seconds)];
	if (!at) return events.at(-1)?.endSeconds ?? 0;
	const next = events.find((e) => e.startSeconds >= at.startSeconds && e.stepId !== at.stepId);
	return next?.startSeconds ?? events.at(-1)!.endSeconds;
}

/** First second of this step, or of the one before where this one has only just begun (3 s). */
export function previousStepSeconds(events: readonly TimedEvent[], seconds: number): number {
	const at = events[Math.min(events.length - 1, eventIndexAt(events, seconds))];
	if (!at) return 0;
	const start = firstOfRun(events, events.indexOf(at));
	if (seconds - events[start]!.startSeconds > 3 || start === 0) return events[start]!.startSeconds;
	return events[firstOfRun(events, start - 1)]!.startSeconds;
}

function firstOfRun(events: readonly TimedEvent[], index: number): number {
	let i = index;
	while (i > 0 && events[i - 1]!.stepId === events[index]!.stepId) i--;
	return i;
}

export interface DoneCount {
	readonly stepId: string;
	readonly leftReps: number;
	readonly rightReps: number;
	readonly seconds: number;
	readonly skipped: boolean;
}

/** How many seconds of a stretch of the plan were played. */
export const secondsPlayed = (
	played: readonly { readonly from: number; readonly to: number }[],
	{ startSeconds, endSeconds }: Pick<TimedEvent, 'startSeconds' | 'endSeconds'>
): number =>
	played.reduce((sum, p) => sum + Math.max(0, Math.min(p.to, endSeconds) - Math.max(p.from, startSeconds)), 0);

type Played = readonly { readonly from: number; readonly to: number }[];

/**
 * How often each repetition of a stretch was done: as often as all of it was played, in one go or in parts. Half a stroke is
 * not a stroke; what is done again is done again.
 */
function timesDone(played: Played, { startSeconds, endSeconds, reps }: TimedEvent): number[] {
	const over = played.filter((p) => p.from < endSeconds && p.to > startSeconds);
	const pace = (endSeconds - startSeconds) / Math.max(1, reps);
	return Array.from({ length: reps }, (_, i) => {
		const [from, to] = [startSeconds + i * pace, startSeconds + (i + 1) * pace];
		const edges = over.flatMap((p) => [p.from, p.to]).filter((x) => x > from + REP_SLACK && x < to - REP_SLACK);
		const cuts = [from, ...edges.sort((a, b) => a - b), to];
		const times = cuts.slice(1).map((end, k) => {
			const middle = (cuts[k]! + end) / 2;
			return over.filter((p) => p.from <= middle && p.to >= middle).length;
		});
		return Math.min(...times);
	});
}
/** Seconds of a repetition that nobody misses: clocks are read in steps. */
const REP_SLACK = 1e-5;

/**
 * What was done of each step, from the stretches of the plan that were actually played.
 * @param played stretches in seconds of the plan; skipped time is in none of them, what was done again is in several
 */
export function doneCounts(events: readonly TimedEvent[], played: Played): DoneCount[] {
	const sums = new Map<string, { left: number; right: number; seconds: number; planned: number }>();
	for (const event of events) {
		const sum = sums.get(event.stepId) ?? { left: 0, right: 0, seconds: 0, planned: 0 };
		sums.set(event.stepId, sum);
		if (event.kind === 'transition') continue;
		const length = event.endSeconds - event.startSeconds;
		sum.planned += length;
		const over = secondsPlayed(played, event);
		sum.seconds += over;
		// A repetition of several strokes counts once.
		if (event.kind !== 'work' || event.part || !over) continue;
		const times = timesDone(played, event);
		for (const side of sidesOf(event.side))
			times.forEach((n, i) => {
				sum[side] += n * (repsOn(event.side, side, i + 1) - repsOn(event.side, side, i));
			});
	}
	return [...sums].map(([stepId, s]) => ({
		stepId,
		leftReps: s.left,
		rightReps: s.right,
		seconds: Math.round(s.seconds * 10) / 10,
		skipped: s.seconds < 0.05 * s.planned
	}));
}

/** Counts of one step taken together, or one taken from another. */
const joined = (a: DoneCount, b: DoneCount, sign: 1 | -1): DoneCount => ({
	stepId: a.stepId,
	leftReps: Math.max(0, a.leftReps + sign * b.leftReps),
	rightReps: Math.max(0, a.rightReps + sign * b.rightReps),
	seconds: Math.max(0, Math.round((a.seconds + sign * b.seconds) * 10) / 10),
	skipped: sign > 0 ? a.skipped && b.skipped : a.skipped
});

/** Counts with more of them, by their steps; a step that is not among them comes last. */
export function plusCounts(counts: readonly DoneCount[], more: readonly DoneCount[]): DoneCount[] {
	const sums = new Map(counts.map((c) => [c.stepId, c]));
	for (const m of more) sums.set(m.stepId, sums.has(m.stepId) ? joined(sums.get(m.stepId)!, m, 1) : m);
	return [...sums.values()];
}

/** What was done since: the steps of which there is more now. */
export function doneSince(before: readonly DoneCount[], now: readonly DoneCount[]): DoneCount[] {
	const had = new Map(before.map((c) => [c.stepId, c]));
	return now
		.map((c) => ({ ...(had.has(c.stepId) ? joined(c, had.get(c.stepId)!, -1) : c), skipped: false }))
		.filter((c) => c.seconds > 0 || c.leftReps > 0 || c.rightReps > 0);
}
