import { trendOf } from '../statistics/trend';

/** What is practised. A new drill is a row here and a component of its own. */
export const DRILLS = {
	pressure: {
		title: 'Pressure',
		what: 'Press on a scale and stay within a level.',
		measure: 'spread',
		unit: 'kPa',
		digits: 2,
		better: 'less'
	},
	pace: {
		title: 'Pace',
		what: 'Tap along with the beat of a move.',
		measure: 'spread',
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
		better: 'less'
	},
	direction: {
		title: 'Direction',
		what: 'Show where the fluid of a zone goes.',
		measure: 'right',
		unit: '%',
		digits: 0,
		better: 'more'
	},
	sides: {
		title: 'Sides',
		what: 'Spot the step that is not even.',
		measure: 'right',
		unit: '%',
		digits: 0,
		better: 'more'
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
}
export type DrillId = keyof typeof DRILLS;
export const DRILL_IDS = Object.keys(DRILLS) as [DrillId, ...DrillId[]];

/** Fewer rounds say nothing of a trend. Working value. */
export const LEAST_ROUNDS = 6;

/**
 * What the rounds of a drill say over time, in one sentence with its error.
 * @param values of the rounds, the first one first
 */
export function progressOf(drill: DrillId, values: readonly number[]): string {
	const { measure, unit, digits, better } = DRILLS[drill];
	if (!values.length) return 'Not practised yet.';
	if (values.length < LEAST_ROUNDS)
		return `${values.length} of ${LEAST_ROUNDS} rounds that are needed before a trend can be told from chance.`;
	const { slope, low, high, n } = trendOf(values.map((v, i) => [i, v] as const));
	const show = (v: number) => `${v > 0 ? '+' : v < 0 ? '−' : ''}${Math.abs(v).toFixed(digits)}`;
	const change = `${measure} ${show(10 * slope)} ${unit} in ten rounds (95 %: ${show(10 * low)} to ${show(10 * high)}, ${n} rounds)`;
	if (low <= 0 && high >= 0) return `No change that stands out from chance: ${change}.`;
	const steadier = slope < 0 === (better === 'less');
	return `${steadier ? 'Getting better' : 'Getting worse'}: ${change}.`;
}
