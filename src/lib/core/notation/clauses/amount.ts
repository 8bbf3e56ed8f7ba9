import type { Side } from '../../atlas/places';
import type { Dose, Step, StepSide } from '../../step/step.schema';
import { UNTIL_SIGNS } from '../../vocabulary/vocabulary';
import type { Clause } from '../clause';
import { rangeOf } from '../defaults';
import type { Reader } from '../reader';
import { wordsOf } from '../words';

function unitOf(reader: Reader): Dose['kind'] {
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
	if (reader.eat('each', 'side')) return { each: true, first: firstOf(reader) };
	if (reader.eat('in', 'turn')) return { alternate: true, first: firstOf(reader) };
	return null;
}

export function writeSide(side: StepSide): string {
	if (side === 'both' || side === 'midline') return side;
	if (side === 'left' || side === 'right') return `${side} only`;
	const words = 'each' in side ? 'each side' : 'in turn';
	return side.first === 'right' ? `${words} from right` : words;
}

const UNIT: Record<Dose['kind'], string> = { reps: '', seconds: ' s', breaths: ' breaths' };

function writeDose(dose: Dose): string {
	const { kind, min, target, max } = dose;
	const usual = rangeOf(kind, target);
	const range = usual.min === min && usual.max === max ? '' : ` (${min} to ${max})`;
	return `${target}${UNIT[kind]}${range}`;
}

export const dose: Clause = {
	id: 'dose',
	form: '<count> | <n> s | <n> breaths, then (<least> to <most>) and a side',
	says: 'How much on one side: a count of strokes, seconds or breaths. Without a range it is three fifths to three halves. The side may follow.',
	example: '8 (5 to 12) each side',
	fields: ['dose', 'side'],
	words: ['8 each side', '8', '20 s', '3 breaths'],
	read: (reader) => {
		if (reader.next?.kind !== 'number' || reader.rest[1]?.value.toLowerCase().startsWith('lane')) return null;
		const target = reader.number('a count');
		const kind = unitOf(reader);
		let made = rangeOf(kind, target);
		if (reader.eat('(')) {
			const min = reader.number('the least');
			if (!reader.eat('-')) reader.need('to');
			made = { kind, min, target, max: reader.number('the most') };
			reader.need(')');
		}
		const side = readSide(reader);
		return { dose: made, ...(side ? { side } : {}) };
	},
	write: ({ step }) =>
		`${writeDose(step.dose)}${step.side === undefined || step.side === 'both' ? '' : ` ${writeSide(step.side)}`}`
};

export const side: Clause = {
	id: 'side',
	form: 'both | midline | each side [from right] | in turn [from right] | left only | right only',
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

export const lanes: Clause = {
	id: 'lanes',
	form: '<count> lanes',
	says: 'Parallel lanes in which the way is worked, one after the other.',
	example: '3 lanes',
	fields: ['lanes'],
	words: ['2 lanes', '3 lanes'],
	read: (reader) => {
		if (reader.next?.kind !== 'number' || !reader.rest[1]?.value.toLowerCase().startsWith('lane')) return null;
		const count = reader.number('how many lanes');
		if (!reader.eat('lanes')) reader.need('lane');
		return { lanes: count };
	},
	write: ({ step }) => (step.lanes === 1 ? null : `${step.lanes} lanes`)
};

export const back: Clause = {
	id: 'back',
	form: 'and back',
	says: 'The way is worked in both directions.',
	example: 'and back',
	fields: ['reverse'],
	words: ['and back'],
	read: (reader) => (reader.eat('and', 'back') ? { reverse: true } : null),
	write: ({ step }) => (step.reverse ? 'and back' : null)
};

const SIGNS = wordsOf(UNTIL_SIGNS);
export const until: Clause = {
	id: 'until',
	form: 'until <sign> within <seconds> s',
	says: `Goes on until a sign shows (${Object.keys(UNTIL_SIGNS).join(', ')}), at the longest so many seconds a side.`,
	example: 'until softer within 60 s',
	fields: ['until'],
	words: Object.keys(UNTIL_SIGNS).map((sign) => `until ${sign} within 60 s`),
	read: (reader) => {
		if (!reader.eat('until')) return null;
		const sign = reader.phrase(SIGNS) ?? reader.fail(Object.keys(UNTIL_SIGNS));
		reader.need('within');
		const capSeconds = reader.number('seconds at the longest');
		reader.need('s');
		return { until: { sign, capSeconds } };
	},
	write: ({ step: { until: u } }: { step: Step }) => (u ? `until ${u.sign} within ${u.capSeconds} s` : null)
};
