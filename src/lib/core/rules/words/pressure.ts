import { level, on, the, type RuleWords, type Words } from './phrases';

const cap = (body: string): RuleWords => ({
	say: ({ params: p, place }) => ({
		head: `${p.number} is ${level(p.given)} ${on(place)}, ${level(p.cap)} at most.`,
		body
	}),
	fix: 'Lower it'
});

export const PRESSURE_WORDS: Words = {
	'neck-both-sides': {
		say: ({ params: p }) => ({
			head: `${p.number} presses both sides of the neck at once.`,
			body: 'Firm on both carotid sinuses can make a person faint. Work one side at a time, or lightly.'
		}),
		fix: 'One side at a time'
	},
	'eye-cap': cap('Eyelids, the corners of the eye and the skin under it bear no more; the ring finger is best.'),
	'throat-cap': cap('The throat bears no more: the carotid sinus and the windpipe lie close.'),
	'neck-cap': cap('The side of the neck bears no more: the carotid sinus lies there.'),
	'collarbone-cap': cap(
		'Above the collarbone large vessels lie under thin skin. Two flat fingers may press at level 2.'
	),
	'node-cap': cap('A move that stays on nodes is light, or it presses shut what it should open.'),
	'fluid-cap': cap('Vessels lie just under the skin; this school moves fluid no deeper than that.'),
	'muscle-cap': cap('This school works muscle no deeper.'),
	'edge-cap': cap('A stone’s edge presses deeper than a hand: one level less.'),
	'steep-tilt': {
		say: ({ params: p }) => ({
			head: `${p.number} holds the stone at ${p.tilt}°, ${p.limit}° at most here.`,
			body: 'A steep edge scrapes; nearly flat, it glides and spreads the pressure.'
		}),
		fix: 'Lay it flatter'
	},
	'lid-contact': {
		say: ({ params: p, place }) => ({
			head: `${p.number} touches ${the(place)} with a strong finger.`,
			body: 'The ring finger is the weakest: it cannot press too hard there.'
		}),
		fix: 'Take ring finger'
	}
};
