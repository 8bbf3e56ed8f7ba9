import type { Side } from '../../atlas/places';
import type { Dose, Step, StepSide } from '../../step/step.schema';
import { UNTIL_SIGNS } from '../../vocabulary/vocabulary';
import type { DoseAt } from '../../step/doseAt';
import { inQuotes, readSeconds, type Clause } from '../clause';
import { rangeOf } from '../defaults';
import type { Reader } from '../reader';
import { spoken, wordsOf } from '../words';

/** What is counted, and how many of it a number means: minutes are told in seconds. */
function unitOf(reader: Reader): { kind: Dose['kind']; times: number } {
	if (reader.eat('min') || reader.eat('minutes') || reader.eat('minute')) return { kind: 'seconds', times: 60 };
	return { kind: kindOf(reader), times: 1 };
}
function kindOf(reader: Reader): Dose['kind'] {
	if (reader.eat('s') || reader.eat('seconds') || reader.eat('second')) return 'seconds';
	if (reader.eat('breaths') || reader.eat('breath')) return 'breaths';
	if (!(reader.eat('×') || reader.eat('x'))) reader.eat('times');
	return 'reps';
}

const firstOf = (reader: Reader): Side => {
	if (!reader.eat('from')) return 'left';
	if (reader.eat('right')) return 'right';
	reader.need('left');
	return 'left';
};

/** The side that comes next; null where none is named. */
export function readSide(reader: Reader): StepSide | null {
	if (reader.eat('both')) return 'both';
	if (reader.eat('midline')) return 'midline';
	if (reader.eat('left', 'only')) return 'left';
	if (reader.eat('right', 'only')) return 'right';
	// “8 each” is said for “each side”; “each place” is another thing.
	if (reader.eat('each', 'side') || (reader.rest[1]?.value !== 'place' && reader.eat('each')))
		return { each: true, first: firstOf(reader) };
	if (reader.eat('in', 'turn')) {
		const every = reader.eat('every') ? { every: reader.number('how many') } : {};
		return { alternate: true, first: firstOf(reader), ...every };
	}
	return null;
}

export function writeSide(side: StepSide): string {
	if (side === 'both' || side === 'midline') return side;
	if (side === 'left' || side === 'right') return `${side} only`;
	const words = 'each' in side ? 'each side' : `in turn${side.every === undefined ? '' : ` every ${side.every}`}`;
	return side.first === 'right' ? `${words} from right` : words;
}

const UNIT: Record<Dose['kind'], string> = { reps: '', seconds: ' s', breaths: ' breaths' };

function writeDose(dose: Dose): string {
	const { kind, min, target, max } = dose;
	const usual = rangeOf(kind, target);
	const range = usual.min === min && usual.max === max ? '' : ` (${min} to ${max})`;
	return `${target}${UNIT[kind]}${range}`;
}

/** Where a dose is given, if it is told; null where it goes without saying. */
function readDoseAt(reader: Reader): DoseAt | null {
	if (reader.eat('at', 'each', 'place') || reader.eat('each', 'place') || reader.eat('a', 'place')) return 'each-place';
	if (reader.eat('over', 'all')) return 'over-all';
	return null;
}

/** A count, a time or breaths: one number, or its least and most. @throws {Misread} where a range is not closed */
function readDose(reader: Reader): Dose {
	const first = reader.number('a count');
	if (reader.eat('-') || reader.eat('to')) {
		const last = reader.number('the most');
		const { kind, times } = unitOf(reader);
		const [min, max] = [first * times, last * times];
		const middle = (min + max) / 2;
		return { kind, min, target: kind === 'seconds' ? middle : Math.round(middle), max };
	}
	const { kind, times } = unitOf(reader);
	const target = first * times;
	if (!reader.eat('(')) return rangeOf(kind, target);
	const min = reader.number('the least') * times;
	if (!reader.eat('-')) reader.need('to');
	const max = reader.number('the most') * times;
	reader.need(')');
	return { kind, min, target, max };
}

/** What may follow an amount: at each place or over all, and the side. */
function placedAndSided(reader: Reader): Partial<Step> {
	const doseAt = readDoseAt(reader);
	const side = readSide(reader);
	return { ...(doseAt ? { doseAt } : {}), ...(side ? { side } : {}) };
}

export const dose: Clause = {
	id: 'dose',
	form: '<count> | <n> s | <n> min | <n> breaths | <least> to <most> …, then (<least> to <most>), a place and a side',
	says: 'How much on one side: a count of strokes, seconds, minutes or breaths. Without a range it is three fifths to three halves. “at each place” or “over all”, and the side, may follow.',
	example: '8 (5 to 12) each side',
	fields: ['dose', 'doseAt', 'side'],
	words: ['8 each side', '8', '8 to 10', '20 s', '5 min', '3 breaths', '10 at each place'],
	read: (reader) => {
		const half = reader.eat('half', 'a', 'minute');
		if (half) return { dose: rangeOf('seconds', 30), ...placedAndSided(reader) };
		if (reader.next?.kind !== 'number' || reader.rest[1]?.value.toLowerCase().startsWith('lane')) return null;
		const made = readDose(reader);
		return { dose: made, ...placedAndSided(reader) };
	},
	write: ({ step }) =>
		`${writeDose(step.dose)}${step.side === undefined || step.side === 'both' ? '' : ` ${writeSide(step.side)}`}`
};

export const at: Clause = {
	id: 'at',
	form: 'at each place | over all',
	says: 'Over several places that are stayed on: the repeats at each of them, or over all together.',
	example: 'at each place',
	fields: ['doseAt'],
	words: ['at each place', 'over all'],
	read: (reader) => {
		const found = readDoseAt(reader);
		return found && { doseAt: found };
	},
	write: ({ step }) => (step.doseAt === undefined ? null : step.doseAt === 'each-place' ? 'at each place' : 'over all')
};

