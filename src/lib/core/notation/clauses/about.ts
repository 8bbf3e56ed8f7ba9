import { POINT_CODES } from '../../point/codes';
import type { Step } from '../../step/step.schema';
import { inQuotes, mediumWord, nameWord, readMedium, type Clause } from '../clause';

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
	form: 'glide <medium> <n> ml',
	says: 'Glide medium that is put on before this step.',
	example: 'glide light-oil 0.3 ml',
	fields: ['medium'],
	words: ['glide light-oil 0.3 ml'],
	read: (reader) => {
		if (!reader.eat('glide')) return null;
		return { medium: readMedium(reader) };
	},
	write: ({ step: { medium } }) => (medium ? `glide ${mediumWord(medium)}` : null)
};

export const strip: Clause = {
	id: 'strip',
	form: 'strip <length> × <width> mm for <n> h',
	says: 'A strip of tape: its size, and how long it is worn.',
	example: 'strip 60 × 20 mm for 6 h',
	fields: ['tape'],
	words: ['strip 60 × 20 mm for 6 h'],
	read: (reader) => {
		if (!reader.eat('strip')) return null;
		const lengthMm = reader.number('a length in mm');
		if (!reader.eat('×')) reader.need('x');
		const widthMm = reader.number('a width in mm');
		reader.need('mm');
		reader.need('for');
		const wearHours = reader.number('hours');
		reader.need('h');
		return { tape: { lengthMm, widthMm, wearHours } };
	},
	write: ({ step: { tape: t } }: { step: Step }) =>
		t ? `strip ${t.lengthMm} × ${t.widthMm} mm for ${t.wearHours} h` : null
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
