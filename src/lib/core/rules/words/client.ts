import { saidDay } from '../../client/saidDay';
import type { Words } from './phrases';

/** "Filler. Opens on 19 March 2026." What the finding says why, and until when. */
const why = ({ params: p }: { params: Readonly<Record<string, string | number>> }): string =>
	`${p.reason}${p.until ? ` Until ${saidDay(String(p.until))}.` : ''}`;
const where = (p: Readonly<Record<string, string | number>>): string => String(p.where || 'her');

export const CLIENT_WORDS: Words = {
	'client-refer': {
		say: (f) => ({ head: `No massage today, refer: ${f.params.names}.`, body: why(f) })
	},
	'client-clearance': {
		say: (f) => ({ head: `Not without a doctor’s word: ${f.params.names}.`, body: why(f) })
	},
	'client-left-out': {
		say: (f) => ({
			head: `${f.params.number} touches what is left out today: ${where(f.params)} (${f.params.names}).`,
			body: why(f)
		}),
		fix: 'Leave it out there'
	},
	'client-move': {
		say: (f) => ({
			head: `${f.params.number} is not for this client: ${f.params.what} (${f.params.names}).`,
			body: why(f)
		}),
		fix: 'Do it otherwise'
	},
	'client-pressure': {
		say: (f) => ({
			head: `${f.params.number} presses at level ${f.params.given} on ${where(f.params)}; for this client ${f.params.cap} at most (${f.params.names}).`,
			body: why(f)
		}),
		fix: 'Lighten it'
	},
	'client-medium': {
		say: (f) => ({
			head: `${f.params.number === undefined ? 'The plan' : f.params.number} takes ${f.params.what}, which this client does not bear (${f.params.names}).`,
			body: why(f)
		}),
		fix: 'Take another medium'
	},
	'client-one-side': {
		say: (f) => ({
			head: `${f.params.number} works both sides at once on ${where(f.params)}; for this client one at a time (${f.params.names}).`,
			body: why(f)
		}),
		fix: 'One side, then other'
	},
	'client-posture': {
		say: (f) => ({
			head: `${f.params.number} brings this client into “${f.params.what}” (${f.params.names}).`,
			body: why(f)
		}),
		fix: 'Head neutral'
	},
	'client-upright': {
		say: (f) => ({
			head: `This client does not lie flat, and the plan is worked from behind the head (${f.params.names}).`,
			body: why(f)
		}),
		fix: 'Half sitting'
	},
	'client-minutes': {
		say: (f) => ({
			head: `It takes ${f.params.takes}; for this client ${f.params.most} minutes at most (${f.params.names}).`,
			body: why(f)
		}),
		fix: 'Shorten it'
	},
	'client-go-round': {
		say: (f) => ({
			head: `${f.params.number} goes over ${where(f.params)}; go round it (${f.params.names}).`,
			body: why(f)
		}),
		fix: 'Go round it'
	},
	'outside-licence': {
		say: (f) => ({ head: `${f.params.number} lies outside your licence: ${f.params.names}.`, body: why(f) })
	},
	'wish-pressure': {
		say: ({ params: p }) => ({
			head: `This client likes it ${p.wish} than this is planned, from ${p.number} on.`,
			body: 'A level less or more, within every cap and her own limits; openings and the close stay as they are.'
		}),
		fix: 'As she likes it'
	},
	'wish-medium': {
		say: ({ params: p }) => ({ head: `This client does not like ${p.what}.`, body: 'Another medium glides as well.' }),
		fix: 'Take another'
	},
	'wish-route': {
		say: ({ params: p }) => ({
			head: `This client likes her cheeks led ${p.wish}; the school leads them the other way.`,
			body: 'Both are real routes of the fluid.'
		}),
		fix: 'As she likes it'
	},
	'client-mind': {
		say: (f) => ({ head: `Before ${f.params.number}: ${f.params.what}`, body: why(f) }),
		fix: 'Note it there'
	}
};