export const side: Clause = {
	id: 'side',
	form: 'both | midline | each side [from right] | in turn [every <n>] [from right] | left only | right only',
	says: 'On which side it is worked. Both is meant where nothing is said; one side only needs a reason.',
	example: 'in turn from right',
	fields: ['side'],
	words: ['both', 'each side', 'each side from right', 'in turn', 'midline', 'left only', 'right only'],
	read: (reader) => {
		const found = readSide(reader);
		return found && { side: found };
	},
	write: () => null
};

export const pace: Clause = {
	id: 'pace',
	form: 'pace <seconds> s',
	says: 'Seconds of one repetition.',
	example: 'pace 2.5 s',
	fields: ['paceSeconds'],
	words: ['pace 2 s'],
	read: (reader) => {
		if (!reader.eat('pace')) return null;
		const paceSeconds = reader.number('seconds of one repetition');
		reader.need('s');
		return { paceSeconds };
	},
	write: ({ step, bare }) => (step.paceSeconds === bare.paceSeconds ? null : `pace ${step.paceSeconds} s`)
};

const LANE_RUNS = { diagonal: 'diagonal', 'inner-outer': 'inner to outer' } as const;
export const lanes: Clause = {
	id: 'lanes',
	form: '<count> lanes [diagonal | inner to outer]',
	says: 'Parallel lanes in which the path is worked, one after the other.',
	example: '3 lanes',
	fields: ['lanes', 'laneRun'],
	words: ['2 lanes', '3 lanes', '3 lanes diagonal'],
	read: (reader) => {
		if (reader.next?.kind !== 'number' || !reader.rest[1]?.value.toLowerCase().startsWith('lane')) return null;
		const count = reader.number('how many lanes');
		if (!reader.eat('lanes')) reader.need('lane');
		const run = reader.eat('diagonal') ? 'diagonal' : reader.eat('inner', 'to', 'outer') ? 'inner-outer' : null;
		return { lanes: count, ...(run ? { laneRun: run } : {}) };
	},
	write: ({ step }) =>
		step.lanes === 1 && !step.laneRun ? null : `${step.lanes} lanes${step.laneRun ? ` ${LANE_RUNS[step.laneRun]}` : ''}`
};

export const back: Clause = {
	id: 'back',
	form: 'and back',
	says: 'The path is worked in both directions.',
	example: 'and back',
	fields: ['reverse'],
	words: ['and back'],
	read: (reader) => (reader.eat('and', 'back') ? { reverse: true } : null),
	write: ({ step }) => (step.reverse ? 'and back' : null)
};

const SIGNS = wordsOf(UNTIL_SIGNS);
type Sign = keyof typeof UNTIL_SIGNS;
export const until: Clause = {
	id: 'until',
	form: 'until <sign> [or <sign>] [or "<own sign>"] within <seconds> s',
	says: `Goes on until a sign shows (${Object.values(UNTIL_SIGNS).join(', ')}, or one in your own words), at the longest so many seconds a side.`,
	example: 'until softer within 60 s',
	fields: ['until'],
	words: [
		...Object.values(UNTIL_SIGNS).map((sign) => `until ${sign} within 60 s`),
		'until softer or warm within 2 min'
	],
	read: (reader) => {
		if (!reader.eat('until')) return null;
		const signs: Sign[] = [];
		let own: string | undefined;
		do {
			if (own === undefined && reader.next?.kind === 'text') own = reader.text('a sign');
			else signs.push(reader.phrase(SIGNS) ?? reader.fail(Object.values(UNTIL_SIGNS)));
		} while (reader.eat('or'));
		reader.need('within');
		const capSeconds = readSeconds(reader, 'seconds at the longest');
		return { until: { signs, ...(own === undefined ? {} : { own }), capSeconds } };
	},
	write: ({ step: { until: u } }: { step: Step }) =>
		u
			? `until ${[...u.signs.map(spoken), ...(u.own === undefined ? [] : [inQuotes(u.own)])].join(' or ')} within ${u.capSeconds} s`
			: null
};

export const amplitude: Clause = {
	id: 'amplitude',
	form: 'amplitude <n> mm',
	says: 'How far the finger or the skin goes to and fro.',
	example: 'amplitude 3 mm',
	fields: ['amplitudeMm'],
	words: ['amplitude 3 mm'],
	read: (reader) => {
		if (!reader.eat('amplitude')) return null;
		const amplitudeMm = reader.number('millimetres');
		reader.need('mm');
		return { amplitudeMm };
	},
	write: ({ step }) => (step.amplitudeMm === undefined ? null : `amplitude ${step.amplitudeMm} mm`)
};

export const returns: Clause = {
	id: 'returns',
	form: 'returns in <n> s',
	says: 'Slow out, quick back: the seconds in which the hand comes back after each repetition.',
	example: 'returns in 0.5 s',
	fields: ['returnSeconds'],
	words: ['returns in 0.5 s'],
	read: (reader) => {
		if (!reader.eat('returns')) return null;
		reader.need('in');
		return { returnSeconds: readSeconds(reader, 'seconds') };
	},
	write: ({ step }) => (step.returnSeconds === undefined ? null : `returns in ${step.returnSeconds} s`)
};

export const pose: Clause = {
	id: 'pose',
	form: 'pose <n> s',
	says: 'The pose or the hold in which a side ends.',
	example: 'pose 5 s',
	fields: ['poseSeconds'],
	words: ['pose 5 s'],
	read: (reader) => (reader.eat('pose') ? { poseSeconds: readSeconds(reader, 'seconds') } : null),
	write: ({ step }) => (step.poseSeconds === undefined ? null : `pose ${step.poseSeconds} s`)
};
