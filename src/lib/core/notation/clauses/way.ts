import type { Step } from '../../step/step.schema';
import type { Clause } from '../clause';
import { readPlace, readWay, writeWay } from '../placeWords';

export const stops: Clause = {
	id: 'stops',
	form: 'stops <place> + <place> … for <n> s | for <n> breaths',
	says: 'Stations: places of the way on which the stroke stops and presses.',
	example: 'stops chin + jawline for 2 s',
	fields: ['stations'],
	words: ['stops'],
	read: (reader, { cheekRoute }) => {
		if (!reader.eat('stops')) return null;
		const places = readWay(reader, cheekRoute);
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
export const end: Clause = {
	id: 'end',
	form: 'end wiggle | end lift | end press',
	says: 'How each repetition ends.',
	example: 'end wiggle',
	fields: ['end'],
	words: ENDS.map((kind) => `end ${kind}`),
	read: (reader) => {
		if (!reader.eat('end')) return null;
		const kind = ENDS.find((k) => reader.eat(k)) ?? reader.fail(ENDS);
		return { end: { kind } };
	},
	write: ({ step: { end: e } }) => (e.kind === 'link' || e.kind === 'none' ? null : `end ${e.kind}`)
};

export const link: Clause = {
	id: 'link',
	form: 'then <way> <count> pumps [by school]',
	says: 'Drain link: after each side on to these nodes, and so many pumps there. “by school” leaves it to the drain policy.',
	example: 'then n:tonsillar > n:deep-cervical > n:terminus 3 pumps',
	fields: ['end'],
	words: ['then'],
	read: (reader, { cheekRoute }) => {
		if (!reader.eat('then')) return null;
		const places = readWay(reader, cheekRoute);
		const pumps = reader.next?.kind === 'number' ? reader.number('how many pumps') : 3;
		if (!reader.eat('pumps')) reader.eat('pump');
		const by = reader.eat('by', 'school') ? ('policy' as const) : ('hand' as const);
		return { end: { kind: 'link', places, pumps, by } };
	},
	write: ({ step: { end: e } }) =>
		e.kind === 'link' ? `then ${writeWay(e.places)} ${e.pumps} pumps${e.by === 'policy' ? ' by school' : ''}` : null
};

export const support: Clause = {
	id: 'support',
	form: 'support [at <place>] [stays]',
	says: 'The other hand anchors the skin at a place; “stays”: one hand never leaves it.',
	example: 'support at temple stays',
	fields: ['support'],
	words: ['support', 'support stays'],
	read: (reader) => {
		if (!reader.eat('support')) return null;
		const place = reader.eat('at') ? readPlace(reader) : undefined;
		return { support: { ...(place ? { place } : {}), stays: reader.eat('stays') } };
	},
	write: ({ step: { support: s } }: { step: Step }) =>
		s ? `support${s.place ? ` at ${s.place}` : ''}${s.stays ? ' stays' : ''}` : null
};
