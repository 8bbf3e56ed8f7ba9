import { LEVEL_NAMES, LEVELS, type Level } from '../../step/levels';
import { CONTACTS, STONE_EDGES, TOOLS } from '../../vocabulary/vocabulary';
import type { Clause } from '../clause';
import {
	CONTACT_WORDS,
	contactWord,
	SPLIT_WORDS,
	splitContact,
	LEVEL_WORDS,
	MOTION_WORDS,
	motionWord,
	spoken,
	wordsOf
} from '../words';

/** A clause that is one phrase of a table, and nothing else. */
const phrase = <T>(table: ReadonlyMap<string, T>, of: (value: T) => ReturnType<Clause['read']>): Clause['read'] => {
	return (reader) => {
		const found = reader.whole(table);
		return found === null ? null : of(found);
	};
};

const SPLIT: ReadonlyMap<string, true> = new Map([...SPLIT_WORDS].map((word) => [word, true]));

export const contact: Clause = {
	id: 'contact',
	form: '<contact>',
	says: 'What touches the skin, by its name.',
	example: 'index hook',
	fields: ['contact'],
	words: Object.keys(CONTACTS)
		.filter((id) => id !== 'tool')
		.map((id) => contactWord(id as keyof typeof CONTACTS)),
	read: (reader, { places = [] }) => {
		const found = reader.whole(CONTACT_WORDS);
		if (found !== null) return { contact: found };
		return reader.whole(SPLIT) ? { contact: splitContact(places) } : null;
	},
	write: ({ step, bare }) =>
		step.contact === 'tool' || step.contact === bare.contact ? null : contactWord(step.contact)
};

const TOOL_WORDS = wordsOf(TOOLS, true);
const EDGE_WORDS = wordsOf(STONE_EDGES, true);

export const tool: Clause = {
	id: 'tool',
	form: 'with <tool> <edge> <angle>°',
	says: 'The tool that works instead of the hand; a stone plate may name its edge and its angle to the skin. Gloves are worn, the hand still works.',
	example: 'with stone plate long concave 15°',
	fields: ['tool'],
	words: Object.keys(TOOLS).map((id) => `with ${spoken(id)}`),
	read: (reader) => {
		if (!reader.eat('with')) return null;
		const id = reader.phrase(TOOL_WORDS) ?? reader.fail(['a tool, such as stone plate or roller']);
		const edge = reader.phrase(EDGE_WORDS);
		const tiltDegrees = reader.next?.kind === 'number' ? reader.number('an angle') : undefined;
		reader.eat('°');
		const made = { id, ...(edge ? { edge } : {}), ...(tiltDegrees === undefined ? {} : { tiltDegrees }) };
		return { tool: made, ...(id === 'gloves' ? {} : { contact: 'tool' as const }) };
	},
	write: ({ step: { tool: used } }) =>
		used
			? [
					'with',
					spoken(used.id),
					...(used.edge ? [spoken(used.edge)] : []),
					...(used.tiltDegrees === undefined ? [] : [`${used.tiltDegrees}°`])
				].join(' ')
			: null
};

export const motion: Clause = {
	id: 'motion',
	form: '<motion>',
	says: 'How it moves.',
	example: 'hand over hand',
	fields: ['motion'],
	words: [...new Set(MOTION_WORDS.values())].map(motionWord),
	read: phrase(MOTION_WORDS, (found) => ({ motion: found })),
	write: ({ step, bare }) => (step.motion === bare.motion ? null : motionWord(step.motion))
};

export const pressure: Clause = {
	id: 'pressure',
	form: 'touch | light | medium | firm | deep',
	says: 'One pressure level for the whole step, 0 to 4.',
	example: 'light',
	fields: ['pressure'],
	words: LEVELS.map((level) => LEVEL_NAMES[level]),
	read: phrase(LEVEL_WORDS, (level) => ({ pressure: level, levels: undefined })),
	write: ({ step, bare }) =>
		step.pressure === undefined || step.pressure === bare.pressure ? null : LEVEL_NAMES[step.pressure]
};

export const levels: Clause = {
	id: 'levels',
	form: 'levels <0 to 4> <0 to 4> …',
	says: 'A pressure level for each place of the path, in order, instead of one for all.',
	example: 'levels 2 1 1',
	fields: ['levels'],
	words: ['levels'],
	read: (reader) => {
		if (!reader.eat('levels')) return null;
		const list: Level[] = [];
		while (!reader.done) {
			const level = LEVELS.find((l) => String(l) === reader.next?.value);
			if (level === undefined) return reader.fail(['a level from 0 to 4']);
			reader.number('a level from 0 to 4');
			list.push(level);
		}
		return { levels: list, pressure: undefined };
	},
	write: ({ step }) => (step.levels ? `levels ${step.levels.join(' ')}`.trim() : null)
};

/** The pressure that a word promises, as “rises to firm”. */
const levelTo = (id: string, field: 'risesTo' | 'swellsTo', says: string): Clause => ({
	id,
	form: `${id} to <pressure>`,
	says,
	example: `${id} to firm`,
	fields: [field],
	words: LEVELS.slice(1).map((level) => `${id} to ${LEVEL_NAMES[level]}`),
	read: (reader) => {
		if (!reader.eat(id)) return null;
		reader.need('to');
		return { [field]: reader.phrase(LEVEL_WORDS) ?? reader.fail(LEVELS.map((l) => LEVEL_NAMES[l])) };
	},
	write: ({ step }) => (step[field] === undefined ? null : `${id} to ${LEVEL_NAMES[step[field]]}`)
});
export const rises = levelTo('rises', 'risesTo', 'The pressure to which a hold rises.');
export const swells = levelTo(
	'swells',
	'swellsTo',
	'The pressure to which each stroke swells in its middle: light, firm, light.'
);
