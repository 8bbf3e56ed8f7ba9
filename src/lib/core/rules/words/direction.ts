import { the, type Words } from './phrases';

const AGAINST: Record<string, string> = {
	against: 'runs against the drainage',
	watershed: 'runs across a watershed',
	valve: 'runs backwards out of nodes, against their valves',
	gap: 'jumps between places that do not touch'
};

export const DIRECTION_WORDS: Words = {
	'against-drainage': {
		say: ({ params: p }) => ({
			head: `${p.number} ${AGAINST[String(p.kind)]}, from ${the(p.from)} to ${the(p.to)}.`,
			body: 'A drain stroke moves most along the way the fluid takes by itself.'
		}),
		fix: 'Turn it'
	},
	'throat-straight-down': {
		say: ({ params: p }) => ({
			head: `${p.number} strokes straight down the throat.`,
			body: 'Its vessels run sideways to the neck nodes; lead the stroke there and then down.'
		}),
		fix: 'Lead outwards'
	},
	'jaw-short': {
		say: ({ params: p, place }) => ({
			head: `${p.number} along the jaw stops at ${the(place)}.`,
			body: 'Led on to the nodes under the jaw, or to the ear, it takes along what it has gathered.'
		}),
		fix: 'Lead it on'
	},
	'lift-down': {
		say: ({ params: p }) => ({
			head: `${p.number} lifts downwards.`,
			body: 'A lift ends no lower than it began; otherwise it pulls the skin the way it sags.'
		}),
		fix: 'Turn it'
	},
	'mouth-ends-down': {
		say: ({ params: p }) => ({
			head: `${p.number} finishes downwards at the mouth.`,
			body: 'This school ends every move at the mouth with a small lift.'
		}),
		fix: 'End with a lift'
	},
	'neck-direction': {
		say: ({ params: p }) => ({
			head: `${p.number} strokes up the neck.`,
			body: 'This school leads everything on the neck down, the way its vessels run. Others lift it.'
		})
	}
};
