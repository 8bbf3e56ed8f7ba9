import { median } from 'simple-statistics';
import { SIDES } from '../atlas/places';
import { doubtsOf, type Doubt, type TapeDistance } from '../measure/plausible';
import type { Assessment } from './assessment.schema';
import { emptyAssessment, valueAt, withValue, type Spot } from './assessment';
import { measuredRow, type ObservationId } from './registry';
import { lengthText, type LengthUnit } from './units';

/** Which of the usual distances an observation is. Others are not asked about. */
const DISTANCES: readonly (readonly [ObservationId, TapeDistance])[] = [
	['tragus-mouth-corner', 'tragusMouth'],
	['jaw-angle-nose-wing', 'jawAngleNoseWing'],
	['jaw-angle-outer-canthus', 'jawAngleOuterEye'],
	['tragus-chin', 'tragusChin'],
	['jaw-angle-inner-canthus', 'jawAngleInnerEye'],
	['chin-inner-canthus', 'chinInnerEye'],
	['jaw-angle-chin', 'jawAngleChin'],
	['neck-upper', 'neckUpper'],
	['neck-middle', 'neckMiddle'],
	['neck-lower', 'neckLower']
];

/** Her usual distances: the middle of all earlier readings of each. */
export function usualOf(earlier: readonly Assessment[]): Assessment {
	let usual = emptyAssessment(earlier.at(-1)?.takenAt ?? '');
	for (const [id] of DISTANCES)
		for (const spot of measuredRow(id).sides ? SIDES.map((side) => ({ side })) : [{}]) {
			const values = earlier.flatMap((assessment) => valueAt(assessment, id, spot) ?? []);
			if (values.length) usual = withValue(usual, id, spot, median(values));
		}
	return usual;
}

/** A question about an entry, and what would be put in its place if the answer is yes. */
export interface EntryQuestion {
	readonly words: string;
	readonly instead: { readonly label: string; readonly values: readonly (readonly [ObservationId, number])[] } | null;
}

const WHY: Record<Exclude<Doubt['kind'], 'out-of-range' | 'swapped'>, string> = {
	cm: 'In centimetres it would be',
	inch: 'In inches it would be',
	tenfold: 'With a digit less it would be',
	'inch-as-given': 'Millimetres typed as inches would be'
};

/**
 * What is asked about a distance that was just entered; null where it is as it usually is.
 * @param assessment what is entered so far
 * @param usual her readings of before, where there are any
 * @param mm what was typed now
 */
export function entryQuestion(
	assessment: Assessment,
	usual: Assessment | null,
	id: ObservationId,
	spot: Spot,
	mm: number,
	unit: LengthUnit
): EntryQuestion | null {
	const distance = DISTANCES.find(([own]) => own === id)?.[1];
	if (!distance) return null;
	const all = (of: Assessment | null) =>
		Object.fromEntries(
			DISTANCES.flatMap(([own, name]) => {
				const value = valueAt(of, own, measuredRow(own).sides ? spot : {});
				return value === null ? [] : [[name, value] as const];
			})
		);
	const known: Partial<Record<TapeDistance, number>> = all(usual);
	const doubt = doubtsOf({ ...all(assessment), [distance]: mm }, known)[distance];
	if (!doubt) return null;
	const text = (value: number) => `${lengthText(value, unit)} ${unit}`;
	const label = measuredRow(id).label.toLowerCase();
	const was = known[distance];
	if (doubt.kind === 'out-of-range')
		return {
			words:
				was === undefined
					? `${text(mm)} is unusual for ${label}. If the tape says so, leave it.`
					: `${text(mm)} is far from her ${text(was)} of before. If the tape says so, leave it.`,
			instead: null
		};
	if (doubt.kind === 'swapped') {
		const other = DISTANCES.find(([, name]) => name === doubt.with)![0];
		const theirs = valueAt(assessment, other, spot)!;
		return {
			words: `${text(mm)} and ${text(theirs)} fit better the other way round: ${label} and ${measuredRow(other).label.toLowerCase()}.`,
			instead: {
				label: 'Exchange them',
				values: [
					[id, theirs],
					[other, mm]
				]
			}
		};
	}
	return {
		words: `${text(mm)} is unusual for ${label}. ${WHY[doubt.kind]} ${text(doubt.suggestMm)}.`,
		instead: { label: `Take ${lengthText(doubt.suggestMm, unit)}`, values: [[id, doubt.suggestMm]] }
	};
}
