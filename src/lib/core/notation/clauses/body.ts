import type { Step } from '../../step/step.schema';
import { BREATHS, MOUTHS, POSTURES, TOWARDS } from '../../vocabulary/vocabulary';
import type { Clause } from '../clause';
import { spoken, wordsOf } from '../words';

/** A clause of a keyword and one word of a vocabulary; unsaid where it is the usual one. */
function choice<F extends 'posture' | 'mouth' | 'breath'>(
	id: F,
	table: Record<Step[F], string>,
	usual: Step[F],
	says: string
): Clause {
	const words = wordsOf(table as Record<string, string>);
	const others = Object.keys(table).filter((k) => k !== usual);
	return {
		id,
		form: `${id} ${others.map(spoken).join(' | ')}`,
		says,
		example: `${id} ${spoken(others[0]!)}`,
		fields: [id],
		words: others.map((k) => `${id} ${spoken(k)}`),
		read: (reader) => {
			if (!reader.eat(id)) return null;
			return { [id]: reader.phrase(words) ?? reader.fail(Object.keys(table).map(spoken)) } as Partial<Step>;
		},
		write: ({ step }) => (step[id] === usual ? null : `${id} ${spoken(step[id])}`)
	};
}

export const posture = choice('posture', POSTURES, 'neutral', 'How the client holds her head.');
export const mouth = choice('mouth', MOUTHS, 'closed', 'How the client holds her mouth.');
export const breath = choice('breath', BREATHS, 'free', 'How the move goes with the breath.');

export const turnedTo: Clause = {
	id: 'towards',
	form: `towards ${Object.keys(TOWARDS).join(' | ')}`,
	says: 'Where the client’s head or jaw turns, tilts or goes to; “away” and “towards” from the side that is worked.',
	example: 'towards left',
	fields: ['towards'],
	words: Object.keys(TOWARDS).map((id) => `towards ${id}`),
	read: (reader) => {
		if (!reader.eat('towards')) return null;
		return { towards: reader.phrase(wordsOf(TOWARDS)) ?? reader.fail(Object.keys(TOWARDS)) };
	},
	write: ({ step }) => (step.towards ? `towards ${step.towards}` : null)
};

export const eyes: Clause = {
	id: 'eyes',
	form: 'eyes open',
	says: 'The client keeps her eyes open.',
	example: 'eyes open',
	fields: ['eyes'],
	words: ['eyes open'],
	read: (reader) => {
		if (!reader.eat('eyes')) return null;
		if (reader.eat('open')) return { eyes: 'open' };
		reader.need('closed');
		return { eyes: 'closed' };
	},
	write: ({ step }) => (step.eyes === 'open' ? 'eyes open' : null)
};

export const by: Clause = {
	id: 'by',
	form: 'by client | by practitioner',
	says: 'The client does it herself, as an exercise is done.',
	example: 'by client',
	fields: ['by'],
	words: ['by client', 'by practitioner'],
	read: (reader) => {
		if (!reader.eat('by')) return null;
		if (reader.eat('practitioner')) return { by: 'practitioner' };
		reader.need('client');
		return { by: 'client' };
	},
	write: ({ step, bare }) => (step.by === bare.by ? null : `by ${step.by}`)
};
