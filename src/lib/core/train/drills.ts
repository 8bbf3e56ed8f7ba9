import { trendOf } from '../statistics/trend';
import { chanceOfDirection } from './direction';
import { ROWS } from './sides';

/** What is practised. A new drill is a row here and a component of its own. */
export const DRILLS = {
	pressure: {
		title: 'Pressure',
		what: 'Press on a scale and stay within a level.',
		measure: 'off the middle of the level',
		unit: 'kPa',
		digits: 2,
		better: 'less'
	},
	pace: {
		title: 'Pace',
		what: 'Tap along with the beat of a move.',
		measure: 'off the beat',
		unit: 'ms',
		digits: 0,
		better: 'less'
	},
	order: {
		title: 'Order of openings',
		what: 'Put the node groups into the order of a school.',
		measure: 'pairs the wrong way',
		unit: '%',
		digits: 0,
		better: 'less',
		chance: 50
	},
	direction: {
		title: 'Direction',
		what: 'Show where the fluid of a zone goes.',
		measure: 'right',
		unit: '%',
		digits: 0,
		better: 'more',
		chance: Math.round(100 * chanceOfDirection())
	},
	sides: {
		title: 'Sides',
		what: 'Spot the step that is not even.',
		measure: 'right',
		unit: '%',
		digits: 0,
		better: 'more',
		chance: Math.round(100 / ROWS)
	},
	point: {
		title: 'Find the point',
		what: 'Put a code on the face.',
		measure: 'off by',
		unit: 'mm',
		digits: 1,
		better: 'less'
	}
} as const satisfies Record<string, DrillRow>;
interface DrillRow {
	readonly title: string;
	readonly what: string;
	/** What is counted, and in what. */
	readonly measure: string;
	readonly unit: string;
	readonly digits: number;
	readonly better: 'less' | 'more';
	/** What guessing would give; absent where nothing is chosen. */
	readonly chance?: number;
}
export type DrillId = keyof typeof DRILLS;
export const DRILL_IDS = Object.keys(DRILLS) as [DrillId, ...DrillId[]];

/** Fewer rounds say nothing of a trend. Working value. */
export const LEAST_ROUNDS = 6;

/**
 * What the rounds of a drill say over time, in one sentence with its error.
 * @param values of the rounds of one kind, the first one first: what was practised otherwise is not compared
 */
export function progressOf(drill: DrillId, values: readonly number[]): string {
	const { measure, unit, digits, better, chance }: DrillRow = DRILLS[drill];
	if (!values.length) return 'Not practised yet.';
	if (values.length < LEAST_ROUNDS)
		return `${values.length} of ${LEAST_ROUNDS} rounds that are needed before a trend can be told from chance.`;
	const { slope, low, high, n } = trendOf(values.map((v, i) => [i, v] as const));
	const show = (v: number) => `${v > 0 ? '+' : v < 0 ? '−' : ''}${Math.abs(v).toFixed(digits)}`;
	const change = `${measure} ${show(10 * slope)} ${unit} in ten rounds (95 %: ${show(10 * low)} to ${show(10 * high)}, ${n} rounds)`;
	const guessed = chance === undefined ? '' : ` Guessing gives about ${chance} ${unit}.`;
	if (low <= 0 && high >= 0) return `No change that stands out from chance: ${change}.${guessed}`;
	const steadier = slope < 0 === (better === 'less');
	return `${steadier ? 'Getting better' : 'Getting worse'}: ${change}.${guessed}`;
}

interface Practised {
	readonly what: string;
	readonly value: number;
}
/** Rounds of one kind, as of one finger at one level: only like is compared with like. The kind that was practised last comes first. */
export function alike<T extends Practised>(
	rounds: readonly T[]
): readonly { readonly what: string; readonly rounds: readonly T[] }[] {
	const kinds = new Map<string, T[]>();
	for (const round of rounds) {
		const list = kinds.get(round.what) ?? [];
		// A kind moves to the end when it is practised again.
		kinds.delete(round.what);
		kinds.set(round.what, [...list, round]);
	}
	return [...kinds].map(([what, list]) => ({ what, rounds: list })).reverse();
}
