import type { Step } from '../../step/step.schema';
import { LEVEL_NAMES } from '../../step/levels';
import { SPOTS, type SpotId } from '../../atlas/spots';
import { isStationary, ROUNDS } from '../../vocabulary/vocabulary';
import { labelsOf } from '../../vocabulary/rows';
import { readSeconds, type Clause } from '../clause';
import { readPlace, readWay, writePlace, writeWay } from '../placeWords';
import type { Reader } from '../reader';
import { CONTACT_WORDS, contactWord, LEVEL_WORDS, MOTION_WORDS, motionWord, spoken, wordsOf } from '../words';

export const stops: Clause = {
	id: 'stops',
	form: 'stops <place> + <place> … for <n> s | for <n> breaths',
	says: 'Stations: places of the path on which the stroke stops and presses.',
	example: 'stops chin + jawline for 2 s',
	fields: ['stations'],
	words: ['stops'],
	read: (reader, { cheekRoute }) => {
		if (!reader.eat('stops')) return null;
		const places = readWay(reader, { cheekRoute });
		reader.need('for');
		const amount = reader.number('how long');
		const breaths = reader.eat('breaths') || reader.eat('breath');
		if (!breaths) reader.need('s');
		return { stations: { places, hold: { kind: breaths ? 'breaths' : 'seconds', amount } } };
	},
	write: ({ step: { stations } }) =>
		stations
			? `stops ${writeWay(stations.places, true)} for ${stations.hold.amount} ${stations.hold.kind === 'breaths' ? 'breaths' : 's'}`
			: null
};

const ENDS = ['wiggle', 'lift', 'press'] as const;

/** How a repetition ends, and the way on from there, are one field: what is said of both goes together. */
function joinEnds({ end: before }: Partial<Step>, { end: change }: Partial<Step>): Partial<Step> | null {
	const [link, small] = before?.kind === 'link' ? [before, change] : [change, before];
	if (link?.kind !== 'link' || !small || small.kind === 'link' || small.kind === 'none' || link.finish) return null;
	return { end: { ...link, finish: small.kind } };
}

export const end: Clause = {
	id: 'end',
	form: 'end wiggle | end lift | end press',
	says: 'How each repetition ends. A drain link may follow.',
	example: 'end wiggle',
	fields: ['end'],
	words: ENDS.map((kind) => `end ${kind}`),
	joins: joinEnds,
	read: (reader) => {
		if (!reader.eat('end')) return null;
		const kind = ENDS.find((k) => reader.eat(k)) ?? reader.fail(ENDS);
		return { end: { kind } };
	},
	write: ({ step: { end: e } }) => {
		if (e.kind === 'link') return e.finish ? `end ${e.finish}` : null;
		return e.kind === 'none' ? null : `end ${e.kind}`;
	}
};

export const link: Clause = {
	id: 'link',
	form: 'then <path> <count> pumps [by school]',
	says: 'Drain link: after each side on to these nodes, and so many pumps there. “by school” leaves it to the drain policy.',
	example: 'then nodes below the ear > neck nodes > collarbone nodes 3 pumps',
	fields: ['end'],
	words: ['then'],
	joins: joinEnds,
	read: (reader, { cheekRoute }) => {
		if (!reader.eat('then')) return null;
		const places = readWay(reader, { cheekRoute, aim: 'open' });
		const pumps = reader.next?.kind === 'number' ? reader.number('how many pumps') : 3;
		if (!reader.eat('pumps')) reader.eat('pump');
		const by = reader.eat('by', 'school') ? ('policy' as const) : ('hand' as const);
		return { end: { kind: 'link', places, pumps, by } };
	},
	write: ({ step: { end: e } }) =>
		e.kind === 'link' ? `then ${writeWay(e.places)} ${e.pumps} pumps${e.by === 'policy' ? ' by school' : ''}` : null
};

