import type { Side } from '../atlas/places';
import type { Working } from '../working/working.schema';
import { errorOf } from './change';
import { leftLessRight, onSide, type ValueOf, type Visit } from './lasting';
import { measuredRow, type ObservationId } from './registry';
import type { OwnTapeErrors } from './repeats';

/** What was found at one visit. */
export interface SeriesPoint {
	readonly id: string;
	readonly at: string;
	readonly before: number | null;
	readonly after: number | null;
}
/** A value over visits, in their order; visits at which it was not taken are left out. */
export const seriesOf = (visits: readonly (Visit & { readonly id: string })[], value: ValueOf): SeriesPoint[] =>
	visits
		.map((v) => ({ id: v.id, at: v.startedAt, before: value(v.before), after: value(v.after) }))
		.filter((p) => p.before !== null || p.after !== null);

/** A stretch of visits with one and the same sequence. */
export interface Stretch {
	readonly title: string;
	readonly from: string;
	readonly to: string;
	readonly visits: number;
}
/** Which sequence was worked when: one stretch until another one comes. Visits without one are passed over. */
export function stretchesOf(
	visits: readonly { readonly startedAt: string; readonly sequence: { readonly title: string } | null }[]
): Stretch[] {
	const made: Stretch[] = [];
	for (const { startedAt, sequence } of visits) {
		if (!sequence) continue;
		const last = made.at(-1);
		if (last?.title === sequence.title) made[made.length - 1] = { ...last, to: startedAt, visits: last.visits + 1 };
		else made.push({ title: sequence.title, from: startedAt, to: startedAt, visits: 1 });
	}
	return made;
}

/** A value over visits, with what measuring it may err by, in its unit. */
export interface Lane {
	readonly name: string;
	readonly points: readonly SeriesPoint[];
	/** Typical error of one point, and the smallest change worth believing. */
	readonly te: number;
	readonly mdc: number;
}
const teOf = (id: ObservationId, working: Working, own: OwnTapeErrors): number =>
	own[id]?.te ?? working[measuredRow(id).error];
/** What is measured over visits: each side and what lies between them, or the one value of what has no sides. */
export function lanesOf(
	visits: readonly (Visit & { readonly id: string })[],
	id: ObservationId,
	working: Working,
	own: OwnTapeErrors,
	order: readonly Side[]
): Lane[] {
	const [te, mdc] = [teOf(id, working, own), errorOf(id, working, own)];
	const { label, sides } = measuredRow(id);
	if (!sides) return [{ name: label, points: seriesOf(visits, onSide(id)), te, mdc }];
	const lane = (name: string, value: ValueOf, times: number): Lane => ({
		name,
		points: seriesOf(visits, value),
		te: times * te,
		mdc: times * mdc
	});
	return [
		...order.map((side) => lane(`Client’s ${side}`, onSide(id, side), 1)),
		// Two readings that err apart from one another.
		lane('Left less right', leftLessRight(id), Math.SQRT2)
	];
}
/** Typical error of the mean of both sides; of what has no sides, of one reading. */
export const meanError = (id: ObservationId, working: Working, own: OwnTapeErrors): number =>
	teOf(id, working, own) / (measuredRow(id).sides ? Math.SQRT2 : 1);
