import { turnsOf } from '../sequence/workedSide';
import type { Step } from '../step/step.schema';
import type { Position } from './position';

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
}

/** Whose hands a step needs. */
const handsOf = ({ by, contact }: Pick<Step, 'by' | 'contact'>): Shown['hands'] =>
	by === 'client' ? 'client' : contact === 'none' ? 'none' : 'practitioner';

/** What the stage shows of a step at a position of it: repetitions and breaths are counted up, time runs down. */
export function shownAt(position: Position, step: Step): Shown {
	const { event, side, rep, reps, eventLeftSeconds, stepLeftSeconds, done } = position;
	const hands = handsOf(step);
	if (done || !event) return { hands, numeral: '✓', beside: '', unit: '' };
	if (event.kind === 'transition')
		return { hands, numeral: side === 'left' || side === 'right' ? side : '…', beside: '', unit: '' };
	const timed = step.dose.kind === 'seconds' || !reps;
	if (hands === 'none' || timed) {
		const left = hands === 'none' ? stepLeftSeconds : eventLeftSeconds;
		return { hands, numeral: String(Math.max(1, Math.ceil(left - 1e-6))), beside: 's', unit: '' };
	}
	const each = turnsOf(event.side) ? ' each' : '';
	return {
		hands,
		numeral: String(rep),
		beside: `of ${reps}${each}`,
		unit: step.dose.kind === 'breaths' ? 'breaths' : ''
	};
}