export const next: Clause = {
	id: 'next',
	form: 'next <motion> [<path>] [<pressure>] for <n> s',
	says: 'A further stroke of every repetition; several stand in their order. One repetition counts once.',
	example: 'next sweep chin > jawline light for 2 s',
	fields: ['parts'],
	words: ['next skin stretch for 2 s', 'next sweep for 2 s'],
	joins: ({ parts = [] }, { parts: more = [] }) => ({ parts: [...parts, ...more] }),
	read: (reader, { cheekRoute, aim }) => {
		if (!reader.eat('next')) return null;
		const motion = reader.phrase(MOTION_WORDS) ?? reader.fail(['a motion, such as sweep or press hold']);
		const level = () => reader.phrase(LEVEL_WORDS);
		const before = level();
		const places = before === null && !isNamed(reader, 'for') ? readWay(reader, { cheekRoute, aim }) : undefined;
		const pressure = before ?? level();
		reader.need('for');
		const seconds = readSeconds(reader, 'seconds of one repetition');
		return { parts: [{ motion, ...(places ? { places } : {}), ...(pressure === null ? {} : { pressure }), seconds }] };
	},
	write: ({ step: { parts } }) =>
		parts
			? parts
					.map(({ motion, places, pressure, seconds }) =>
						[
							'next',
							motionWord(motion),
							places ? writeWay(places, isStationary(motion)) : '',
							pressure === undefined ? '' : LEVEL_NAMES[pressure],
							`for ${seconds} s`
						]
							.filter(Boolean)
							.join(' ')
					)
					.join(', ')
			: null
};

const isNamed = (reader: Reader, word: string): boolean => reader.next?.value.toLowerCase() === word;

export const lane: Clause = {
	id: 'lane',
	form: 'lane <path>',
	says: 'The path of a further lane, where it does not lie beside the first; several stand in their order.',
	example: 'lane below the mouth corner > hollow of the cheek > cheekbone',
	fields: ['laneWays'],
	words: ['lane'],
	joins: ({ laneWays = [] }, { laneWays: more = [] }) => ({ laneWays: [...laneWays, ...more] }),
	read: (reader, { cheekRoute }) => {
		if (!reader.eat('lane')) return null;
		return { laneWays: [readWay(reader, { cheekRoute })] };
	},
	write: ({ step: { laneWays } }) => laneWays?.map((way) => `lane ${writeWay(way)}`).join(', ') ?? null
};

export const beside: Clause = {
	id: 'beside',
	form: 'beside <path> [doing [<contact>] [<motion>] [<pressure>]]',
	says: 'A second path done at the same time, as fingers before and behind the ear; after “doing”, what the hand there does otherwise.',
	example: 'beside behind the ear > side of the neck doing knuckles press and hold touch',
	fields: ['beside', 'besideWork'],
	words: ['beside'],
	read: (reader, { cheekRoute }) => {
		if (!reader.eat('beside')) return null;
		const path = readWay(reader, { cheekRoute });
		return { beside: path, besideWork: reader.eat('doing') ? readWork(reader) : undefined };
	},
	write: ({ step }) =>
		step.beside
			? `beside ${writeWay(step.beside, isStationary(step.motion))}${step.besideWork ? ` doing ${workWords(step.besideWork)}` : ''}`
			: null
};

type Work = NonNullable<Step['besideWork']>;
const workWords = ({ contact, motion, pressure }: Work): string =>
	[
		contact ? contactWord(contact) : '',
		motion ? motionWord(motion) : '',
		pressure === undefined ? '' : LEVEL_NAMES[pressure]
	]
		.filter(Boolean)
		.join(' ');

/** @throws {Misread} where nothing is said of it */
function readWork(reader: Reader): Work {
	const contact = reader.phrase(CONTACT_WORDS);
	const motion = reader.phrase(MOTION_WORDS);
	const pressure = reader.phrase(LEVEL_WORDS);
	if (contact === null && motion === null && pressure === null)
		return reader.fail(['a part of the hand, a motion or a pressure']);
	return {
		...(contact === null ? {} : { contact }),
		...(motion === null ? {} : { motion }),
		...(pressure === null ? {} : { pressure })
	};
}

