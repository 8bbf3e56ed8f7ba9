import { labelOf, placeOf, type PlaceRef } from '../atlas/places';
import { LEVEL_NAMES, type Level } from '../pressure/levels';
import { clock } from '../sequence/describe';
import type { Finding } from './rule';

export interface Sentence {
	/** What is so, naming the step; set in bold. */
	readonly head: string;
	/** Why it matters, or what would help. */
	readonly body: string;
}

const label = (place: PlaceRef | string | number | undefined): string =>
	labelOf(placeOf(String(place ?? '') as PlaceRef));
/** Names such as "Under the jaw" say where they are themselves; the others take "the". */
const SAYS_WHERE = /^(Under|Between|Below|Behind|Above) /;
const the = (place: PlaceRef | string | number | undefined): string => {
	const name = label(place);
	return SAYS_WHERE.test(name) ? name.toLowerCase() : `the ${name.toLowerCase()}`;
};
const at = (place: PlaceRef | string | number | undefined): string => {
	const words = the(place);
	return words.startsWith('the ') ? `at ${words}` : words;
};
const on = (place: PlaceRef | string | number | undefined): string => at(place).replace(/^at /, 'on ');
const level = (n: string | number | undefined): string => `${LEVEL_NAMES[Number(n) as Level]} (${n})`;

const CAP_REASON: Record<string, string> = {
	eye: 'Eyelids and the skin under the eye bear no more; the ring finger is best.',
	throat: 'The throat bears no more: the carotid sinus and the windpipe lie close.',
	node: 'A move that stays on nodes is light, or it presses shut what it should open.',
	fluid: 'Vessels lie just under the skin; this school moves fluid no deeper than that.',
	muscle: 'This school works muscle no deeper.',
	edge: 'A stone’s edge presses deeper than a hand: one level less.'
};

const DIRECTION: Record<string, string> = {
	against: 'runs against the drainage',
	watershed: 'runs across a watershed',
	valve: 'runs backwards out of nodes, against their valves',
	gap: 'jumps between places that do not touch'
};

/** One sentence pair a rule: the same words on the screen, on the sheet and in the server's answer. */
const SENTENCES: Record<string, (finding: Finding) => Sentence> = {
	'neck-both-sides': ({ params: p }) => ({
		head: `${p.number} presses both sides of the neck at once.`,
		body: 'Firm on both carotid sinuses can make a person faint. Work one side at a time, or lightly.'
	}),
	'pressure-cap': ({ params: p, place }) => ({
		head: `${p.number} is ${level(p.given)} ${on(place)}, ${level(p.cap)} at most.`,
		body: CAP_REASON[String(p.reason)] ?? ''
	}),
	'outlet-closed': ({ params: p, place }) => ({
		head: `${p.number} sends fluid on before ${the(place)} are open.`,
		body: 'Pump them a few times first, so that the outlet can take what comes.'
	}),
	'receiver-closed': ({ params: p, place }) => ({
		head: `${p.number} arrives at ${the(place)} while they are closed.`,
		body:
			Number(p.minutesAgo) < 0
				? 'They have not been pumped before this step.'
				: `They were pumped ${p.minutesAgo} min ago, and the opening has faded below half.`
	}),
	stranded: ({ params: p, place, side }) => ({
		head: `${label(place)}, ${side}: fluid stays ${at(p.waitsAt)} after ${p.number}.`,
		body: 'Nothing later carries it to the outlet; it seeps back from there.'
	}),
	'closing-pump': ({ params: p }) => ({
		head: `No pump at the outlet follows ${p.number}, the last drain.`,
		body: 'What the last strokes bring arrives after them. A closing pump lets it pass.'
	}),
	'against-drainage': ({ params: p }) => ({
		head: `${p.number} ${DIRECTION[String(p.kind)]}, from ${the(p.from)} to ${the(p.to)}.`,
		body: 'A drain stroke moves most along the way the fluid takes by itself.'
	}),
	'throat-straight-down': ({ params: p }) => ({
		head: `${p.number} strokes straight down the throat.`,
		body: 'Its vessels run sideways to the neck nodes; lead the stroke there and then down.'
	}),
	'no-glide': ({ params: p, place }) => ({
		head: `${p.number} slides ${on(place)} without a medium.`,
		body: `The skin would be dragged. ${p.amount} are enough here.`
	}),
	'film-spent': ({ params: p, place }) => ({
		head: `${p.number} runs dry ${on(place)}.`,
		body: `The film is spent by ${clock(Number(p.seconds))}, while the hands still slide. Take ${p.amount} more.`
	}),
	'uneven-sides': ({ params: p, place }) => ({
		head: `${p.number} is uneven ${on(place)}.`,
		body: `It gets ${p.leftSeconds} s on the left and ${p.rightSeconds} s on the right. Even it, or give the reason.`
	}),
	'over-budget': ({ params: p }) => ({
		head: `The sequence is ${clock(Number(p.overSeconds))} over its time.`,
		body: `It takes ${clock(Number(p.expectedSeconds))} of ${clock(Number(p.budgetSeconds))}. The closing drain is what gets lost.`
	})
};

/** The sentence of a finding. */
export function sentenceOf(finding: Finding): Sentence {
	return SENTENCES[finding.ruleId]?.(finding) ?? { head: finding.ruleId, body: '' };
}

/** What the fix of each rule is called on its button. */
export const FIX_LABELS: Record<string, string> = {
	'neck-both-sides': 'One side at a time',
	'pressure-cap': 'Lower it',
	'outlet-closed': 'Open first',
	'receiver-closed': 'Open before',
	stranded: 'Add drain link',
	'closing-pump': 'Add closing pump',
	'against-drainage': 'Turn it',
	'throat-straight-down': 'Lead outwards',
	'no-glide': 'Take some first',
	'film-spent': 'Take more',
	'uneven-sides': 'Even sides',
	'over-budget': 'Fit to the time'
};
