import { POINT_CODES } from '../../point/codes';
import type { Step } from '../../step/step.schema';
import { inQuotes, mediumWord, nameWord, readMedium, type Clause } from '../clause';
import { readPlace, writePlace } from '../placeWords';
import type { Reader } from '../reader';

const TARGETS = ['skin', 'hands', 'tool'] as const;
export const target: Clause = {
	id: 'target',
	form: 'of skin | of hands | of tool',
	says: 'What is cleansed, where the aim is cleanse.',
	example: 'of hands',
	fields: ['target'],
	words: TARGETS.map((t) => `of ${t}`),
	read: (reader) => {
		if (!reader.eat('of')) return null;
		return { target: TARGETS.find((t) => reader.eat(t)) ?? reader.fail(TARGETS) };
	},
	write: ({ step }) => (step.target ? `of ${step.target}` : null)
};

export const point: Clause = {
	id: 'point',
	form: 'point <code>',
	says: 'Standard code of the pressure point that is held.',
	example: 'point ST3',
	fields: ['point'],
	words: POINT_CODES.map((code) => `point ${code}`),
	read: (reader) => {
		if (!reader.eat('point')) return null;
		const code = POINT_CODES.find((c) => c.toLowerCase() === reader.next?.value.toLowerCase());
		if (!code) return reader.fail(['a code such as ST3 or GV24']);
		reader.name('a code');
		return { point: code };
	},
	write: ({ step }) => (step.point ? `point ${step.point}` : null)
};

export const glide: Clause = {
	id: 'glide',
	form: 'glide <medium> <n> ml | drops | pumps',
	says: 'Glide medium that is put on before this step. One of your own stands in quotes.',
	example: 'glide light-oil 0.3 ml',
	fields: ['medium'],
	words: ['glide light-oil 0.3 ml'],
	read: (reader, context) => (reader.eat('glide') ? { medium: readMedium(reader, context) } : null),
	write: ({ step: { medium } }) => (medium ? `glide ${mediumWord(medium)}` : null)
};

type Tape = NonNullable<Step['tape']>;
const tapeWords = (t: Tape): string =>
	[
		'strip',
		t.pieces === undefined ? '' : `${t.pieces} of`,
		`${t.lengthMm} × ${t.widthMm} mm`,
		t.anchor ? `anchor ${writePlace(t.anchor)}` : '',
		t.anchorMm === undefined ? '' : `held ${t.anchorMm} mm`,
		t.towards ? `towards ${writePlace(t.towards)}` : '',
		`for ${t.leastHours === undefined ? '' : `${t.leastHours} to `}${t.wearHours} h`,
		t.firstHours === undefined ? '' : `first ${t.firstHours} h`,
		t.firstWear === undefined ? '' : t.firstWear ? 'first wear' : 'worn before',
		t.skin ?? ''
	]
		.filter(Boolean)
		.join(' ');

/** “first 2 h”; “first wear” is another thing. */
function readFirstHours(reader: Reader): number | undefined {
	if (reader.rest[1]?.kind !== 'number' || !reader.eat('first')) return undefined;
	const hours = reader.number('hours of the first wear');
	reader.need('h');
	return hours;
}

/** @throws {Misread} where a length, a width or the hours are missing */
function readTape(reader: Reader): Tape {
	const first = reader.number('a length in mm');
	const pieces = reader.eat('of') ? first : undefined;
	const lengthMm = pieces === undefined ? first : reader.number('a length in mm');
	if (!reader.eat('×')) reader.need('x');
	const widthMm = reader.number('a width in mm');
	reader.need('mm');
	const anchor = reader.eat('anchor') ? readPlace(reader) : undefined;
	const anchorMm = reader.eat('held') ? reader.number('millimetres') : undefined;
	if (anchorMm !== undefined) reader.need('mm');
	const towards = reader.eat('towards') ? readPlace(reader) : undefined;
	reader.need('for');
	const hours = reader.number('hours');
	const ranged = reader.eat('to') || reader.eat('-');
	const wearHours = ranged ? reader.number('hours at the longest') : hours;
	reader.need('h');
	const firstHours = readFirstHours(reader);
	const firstWear = reader.eat('first', 'wear') ? true : reader.eat('worn', 'before') ? false : undefined;
	const skin = (['absorbed', 'blotted'] as const).find((word) => reader.eat(word));
	const said = {
		pieces,
		anchor,
		anchorMm,
		towards,
		leastHours: ranged ? hours : undefined,
		firstHours,
		firstWear,
		skin
	};
	return {
		lengthMm,
		widthMm,
		wearHours,
		...(Object.fromEntries(Object.entries(said).filter(([, v]) => v !== undefined)) as Partial<Tape>)
	};
}

