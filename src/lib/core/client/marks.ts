import { SIDES, type Side } from '../atlas/places';
import type { Level } from '../step/levels';
import type { Mark } from './common.schema';
import { sided, type SidedZone } from './sidedZone';

/** What is drawn on a client's map, and what it asks of a plan. A new kind is a row here and a sign on the map. */
export interface MarkRow {
	readonly label: string;
	/** What is asked of strokes that meet it, in plain words. */
	readonly asks: string;
	/** Never stroked across: a way goes round it. */
	readonly goRound: boolean;
	/** Deepest level in its zone; null where only the spot itself is spared. */
	readonly level: Level | null;
	/** Days from its date for which its zone is left alone (working value); null where none are counted. */
	readonly restDays: number | null;
}

export const MARK_ROWS = {
	breakout: { label: 'Breakout', asks: 'worked around, never across', goRound: true, level: null, restDays: null },
	mole: { label: 'Mole', asks: 'worked around; looked at', goRound: true, level: null, restDays: null },
	scar: { label: 'Scar', asks: 'left alone while fresh, then lightly', goRound: false, level: 2, restDays: 42 },
	sore: { label: 'Sore point', asks: 'lightly', goRound: false, level: 1, restDays: null },
	'permanent-makeup': {
		label: 'Permanent make-up',
		asks: 'left alone while it closes',
		goRound: false,
		level: null,
		restDays: 28
	},
	implant: { label: 'Implant', asks: 'lightly, no pressing on it', goRound: false, level: 1, restDays: null },
	'filler-site': {
		label: 'Filler site',
		asks: 'left alone while it settles',
		goRound: false,
		level: null,
		restDays: 28
	}
} as const satisfies Record<string, MarkRow>;
export type MarkKind = keyof typeof MARK_ROWS;
export const MARK_KINDS = Object.keys(MARK_ROWS) as MarkKind[];
export const markRow = (kind: MarkKind): MarkRow => MARK_ROWS[kind];

/** The sides on which a mark lies: one on the midline lies on both. */
export const sidesOfMark = (mark: Pick<Mark, 'side'>): readonly Side[] =>
	mark.side === 'midline' ? SIDES : [mark.side];
export const placesOfMark = (mark: Pick<Mark, 'zone' | 'side'>): SidedZone[] =>
	sidesOfMark(mark).map((side) => sided(mark.zone, side));
