import { REGIONS, type Region } from '../../atlas/regions';
import { RULE_TEXTS } from '../texts';
import { at, the, type Words } from './phrases';

const region = (id: string | number | undefined): string => `the ${REGIONS[String(id) as Region].toLowerCase()}`;

/** A file may name a rule that does not exist. */
const ruleName = (id: string): string => `“${RULE_TEXTS[id]?.title ?? id}”`;

const AFTER: Record<string, string> = {
	'every-move': 'after each move',
	'every-zone': 'after each zone',
	'every-region': 'after each region',
	end: 'at the end'
};

export const ORDER_WORDS: Words = {
	'nape-missing': {
		say: ({ params: p }) => ({
			head: `${p.number} turns to chin and jaw before the nape is freed.`,
			body: 'This school begins at the back of the neck, so that what comes forward has room.'
		})
	},
	'drain-policy': {
		say: ({ params: p }) => ({
			head: `Nothing is drained ${p.after === 'end' ? 'after the moves' : 'after'} ${p.after === 'end' ? `up to ${p.number}` : p.number}${Number(p.times) > 1 && p.after !== 'end' ? `, as in ${Number(p.times) - 1} more` : ''}.`,
			body: `This school drains ${AFTER[String(p.after)]}. Links by the school’s policy do it for you.`
		})
	},
	'outlet-closed': {
		say: ({ params: p, place }) => ({
			head: `${p.number} sends fluid on before ${the(place)} are open.`,
			body: 'Pump them a few times first, so that the outlet can take what comes.'
		}),
		fix: 'Open first'
	},
	'opening-missing': {
		say: ({ params: p }) => ({
			head: `Not all is open before ${p.number}.`,
			body: `This school opens these first: ${p.names}.`
		}),
		fix: 'Add openings'
	},
	'opening-order': {
		say: ({ params: p, place }) => ({
			head: `${p.number} opens ${the(place)} after ${the(p.after)}.`,
			body: 'This school opens from the outlet outwards, so that each group empties into one that is open.'
		}),
		fix: 'Move it up'
	},
	'receiver-closed': {
		say: ({ params: p, place }) => ({
			head: `${p.number} arrives at ${the(place)} while they are closed.`,
			body:
				Number(p.minutesAgo) < 0
					? 'They have not been pumped before this step.'
					: `They were pumped ${p.minutesAgo} min ago, and the opening has faded below half.`
		}),
		fix: 'Open before'
	},
	'neck-first': {
		say: ({ params: p }) => ({
			head: `${p.number} drains the face before the neck is cleared.`,
			body: 'The face empties through the neck: a few strokes down its side make room.'
		}),
		fix: 'Clear the neck'
	},
	'nearest-first': {
		say: ({ params: p }) => ({
			head: `${p.number} works ${region(p.region)} after ${region(p.after)}.`,
			body: 'This school takes them the other way round, so that what comes finds room.'
		}),
		fix: 'Move it up'
	},
	'layers-mixed': {
		say: ({ params: p }) => ({
			head: `${p.number} releases muscle after the drain has begun.`,
			body: 'This school keeps the two apart: deep work first, then one light pass over everything.'
		}),
		fix: 'Move it up'
	},
	'deep-then-drain': {
		say: ({ params: p, place }) => ({
			head: `${p.number} works deep, and nothing drains ${the(place)} afterwards.`,
			body: 'Deep work brings blood and fluid; a few light strokes to the nodes take it away.'
		}),
		fix: 'Drain after it'
	},
	stranded: {
		say: ({ params: p, side }) => ({
			head: `${p.number} leaves fluid behind ${side ? `on the ${side}` : 'on both sides'}: ${p.zones}.`,
			body: `It stays ${at(p.waitsAt)}: nothing later carries it to the outlet, and it seeps back from there.`
		}),
		fix: 'Add drain link'
	},
	'closing-pump': {
		say: ({ params: p }) => ({
			head: `No pump at the outlet follows ${p.number}, the last drain.`,
			body: 'What the last strokes bring arrives after them. A closing pump lets it pass.'
		}),
		fix: 'Add closing pump'
	},
	'exit-open': {
		say: ({ params: p }) => ({
			head: `The short version ends after “${p.phase}” with the outlet unpumped.`,
			body: 'Whoever stops there should have closed the work so far.'
		}),
		fix: 'Close it there'
	},
	'exit-after-neck': {
		say: ({ params: p }) => ({
			head: `The short version ends after “${p.phase}”, before the face.`,
			body: 'This school foresees none that ends after the neck.'
		}),
		fix: 'No short version there'
	},
	'school-floor': {
		say: ({ params: p }) => ({
			head: `The school wishes ${p.count === 1 ? 'a severity' : `${p.count} severities`} that no school may set.`,
			body: `Not followed for ${String(p.rules).split(' ').map(ruleName).join(', ')}: judged as gravely or lightly as the rule allows.`
		}),
		fix: 'Leave it to the rules'
	}
};
