import claims from './claims.json' with { type: 'json' };
import type { Claims, ReadyClaim } from './claims';
import { PRACTICAL_SHARE } from './verdict';
import { percentText } from './share';

/** The claims of this version of the core. */
export const CLAIMS = claims as unknown as Claims;

/** A share of fluid as per cent, one decimal; below that nearly nothing. */
export const ofStartText = (share: number): string =>
	Math.abs(share) < 5e-4 ? 'nearly 0 %' : `${(100 * share).toFixed(1)} %`.replace('-', '−');

/** How often and how much one of the worked pairs holds, by a measure. */
export function workedText(claim: Claims['worked'][number]['by']['all']): string {
	return `${percentText(claim)}; ${ofStartText(claim.middle)}`;
}

/** A range over sequences: “5 to 95 %, in the middle 48 %”. */
export function rangeText([low, middle, high]: readonly [number, number, number]): string {
	// All and none only where it is every face.
	const whole = (x: number) => (x > 99 && x < 100 ? '>99' : x > 0 && x < 1 ? '<1' : Math.round(x).toString());
	return low === high ? `${whole(low)} %` : `${whole(low)} to ${whole(high)} %, in the middle ${whole(middle)} %`;
}
export const ofStartRange = ([low, middle, high]: readonly [number, number, number]): string =>
	`${ofStartText(low)} to ${ofStartText(high)}, in the middle ${ofStartText(middle)}`;

export const readyClaim = (variant: ReadyClaim['variant']): ReadyClaim =>
	CLAIMS.ready.find((r) => r.variant === variant)!;

/** What is said where two sequences differ in their openings: how small that is, and how unsure. */
export function openingNote(): string {
	const { sequences, percent, ofStart } = readyClaim('opening-last');
	const small = Math.abs(ofStart[1]) < PRACTICAL_SHARE ? ': mostly of no practical size' : '';
	return `They differ in their openings. Over ${sequences} ready sequences opening first leaves less than opening last in ${rangeText(percent)} of the faces, by ${ofStartRange(ofStart)} of the fluid${small}. It hangs on one assumption, that node groups are a narrow passage and not a store.`;
}

/** What is said where two sequences differ in pressure. */
export const LEVEL_NOTE =
	'They differ in pressure. That lighter work moves more with each repetition, and that firm work warms and fills, was put into the model: it is no finding of it.';
