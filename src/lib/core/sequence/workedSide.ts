import { otherSide, type Side } from '../atlas/places';

/** Sides of a stretch of time. `in-turn-left`: repetition by repetition, beginning on the left. */
export type WorkedSide = Side | 'both' | 'midline' | `in-turn-${Side}`;

const BOTH: readonly [Side, Side] = ['left', 'right'];
const TURNS: Partial<Record<WorkedSide, readonly [Side, Side]>> = {
	'in-turn-left': ['left', 'right'],
	'in-turn-right': ['right', 'left']
};

/** The side that begins and the other one, where repetitions change sides; else undefined. */
export const turnsOf = (side: WorkedSide): readonly [Side, Side] | undefined => TURNS[side];

/** The sides on which hands work. */
export const sidesOf = (side: WorkedSide): readonly Side[] =>
	side === 'left' || side === 'right' ? [side] : (TURNS[side] ?? BOTH);

/** The side of one repetition, counted from 0. */
export function sideOfRep(side: WorkedSide, rep: number): Exclude<WorkedSide, `in-turn-${Side}`> {
	const turns = TURNS[side];
	return turns ? turns[rep % 2 ? 1 : 0] : (side as Side | 'both' | 'midline');
}

/** How many of so many repetitions each worked side gets; an odd one out is the first side's. */
export function repsOn(side: WorkedSide, on: Side, reps: number): number {
	const turns = TURNS[side];
	if (turns) return turns[0] === on ? Math.ceil(reps / 2) : Math.floor(reps / 2);
	return side === otherSide(on) ? 0 : reps;
}
