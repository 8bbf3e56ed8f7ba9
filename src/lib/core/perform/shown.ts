import { turnsOf } from '../sequence/workedSide';
import type { Step } from '../step/step.schema';
import { LONG_PART_SECONDS } from './longPart';
import type { Position } from './position';
import { readyFor, type Ready } from './ready';
import type { Supplies } from './supplies';

/** What stands large on the stage at a moment. */
export interface Shown {
	/** Whose hands are at work: nobody's in a wash, a wait and the like. */
	readonly hands: 'practitioner' | 'client' | 'none';
	/** A count, seconds that are left, or the side that comes: the heaviest mark of the stage. */
	readonly numeral: string;
	/** What the numeral is of: “of 7”, “s”. */
	readonly beside: string;
	/** What is counted, where it is not strokes. */
	readonly unit: string;
	/** What is taken or given before hands are laid on: it is drawn in place of the numeral. */
	readonly taking: Ready | null;
}

/** Whose hands a step needs. */
const handsOf = ({ by, contact }: Pick<Step, 'by' | 'contact'>): Shown['hands'] =>
	by === 'client' ? 'client' : contact === 'none' ? 'none' : 'practitioner';

const secondsLeft = (seconds: number): Pick<Shown, 'numeral' | 'beside'> => ({
	numeral: String(Math.max(1, Math.ceil(seconds - 1e-6))),
	beside: 's'
});

/**
 * What the stage shows of a step at a position of it: repetitions and breaths are counted up, time runs down, and before
 * hands are laid on what is taken, or the side that comes.
 * @param before the step that was at work before this stretch
 */
export function shownAt(position: Position, step: Step, before: Step | null, supplies: Supplies): Shown {
	const { event, side, rep, reps, eventLeftSeconds, stepLeftSeconds, done } = position;
	const plain = { hands: handsOf(step), beside: '', unit: '', taking: null };
	if (done || !event) return { ...plain, numeral: '✓' };
	if (event.kind === 'transition') {
		const taking = readyFor(step, before, supplies).find(({ kind }) => kind !== 'posture') ?? null;
		if (taking) return { ...plain, ...secondsLeft(eventLeftSeconds), taking };
		return side === 'left' || side === 'right'
			? { ...plain, numeral: side }
			: { ...plain, ...secondsLeft(eventLeftSeconds) };
	}
	// A hold of two parts, each with its own clock: what has passed of it, since the whole is the same for both hands.
	if (step.parts && event.kind === 'work' && event.endSeconds - event.startSeconds >= LONG_PART_SECONDS) {
		const whole = event.endSeconds - event.startSeconds;
		const into = Math.min(Math.ceil(whole), Math.floor(whole - eventLeftSeconds) + 1);
		return { ...plain, numeral: String(into), beside: `of ${Math.round(whole)} s` };
	}
	const timed = step.dose.kind === 'seconds' || !reps;
	if (plain.hands === 'none' || timed)
		return { ...plain, ...secondsLeft(plain.hands === 'none' ? stepLeftSeconds : eventLeftSeconds) };
	const each = turnsOf(event.side) ? ' each' : '';
	return {
		...plain,
		numeral: String(rep),
		beside: `of ${reps}${each}`,
		unit: step.dose.kind === 'breaths' ? 'breaths' : ''
	};
}
