import type { Sequence } from '../sequence/sequence.schema';
import { stepsOf } from '../sequence/walk';
import { stepTitle } from '../step/describe';

export interface SidesRow {
	readonly title: string;
	readonly left: number;
	readonly right: number;
	/** When each stroke of a side falls, 0..1 of the row: hands are not even in time, so that only counting helps. */
	readonly strokes: { readonly left: readonly number[]; readonly right: readonly number[] };
}
/** Counts of both sides, of which one row is not even. */
export interface SidesPuzzle {
	readonly rows: readonly SidesRow[];
	/** Index of the row that is not even. */
	readonly uneven: number;
}
/** So many rows are shown at a time. */
export const ROWS = 6;

/** So many moments, in order, with a gap between any two, begun anywhere. */
function scattered(count: number, random: () => number): number[] {
	const gaps = Array.from({ length: count }, () => 0.6 + random());
	const room = 0.55 + 0.4 * random();
	const sum = gaps.reduce((a, b) => a + b, 0);
	const from = random() * (1 - room);
	let at = 0;
	return gaps.map((gap) => from + (room * (at += gap)) / sum);
}

/**
 * Rows of a sequence with one of them made uneven by one or two repetitions.
 * @throws {RangeError} for a sequence with fewer than two counted steps
 */
export function sidesPuzzle(sequence: Sequence, random: () => number): SidesPuzzle {
	const counted = stepsOf(sequence)
		.map((s) => s.step)
		.filter((s) => s.dose.kind === 'reps' && s.places.length > 0);
	if (counted.length < 2) throw new RangeError('two steps with a count are needed');
	const from = Math.floor(random() * Math.max(1, counted.length - ROWS + 1));
	const shown = counted.slice(from, from + ROWS);
	const uneven = Math.floor(random() * shown.length);
	const by = 1 + Math.floor(random() * 2);
	const lessLeft = random() < 0.5;
	const rows = shown.map((step, i) => {
		const { target } = step.dose;
		const less = Math.max(0, target - by);
		const [left, right] = i !== uneven ? [target, target] : lessLeft ? [less, target] : [target, less];
		return {
			title: stepTitle(step),
			left,
			right,
			strokes: { left: scattered(left, random), right: scattered(right, random) }
		};
	});
	return { rows, uneven };
}