export const strip: Clause = {
	id: 'strip',
	form: 'strip [<n> of] <length> × <width> mm [anchor <place>] [held <n> mm] [towards <place>] for [<least> to] <n> h [first <n> h] [first wear] [absorbed | blotted]',
	says: 'Tape: how many pieces, their size, where the end without pull lies, where it is laid towards, how long it is worn, later and the first time, and what was done with the skin before.',
	example: 'strip 60 × 20 mm for 6 h',
	fields: ['tape'],
	words: ['strip 60 × 20 mm for 6 h', 'strip 30 × 8 mm anchor glabella held 10 mm towards temple for 2 h first wear'],
	read: (reader) => (reader.eat('strip') ? { tape: readTape(reader) } : null),
	write: ({ step: { tape } }) => (tape ? tapeWords(tape) : null)
};

export const only: Clause = {
	id: 'only',
	form: 'only if "<when>"',
	says: 'Done only where this is so. It takes no time until it is met.',
	example: 'only if "it feels loose"',
	fields: ['onlyIf'],
	words: ['only if "tender"', 'only if "loose"', 'only if "the glide falls"'],
	read: (reader) => {
		if (!reader.eat('only')) return null;
		reader.need('if');
		return { onlyIf: reader.text('when') };
	},
	write: ({ step }) => (step.onlyIf === undefined ? null : `only if ${inQuotes(step.onlyIf)}`)
};

export const otherwise: Clause = {
	id: 'otherwise',
	form: 'otherwise',
	says: 'Done instead of the step before it, where the condition of that one is not met.',
	example: 'otherwise',
	fields: ['otherwise'],
	words: ['otherwise'],
	read: (reader) => (reader.eat('otherwise') ? { otherwise: true } : null),
	write: ({ step }) => (step.otherwise ? 'otherwise' : null)
};

export const choice: Clause = {
	id: 'choice',
	form: 'choice <group> <option>',
	says: 'One of several ways of which one is done; the head says which, else the one that stands first.',
	example: 'choice tapes fan',
	fields: ['choice'],
	words: [],
	read: (reader) => {
		if (!reader.eat('choice')) return null;
		return { choice: { group: reader.name('a group'), option: reader.name('an option') } };
	},
	write: ({ step: { choice: c } }) => (c ? `choice ${nameWord(c.group)} ${nameWord(c.option)}` : null)
};

export const later: Clause = {
	id: 'later',
	form: 'later',
	says: 'Done at another sitting, as a tape is taken off: no time now.',
	example: 'later',
	fields: ['later'],
	words: ['later'],
	read: (reader) => (reader.eat('later') ? { later: true } : reader.eat('now') ? { later: false } : null),
	write: ({ step }) => (step.later === undefined ? null : step.later ? 'later' : 'now')
};

export const around: Clause = {
	id: 'around',
	form: 'around "<what>"',
	says: 'What on the path is worked around.',
	example: 'around "a mole on the cheek"',
	fields: ['around'],
	words: ['around "a sore spot"'],
	read: (reader) => (reader.eat('around') ? { around: reader.text('what is worked around') } : null),
	write: ({ step }) => (step.around === undefined ? null : `around ${inQuotes(step.around)}`)
};

export const optional: Clause = {
	id: 'optional',
	form: 'optional',
	says: 'May be left out to save time.',
	example: 'optional',
	fields: ['optional'],
	words: ['optional'],
	read: (reader) => (reader.eat('optional') ? { optional: true } : null),
	write: ({ step }) => (step.optional ? 'optional' : null)
};

export const from: Clause = {
	id: 'from',
	form: 'from <move>',
	says: 'The move of the library that it was made from; nothing else of it is taken.',
	example: 'from jaw-scoop',
	fields: ['techniqueId'],
	words: [],
	read: (reader) => (reader.eat('from') ? { techniqueId: reader.name('a move') } : null),
	write: ({ step }) => (step.techniqueId === undefined ? null : `from ${nameWord(step.techniqueId)}`)
};

/** A text on a line of its own under the step. */
function text(id: string, field: 'reason' | 'replaces' | 'note' | 'why', says: string, example: string): Clause {
	return {
		id,
		form: `${id} "<text>"`,
		says,
		example: `${id} ${inQuotes(example)}`,
		below: true,
		fields: [field],
		words: [`${id} ""`],
		read: (reader) => (reader.eat(id) ? { [field]: reader.text('what it says') } : null),
		write: ({ step }) => {
			const value = step[field];
			// An empty note goes without saying; an empty reason was given.
			const unsaid = field === 'note' || field === 'why' ? value === '' : value === undefined;
			return unsaid ? null : `${id} ${inQuotes(value!)}`;
		}
	};
}

export const because = text('because', 'reason', 'Why only one side is worked.', 'fuller on the left today');
export const replaces = text('instead', 'replaces', 'The step of a skincare routine that it replaces.', 'serum');
export const note = text('note', 'note', 'A note to oneself.', 'slower near the scar');
export const why = text(
	'why',
	'why',
	'Why it is done, for whoever reads the sequence.',
	'Vessels lie just under thin skin.'
);
