import { median } from 'simple-statistics';
import { meanInterval } from '../statistics/meanInterval';
import { lagOne, trendOf, type Point } from '../statistics/trend';
import { SIDES, type Side } from '../atlas/places';
import type { Assessment } from './assessment.schema';
import { valueAt } from './assessment';
import { LEAST_SESSIONS } from './overSessions';
import type { ObservationId } from './registry';
import { minuteOfDay } from './sessions';

export interface Visit {
	readonly startedAt: string;
	readonly zoneOffsetMinutes: number;
	readonly before: Assessment;
	readonly after: Assessment | null;
}
/** What is followed over visits, of what was found at one moment; null where it was not taken. */
export type ValueOf = (assessment: Assessment | null) => number | null;
/** A distance on one side, or one without sides. */
export const onSide =
	(id: ObservationId, side?: Side): ValueOf =>
	(assessment) =>
		valueAt(assessment, id, side ? { side } : {});
const both = (id: ObservationId, of: (left: number, right: number) => number): ValueOf => {
	const sides = SIDES.map((side) => onSide(id, side));
	return (assessment) => {
		const [left, right] = sides.map((value) => value(assessment));
		return left == null || right == null ? null : of(left, right);
	};
};
/** > 0: more on the client’s left. */
export const leftLessRight = (id: ObservationId): ValueOf => both(id, (left, right) => left - right);
/** The mean of both sides; of what has no sides, itself. */
export const meanOfSides = (id: ObservationId, sided: boolean): ValueOf =>
	sided ? both(id, (left, right) => (left + right) / 2) : onSide(id);

/** A figure with its 95 % interval, in the unit of the observation. */
interface Estimate {
	readonly middle: number;
	readonly low: number;
	readonly high: number;
	readonly n: number;
}
/** What a session does at once: after less before. */
export interface AtOnce extends Estimate {
	readonly verdict: 'less' | 'more' | 'may-be-chance' | 'too-few';
}
/** What stays from visit to visit: the values before, a week. */
export interface Lasting extends Estimate {
	readonly verdict: 'less' | 'more' | 'may-be-chance' | 'too-few' | 'other-hours';
}

const NONE = { middle: 0, low: -Infinity, high: Infinity };
const LEAST_AT_ONCE = 3;
const DAY_MS = 86_400_000;
/** Hours within which a face is alike: visits are only compared within one of them. Minutes of the day, working values. */
const MORNING_TO = 11 * 60;
const MIDDAY_TO = 16 * 60;
export const hourBin = (minute: number): 'morning' | 'midday' | 'evening' =>
	minute < MORNING_TO ? 'morning' : minute < MIDDAY_TO ? 'midday' : 'evening';

/** Mean of after less before over sessions, with its t interval. */
export function atOnceOf(visits: readonly Visit[], value: ValueOf): AtOnce {
	const changes = visits.flatMap(({ before, after }) => {
		const [a, b] = [value(before), value(after)];
		return a === null || b === null ? [] : [b - a];
	});
	const n = changes.length;
	if (n < LEAST_AT_ONCE) return { ...NONE, n, verdict: 'too-few' };
	const { middle, low, high } = meanInterval(changes);
	return { middle, low, high, n, verdict: high < 0 ? 'less' : low > 0 ? 'more' : 'may-be-chance' };
}

/** So much of what neighbours have in common is believed, at most. */
const MOST_ALIKE = 0.7;
const LEAST_ALIKE = 0.1;

/**
 * Trend of the values before, a week: Theil–Sen within hours of the day, its interval wider where neighbouring visits are
 * alike; Kendall’s test.
 * @source Hirsch, Slack and Smith 1982, as in statistics/trend.ts; the correction for autocorrelation is a working value
 */
export function lastingOf(visits: readonly Visit[], value: ValueOf): Lasting {
	const all = visits
		.flatMap((visit) => {
			const found = value(visit.before);
			const week = Date.parse(visit.startedAt) / DAY_MS / 7;
			return found === null ? [] : [{ point: [week, found] as Point, bin: hourBin(minuteOfDay(visit)) }];
		})
		.sort((a, b) => a.point[0] - b.point[0]);
	// An hour at which she came once compares with nothing.
	const used = all.filter((a) => all.filter((b) => b.bin === a.bin).length > 1);
	const n = used.length;
	if (n < LEAST_SESSIONS) return { ...NONE, n, verdict: 'too-few' };
	const points = used.map((u) => u.point);
	const bins = used.map((u) => u.bin);
	const { slope } = trendOf(points, { bins });
	const left = used.map(({ point: [x, y] }) => y - slope * x);
	const level = new Map(bins.map((bin) => [bin, median(left.filter((_, i) => bins[i] === bin))]));
	const alike = Math.min(MOST_ALIKE, Math.max(0, lagOne(left.map((r, i) => r - level.get(bins[i]!)!)) + 1.5 / n));
	const inflate = alike > LEAST_ALIKE ? (1 + alike) / (1 - alike) : 1;
	const { low, high, p } = trendOf(points, { bins, inflate });
	const estimate = { middle: slope, low, high, n };
	if (!Number.isFinite(low) || !Number.isFinite(high)) return { ...estimate, verdict: 'other-hours' };
	return { ...estimate, verdict: p > 0.05 ? 'may-be-chance' : slope < 0 ? 'less' : 'more' };
}
