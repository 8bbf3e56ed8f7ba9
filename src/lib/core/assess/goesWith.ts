import { mean, median, sum } from 'simple-statistics';
import { tQuantile } from '../statistics/distributions';
import { trendOf, type Point } from '../statistics/trend';
import { hourBin, type ValueOf, type Visit } from './lasting';
import type { Entry } from './assessment.schema';
import { wordsAt } from './assessment';
import { isChoice, observation, OBSERVATION_IDS } from './registry';
import { minuteOfDay } from './sessions';

/** A visit with what was told of it, and what was done. */
export interface ToldVisit extends Visit {
	readonly context: readonly Entry[];
	readonly sequence: { readonly title: string } | null;
	/** The name of the school it was judged by; null where none was. */
	readonly school: string | null;
}

/** How much higher or lower it is with something than without, with its 95 % interval, drawn towards nothing. */
export interface GoesWith {
	/** Such as “Sleep: under 5 h”. */
	readonly factor: string;
	readonly level: string;
	/** Of what: what stood before the session, or what the session did at once. */
	readonly of: 'before' | 'at-once';
	readonly withIt: number;
	readonly without: number;
	/** As counted, and shrunken. */
	readonly plain: number;
	readonly middle: number;
	readonly low: number;
	readonly high: number;
	readonly clear: boolean;
	/** What came at the very same visits, or at all others: which of them it is cannot be told. */
	readonly alike: readonly string[];
}

/** Fewer visits with or without it say nothing. */
const LEAST_EACH = 3;

interface Factor {
	readonly name: string;
	readonly of: GoesWith['of'];
	readonly levels: (visit: ToldVisit) => readonly string[];
}
/** What was told of the day, each choice a factor. */
const told: readonly Factor[] = OBSERVATION_IDS.flatMap((id) => {
	const row = observation(id);
	if (!isChoice(row)) return [];
	return [
		{
			name: row.label,
			of: 'before' as const,
			levels: ({ context }: ToldVisit) => wordsAt({ entries: [...context] }, id).map((v) => row.options[v] ?? v)
		}
	];
});
/** To add one is one row. */
const FACTORS: readonly Factor[] = [
	...told,
	{ name: 'Hour', of: 'before', levels: (visit) => [hourBin(minuteOfDay(visit))] },
	{ name: 'Sequence', of: 'at-once', levels: ({ sequence }) => (sequence ? [sequence.title] : []) },
	{ name: 'School', of: 'at-once', levels: ({ school }) => (school ? [school] : []) }
];

/** What stood before, without its trend: else whatever came late would go with what came late. */
function levelled(visits: readonly ToldVisit[], value: ValueOf): ReadonlyMap<ToldVisit, number> {
	const taken = visits.flatMap((visit) => {
		const found = value(visit.before);
		return found === null ? [] : [{ visit, point: [Date.parse(visit.startedAt) / 86_400_000, found] as Point }];
	});
	const { slope } = trendOf(taken.map((t) => t.point));
	const left = taken.map(({ point: [x, y] }) => y - slope * x);
	const middle = left.length ? median(left) : 0;
	return new Map(taken.map(({ visit }, i) => [visit, left[i]! - middle]));
}
const atOnce = (visits: readonly ToldVisit[], value: ValueOf): ReadonlyMap<ToldVisit, number> =>
	new Map(
		visits.flatMap((visit) => {
			const [a, b] = [value(visit.before), value(visit.after)];
			return a === null || b === null ? [] : [[visit, b - a] as const];
		})
	);
const squares = (ys: readonly number[]): number => sum(ys.map((y) => (y - mean([...ys])) ** 2));

interface Split {
	readonly factor: string;
	readonly of: GoesWith['of'];
	readonly level: string;
	readonly yes: readonly { readonly visit: ToldVisit; readonly y: number }[];
	readonly no: readonly { readonly visit: ToldVisit; readonly y: number }[];
}
/** Whether two part the visits alike, whichever of both is with and which without. */
function sameSplit(a: Split, b: Split): boolean {
	const same = (one: Split['yes'], two: Split['yes']) =>
		one.length === two.length && one.every(({ visit }) => two.some((t) => t.visit === visit));
	return (same(a.yes, b.yes) && same(a.no, b.no)) || (same(a.yes, b.no) && same(a.no, b.yes));
}
const withoutMirrors = (splits: readonly Split[]): Split[] => {
	const byRarity = splits.toSorted((a, b) => a.yes.length - b.yes.length);
	const kept = byRarity.filter((split, i) => !byRarity.slice(0, i).some((earlier) => sameSplit(earlier, split)));
	return splits.filter((split) => kept.includes(split));
};

/**
 * What goes with what in one person’s record: the difference between visits with something and without it. Each is drawn
 * towards nothing by how little is known: beforehand an effect is taken to be about as large as the typical error.
 * @param priorSd typical error of what is followed, in its unit, > 0: how large effects are taken to be (working value)
 * @returns nothing for what was there, or missing, fewer than three times
 */
export function goesWith(visits: readonly ToldVisit[], value: ValueOf, priorSd: number): GoesWith[] {
	const outcome = { before: levelled(visits, value), 'at-once': atOnce(visits, value) };
	const compared = FACTORS.flatMap(({ name, of, levels }) => {
		const known = [...outcome[of]]
			.map(([visit, y]) => ({ visit, y, has: levels(visit) }))
			.filter(({ has }) => has.length);
		const splits = [...new Set(known.flatMap(({ has }) => has))].map((level): Split => {
			const [yes, no] = [true, false].map((wanted) => known.filter(({ has }) => has.includes(level) === wanted));
			return { factor: name, of, level, yes: yes!, no: no! };
		});
		// Of two that exclude one another one says it all: the rarer.
		return withoutMirrors(splits).filter(({ yes, no }) => Math.min(yes.length, no.length) >= LEAST_EACH);
	});
	return compared.map((split): GoesWith => {
		const { factor, level, of } = split;
		const [yes, no] = [split.yes.map(({ y }) => y), split.no.map(({ y }) => y)];
		const df = yes.length + no.length - 2;
		const variance = ((squares(yes) + squares(no)) / df) * (1 / yes.length + 1 / no.length);
		const believed = priorSd ** 2 / (priorSd ** 2 + variance);
		const plain = mean(yes) - mean(no);
		const middle = believed * plain;
		const half = tQuantile(0.975, df) * Math.sqrt(believed * variance);
		const [low, high] = [middle - half, middle + half];
		const alike = compared
			.filter((other) => other !== split && other.of === of && sameSplit(split, other))
			.map((other) => `${other.factor.toLowerCase()} ${other.level}`);
		const visits = { withIt: yes.length, without: no.length };
		return { factor, level, of, ...visits, plain, middle, low, high, clear: low > 0 || high < 0, alike };
	});
}
