import { whichWords } from '../../screening/which';
import { barred, bothAtOnce, levelAt, toGoRound, tooDeep, unsaid, wrongPosture } from '../../screening/meets';
import type { LimitOf } from '../../screening/limit.schema';
import { touchesOf } from '../../screening/touch';
import { POSTURES } from '../../vocabulary/vocabulary';
import { clientRule } from './clientRule';

/** A kind of move that she may not have. */
export const clientMove = clientRule({
	id: 'client-move',
	severity: 'stop',
	meets: barred,
	by: ['move'],
	params: (_, { limits }) => {
		const words = (limits as readonly LimitOf<'leave-out'>[]).map((l) => whichWords(l.which));
		return { what: [...new Set(words)].join('; ') };
	}
});

/** Deeper than she may have it: the strictest of her limits at each place counts. */
export const clientPressure = clientRule({
	id: 'client-pressure',
	severity: 'caution',
	meets: tooDeep,
	by: ['level'],
	params: (step, { limits, places }) => ({
		cap: Math.min(...places.map((place) => levelAt(limits, place)!)),
		given: Math.max(...touchesOf(step).flatMap((t) => (places.includes(t.place) ? [t.level] : [])))
	})
});

/** Both sides at once, where one at a time is wanted. */
export const clientOneSide = clientRule({
	id: 'client-one-side',
	severity: 'caution',
	meets: bothAtOnce,
	by: ['one-side']
});

/** A posture of the head that she should not be brought into. */
export const clientPosture = clientRule({
	id: 'client-posture',
	severity: 'caution',
	meets: wrongPosture,
	by: ['posture'],
	params: (step) => ({ what: POSTURES[step.posture].toLowerCase() })
});

/** A spot that strokes go round, and places that a move over the whole face goes round. */
export const clientGoRound = clientRule({
	id: 'client-go-round',
	severity: 'caution',
	meets: toGoRound,
	by: ['around']
});

/** What is said before a step, and is not noted there yet. */
export const clientMind = clientRule({
	id: 'client-mind',
	severity: 'advice',
	meets: unsaid,
	by: ['note'],
	params: (_, { limits }) => ({
		what: [...new Set((limits as readonly LimitOf<'mind'>[]).map((l) => l.say))].join(' ')
	})
});
