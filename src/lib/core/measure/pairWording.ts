import { lowered } from '../capital';
import { listWords } from '../listWords';
import type { NotComparable, PairComparison, PairMeasure, PairVerdict } from './compare';
import type { MeasuredView } from './landmarks';
import type { PairUnit } from './pairIds';

const DIGITS: Readonly<Record<PairUnit, number>> = { mm: 1, degrees: 1, percent: 1, ratio: 3, mm2: 0 };
const UNITS: Readonly<Record<PairUnit, string>> = { mm: ' mm', degrees: '°', percent: ' %', ratio: '', mm2: ' mm²' };
/** A figure in its unit. */
export const pairFigure = (value: number, unit: PairUnit): string => `${value.toFixed(DIGITS[unit])}${UNITS[unit]}`;
/** A change with its sign. */
export function pairChange({ change, unit }: Pick<PairMeasure, 'change' | 'unit'>): string {
	const size = pairFigure(Math.abs(change), unit);
	return Number(Math.abs(change).toFixed(DIGITS[unit])) === 0 ? size : `${change < 0 ? '−' : '+'}${size}`;
}

export const PAIR_VERDICTS: Readonly<Record<PairVerdict, string>> = {
	changed: 'changed',
	'within-error': 'within measuring error',
	'not-comparable': 'not comparable'
};
export const WHY_NOT: Readonly<Record<NotComparable, string>> = {
	pose: 'the head is held too differently',
	turned: 'the head is turned too much for this one',
	tilted: 'the chin is held too differently for this one'
};

const TO_PLACE: Readonly<Record<MeasuredView, string>> = {
	front: 'the corners of the eyes, the nose root and the nose',
	profile: 'the brow, the nose, the corner of the eye and the notch of the ear'
};
/** What of a pair is real, in one plain sentence; it never names what is not *changed*, and never a cause. */
export function pairSentence({ measures, refused, pose, view }: PairComparison): {
	readonly real: string;
	readonly rest: string;
} {
	if (!measures.length)
		return {
			real: '',
			rest: `Nothing can be measured yet: place ${TO_PLACE[view]} on both.`
		};
	if (refused)
		return {
			real: '',
			rest: `Not comparable: the head is held ${Math.max(Math.abs(pose!.yaw), Math.abs(pose!.pitch)).toFixed(0)}° differently; beyond 6° nothing is judged.`
		};
	const changed = measures.filter((m) => m.verdict === 'changed');
	if (!changed.length) return { real: '', rest: 'Nothing beyond measuring error.' };
	const told = changed.map((m) => `${lowered(m.label)} ${pairChange(m)}`);
	return { real: `Changed: ${listWords(told)}.`, rest: 'The rest stays within measuring error.' };
}
