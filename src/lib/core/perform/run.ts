import type { RunEvent } from '../records/runEntry';
import type { MarkId } from '../records/runMarks';
import type { DoneStep } from '../records/doneStep.schema';

/** A stretch of the plan that was played, in seconds of the plan. */
export interface Stretch {
	readonly from: number;
	readonly to: number;
	/** When it began, in ms since 1970. */
	readonly startMs: number;
}
/** How long a step went on past the plan until its sign came, and on which side. */
export interface Sign {
	readonly stepId: string;
	readonly side: RunEvent['side'];
	readonly seconds: number;
}
/** Something that can be taken back as long as the session is open. */
export interface UndoPoint {
	/** What was done: a jump, or a change of the plan by its mark. */
	readonly what: 'jump' | MarkId;
	/** Second of the plan to which taking it back leads. */
	readonly seconds: number;
	/** The plan that was in force before; absent: it stayed the same. */
	readonly snapshot?: string;
	/** What had been played by then. */
	readonly played: readonly Stretch[];
}

/** What the log of a stage comes to. */
export interface RunState {
	/** Second of the plan. */
	readonly seconds: number;
	readonly begun: boolean;
	/** Hands are at work since a second of the plan; where the log breaks off, they were. */
	readonly running: { readonly from: number; readonly startMs: number } | null;
	/** It goes on past the plan until a sign comes: for so many seconds by the last line. */
	readonly waitedSeconds: number | null;
	/** It stands, since. */
	readonly haltedAtMs: number | null;
	/** The last line but marks. */
	readonly lastMs: number;
	/** Stretches that are over, as they were played: what was done again stands again. */
	readonly played: readonly Stretch[];
	readonly haltedSeconds: number;
	readonly signs: readonly Sign[];
	/** Done by a plan that was taken back. */
	readonly banked: readonly DoneStep[];
	/** The latest last. */
	readonly undo: readonly UndoPoint[];
}

export const NOT_BEGUN: RunState = {
	seconds: 0,
	begun: false,
	running: null,
	waitedSeconds: null,
	haltedAtMs: null,
	lastMs: 0,
	played: [],
	haltedSeconds: 0,
	signs: [],
	banked: [],
	undo: []
};

const SAME = 1e-6;
const closed = ({ running, played }: RunState, to: number): readonly Stretch[] =>
	running && to > running.from ? [...played, { ...running, to }] : played;
/** Whatever lies since a halt is one; where hands were at work by the last line and the log broke off, since that line. */
function halted(state: RunState, brokeOff: boolean, toMs: number): RunState {
	const since = state.haltedAtMs ?? (brokeOff ? state.lastMs : null);
	const more = since === null ? 0 : Math.max(0, toMs - since) / 1000;
	return { ...state, haltedAtMs: null, haltedSeconds: state.haltedSeconds + more };
}
/** Hands are at work: by the plan, or past it until a sign. */
const atWork = ({ running, waitedSeconds, haltedAtMs }: RunState): boolean =>
	running !== null || (waitedSeconds !== null && haltedAtMs === null);

/** An interrupted stroke is begun again: what was done of it, in the stretch that was interrupted, is none. */
function withoutHalfStroke(played: readonly Stretch[], stoodAt: number, begunAt: number): readonly Stretch[] {
	const last = played.at(-1);
	if (!last || Math.abs(last.to - stoodAt) > SAME || begunAt >= last.to) return played;
	const before = played.slice(0, -1);
	return begunAt > last.from + SAME ? [...before, { ...last, to: begunAt }] : before;
}

/** Hands begin, or go on. Whatever lies between the last line and this one was not guided: it is a halt. */
function gone(state: RunState, { seconds, atMs }: RunEvent): RunState {
	return {
		...halted(state, state.running !== null, atMs),
		begun: true,
		seconds,
		running: { from: seconds, startMs: atMs },
		played: withoutHalfStroke(closed(state, state.seconds), state.seconds, seconds)
	};
}