const SPOT_WORDS = wordsOf(labelsOf(SPOTS));
export const spots: Clause = {
	id: 'spots',
	form: 'spots <count> | spots <spot> + <spot> …',
	says: `Where within its places it stops, with the repeats at each: so many spots along them, or spots by name (${Object.keys(SPOTS).map(spoken).join(', ')}).`,
	example: 'spots 5',
	fields: ['spots'],
	words: ['spots 5', ...Object.keys(SPOTS).map((id) => `spots ${spoken(id)}`)],
	read: (reader) => {
		if (!reader.eat('spots')) return null;
		if (reader.next?.kind === 'number') return { spots: { count: reader.number('how many spots') } };
		const one = (): SpotId => reader.phrase(SPOT_WORDS) ?? reader.fail(['a count', ...Object.keys(SPOTS).map(spoken)]);
		const named = [one()];
		while (reader.eat('+')) named.push(one());
		return { spots: { named } };
	},
	write: ({ step: { spots: s } }) => (s ? `spots ${'count' in s ? s.count : s.named.map(spoken).join(' + ')}` : null)
};

export const circling: Clause = {
	id: 'circling',
	form: 'circling inwards | outwards',
	says: 'Which way round its circles go.',
	example: 'circling inwards',
	fields: ['round'],
	words: ['circling inwards', 'circling outwards'],
	read: (reader) => {
		if (!reader.eat('circling')) return null;
		return { round: reader.phrase(wordsOf(ROUNDS)) ?? reader.fail(Object.keys(ROUNDS)) };
	},
	write: ({ step }) => (step.round ? `circling ${step.round}` : null)
};

type Support = NonNullable<Step['support']>;
const supportWords = (s: Support): string =>
	[
		'support',
		s.thumb === undefined ? '' : s.thumb ? 'own thumb' : 'other hand',
		s.place ? `at ${writePlace(s.place)}` : '',
		s.stays ? 'stays' : '',
		s.moves === undefined ? '' : s.moves ? 'moves along' : 'keeps still',
		s.head ? `head ${s.head}` : ''
	]
		.filter(Boolean)
		.join(' ');

export const support: Clause = {
	id: 'support',
	form: 'support [own thumb] [at <place>] [stays] [moves along] [head resists | head pushed]',
	says: 'What holds: the other hand or one’s own thumb, where; “stays”: one hand never leaves the skin; “moves along”: the anchor goes with the stroke; or the client’s head.',
	example: 'support at temple stays',
	fields: ['support'],
	words: ['support', 'support stays', 'support own thumb', 'support head resists'],
	read: (reader) => {
		// “Head resists” is said without the word before it, too.
		const told = reader.eat('support') || (reader.next?.value.toLowerCase() === 'head' && reader.rest.length === 2);
		if (!told) return null;
		const thumb = reader.eat('own', 'thumb') ? true : reader.eat('other', 'hand') ? false : undefined;
		const place = reader.eat('at') ? readPlace(reader) : undefined;
		const stays = reader.eat('stays');
		const moves = reader.eat('moves', 'along') ? true : reader.eat('keeps', 'still') ? false : undefined;
		const head = reader.eat('head')
			? ((['resists', 'pushed'] as const).find((word) => reader.eat(word)) ?? reader.fail(['resists', 'pushed']))
			: undefined;
		const said = { place, thumb, moves, head };
		return {
			support: {
				stays,
				...(Object.fromEntries(Object.entries(said).filter(([, v]) => v !== undefined)) as Partial<Support>)
			}
		};
	},
	write: ({ step: { support: s } }) => (s ? supportWords(s) : null)
};
