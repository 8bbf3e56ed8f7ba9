import type { Params } from '../rule';
import { clock } from '../../step/describe';
import { limitWords } from '../../sequence/cost';
import type { CostKind } from '../../step/stepCost';
import { MOTIONS, type Motion } from '../../vocabulary/vocabulary';
import { on, the, type Words } from './phrases';

const UNITS: Record<string, string> = { reps: 'times', seconds: 's', breaths: 'breaths' };
const APART: Record<string, string> = {
	lanes: 'has lanes side by side, though it stays where it is',
	stations: 'stops at stations, though it does not travel',
	'way-back': 'has a way back, though it does not travel',
	tilt: 'names a tilt, which only the stone plate has'
};

/** By how much, or that it is the pressure that differs. */
function unevenWords({ leftSeconds, rightSeconds, leftReps, rightReps }: Params): string {
	if (leftReps !== undefined) return `It is opened ${leftReps} times on the left and ${rightReps} on the right.`;
	if (leftSeconds === rightSeconds) return `It gets ${leftSeconds} s on each side, but not the same pressure.`;
	return `It gets ${leftSeconds} s on the left and ${rightSeconds} s on the right.`;
}

const RESTS: Record<string, string> = {
	deep: 'Deep work on one area leaves at least two days between.',
	inside: 'Inside the cheek three times a week are the most.',
	tape: 'Skin that wears tape has days to itself.'
};

export const DOSE_WORDS: Words = {
	'course-rest': {
		say: ({ params: p }) => ({
			head: `${p.number} comes up to ${p.often} times a week by the course.`,
			body: RESTS[String(p.rest)]!
		}),
		fix: 'Leave rest days'
	},
	'middle-twice': {
		say: ({ params: p, place }) => ({
			head: `${p.number} works ${the(place)} twice, once with each side.`,
			body: 'It lies in the middle. Done over the middle, it is worked once, in the first pass.'
		}),
		fix: 'Once, over the middle'
	},
	'uneven-sides': {
		say: ({ params: p, place }) => ({
			head: `${p.number} is uneven ${on(place)}.`,
			body: `${unevenWords(p)} Even it, or give the reason.`
		}),
		fix: 'Even sides'
	},
	'deep-too-long': {
		say: ({ params: p, place }) => ({
			head: `${p.number} stays deep ${on(place)} for ${p.seconds} s a side.`,
			body: `${p.cap} s are enough there: more bruises, and the muscle guards itself.`
		}),
		fix: 'Shorten it'
	},
	'skin-rubbed': {
		say: ({ params: p, place }) => ({
			head: `The skin ${on(place)} is stroked ${p.times} times.`,
			body: `From ${p.most} on, it reddens. Begin to save at ${p.number}.`
		}),
		fix: 'Stroke less'
	},
	'rushed-drain': {
		say: ({ params: p }) => ({
			head: `${p.number} drains at ${p.pace} s a stroke.`,
			body: `Vessels fill slowly. ${p.slow} s a stroke let them follow.`
		}),
		fix: 'Slow it down'
	},
	'dose-range': {
		say: ({ params: p }) => ({
			head: `${p.number} is done ${p.given} ${UNITS[String(p.unit)]}.`,
			body: `Usual for such a move: ${p.from} to ${p.to} ${UNITS[String(p.unit)]} a side.`
		}),
		fix: 'Bring into range'
	},
	'cold-too-long': {
		say: ({ params: p }) => ({
			head: `${p.number} rests the cold for ${p.seconds} s on one place.`,
			body: `Longer than ${p.limit} s may numb the skin, and numb skin warns no more.`
		}),
		fix: 'Shorten it'
	},
	contradiction: {
		say: ({ params: p }) => ({
			head: `${p.number} ${APART[String(p.part)]}.`,
			body: `“${MOTIONS[String(p.motion) as Motion]}” and that do not go together: take it out, or choose another motion.`
		}),
		fix: 'Take it out'
	},
	'too-much-work': {
		say: ({ params: p, stepIds }) => ({
			head: stepIds.length
				? `${p.number} asks for more than can be computed.`
				: 'The sequence asks for more than can be computed.',
			body: `Of it, ${limitWords({ stepId: stepIds[0] ?? null, kind: p.kind as CostKind, asked: Number(p.asked), limit: Number(p.limit) })}. It is counted as one repetition, and nothing else is judged until this asks for less.`
		}),
		fix: 'Lower it'
	},
	'over-budget': {
		say: ({ params: p }) => ({
			head: `The sequence is ${clock(Number(p.overSeconds))} over its time.`,
			body: `It takes ${clock(Number(p.expectedSeconds))} of ${clock(Number(p.budgetSeconds))}. The closing drain is what gets lost.`
		}),
		fix: 'Fit to the time'
	}
};

export const GLIDE_WORDS: Words = {
	'no-glide': {
		say: ({ params: p, place }) => ({
			head: `${p.number} slides ${on(place)} without a medium.`,
			body: `The skin would be dragged. Enough here: ${p.amount}.`
		}),
		fix: 'Take some first'
	},
	'film-spent': {
		say: ({ params: p, place }) => ({
			head: `${p.number} runs dry ${on(place)}.`,
			body: `The oil is used up by ${clock(Number(p.seconds))}, while the hands still slide. Take ${p.amount} more.`
		}),
		fix: 'Take more'
	},
	'tape-on-oil': {
		say: ({ params: p, place }) => ({
			head: `${p.number} lays tape on oil ${on(place)}.`,
			body: 'Tape holds on clean, dry skin only. Take the oil off first.'
		}),
		fix: 'Take off the oil'
	},
	'dry-after-oil': {
		say: ({ params: p, place }) => ({
			head: `${p.number} wants dry skin, and ${the(place)} is oiled.`,
			body: 'The fingers slip off what they should hold. Do it earlier, or wipe first.'
		}),
		fix: 'Wipe first'
	},
	'scent-near-eye': {
		say: ({ params: p }) => ({
			head: `${p.number} works at the eye with a scented medium in use.`,
			body: 'Essential oils creep and burn. Take an unscented oil for this client.'
		}),
		fix: 'Unscented oil'
	},
	'unknown-medium': {
		say: ({ params: p }) => ({
			head: `${Number(p.number) ? `${p.number} uses` : 'The sequence uses'} “${p.medium}”, which is not known.`,
			body: 'How fast it is absorbed is taken from a light oil, and what is in it nobody knows. Add it to your media, or take one that is known.'
		}),
		fix: 'Take a light oil'
	}
};