/** The plan stands at the end of a stretch, and the hands go on until the sign; or they do so again after a halt. */
function waits(state: RunState, { seconds, atMs, waited = 0 }: RunEvent): RunState {
	return {
		...halted(state, state.waitedSeconds !== null, atMs),
		seconds,
		played: closed(state, seconds),
		running: null,
		waitedSeconds: waited
	};
}

/** A waiting that is over: its seconds are work of the step, on its side. */
const signed = (state: RunState, seconds: number, { stepId, side }: RunEvent): RunState => ({
	...state,
	waitedSeconds: null,
	signs: seconds > 0 ? [...state.signs, { stepId: stepId ?? '', side, seconds }] : state.signs
});

/** A waiting that is left for something else is over, as if its sign had come. */
const notWaiting = (state: RunState, event: RunEvent): RunState =>
	state.waitedSeconds === null ? state : signed(state, event.waited ?? state.waitedSeconds, event);

function jumped(state: RunState, event: RunEvent): RunState {
	const { seconds, atMs, from = state.seconds } = event;
	const played = closed(state, from);
	return {
		...notWaiting(state, event),
		seconds,
		played,
		running: atWork(state) ? { from: seconds, startMs: atMs } : null,
		undo: [...state.undo, { what: 'jump', seconds: from, played }]
	};
}

/** The plan goes on otherwise: what was played by then is the same in both. */
function changed(state: RunState, { seconds, atMs, mark, snapshot }: RunEvent): RunState {
	const played = closed(state, seconds);
	return {
		...state,
		played,
		running: state.running && { from: Math.max(seconds, state.running.from), startMs: atMs },
		undo: [...state.undo, { what: mark!, seconds, snapshot: snapshot!, played }]
	};
}

/** The last jump or change is taken back. What was done since stays done: of a plan that is left, by its steps. */
function undone(state: RunState, event: RunEvent): RunState {
	const point = state.undo.at(-1);
	if (!point) return state;
	const { seconds, atMs, from = state.seconds, banked = [] } = event;
	return {
		...notWaiting(state, event),
		seconds,
		played:
			point.snapshot === undefined ? closed(state, from) : withoutHalfStroke(point.played, point.seconds, seconds),
		banked: [...state.banked, ...banked],
		running: atWork(state) ? { from: seconds, startMs: atMs } : null,
		undo: state.undo.slice(0, -1)
	};
}

/** What one more line of the log makes of it. */
export function runStep(state: RunState, event: RunEvent): RunState {
	const { kind, seconds, atMs, mark, waited } = event;
	if (kind === 'mark')
		return mark === 'sign'
			? signed({ ...state, lastMs: atMs }, waited ?? 0, event)
			: event.snapshot === undefined
				? state
				: changed(state, event);
	const next = ((): RunState => {
		if (kind === 'go') return gone(state, event);
		if (kind === 'wait') return waits(state, event);
		if (kind === 'jump') return jumped(state, event);
		if (kind === 'undo') return undone(state, event);
		if (kind === 'still') return { ...state, seconds, waitedSeconds: waited ?? state.waitedSeconds };
		if (kind === 'begin') return state;
		return {
			...state,
			seconds,
			played: closed(state, seconds),
			running: null,
			waitedSeconds: waited ?? state.waitedSeconds,
			haltedAtMs: kind === 'pause' ? atMs : null
		};
	})();
	return { ...next, lastMs: atMs };
}

/**
 * Replays the log of a stage. A log that breaks off is taken as far as it goes: what was played up to its last line
 * counts, what came after it does not.
 */
export const replay = (log: readonly RunEvent[]): RunState => log.reduce(runStep, NOT_BEGUN);

/** What was played, what runs included up to a second of the plan. */
export const playedTo = (state: RunState, seconds: number): readonly Stretch[] => closed(state, seconds);

/** Seconds in which hands were guided: of the plan, past it until a sign, and of plans that were taken back. */
export const workedSeconds = (state: RunState, seconds: number, waitedSeconds = 0): number =>
	playedTo(state, seconds).reduce((sum, p) => sum + p.to - p.from, 0) +
	state.signs.reduce((sum, s) => sum + s.seconds, waitedSeconds) +
	state.banked.reduce((sum, b) => sum + b.seconds, 0);
