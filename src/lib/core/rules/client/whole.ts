import { mediumFor } from '../../screening/adapt/step';
import type { Limit } from '../../screening/limit.schema';
import { limitsThat } from '../../screening/limit';
import { wrongMedium } from '../../screening/meets';
import { mediumById } from '../../medium/media';
import { clock } from '../../step/describe';
import { fitTo } from '../../fit/fit';
import { setHead } from '../../sequence/edits';
import { replaceMedia } from '../../sequence/replaceMedia';
import type { JudgeContext, RawFinding, Rule } from '../rule';
import { foundOf, limitsOf } from './clientRule';

const RANGE = { kind: 'client', floor: 'advice', ceiling: 'stop' } as const;
const whole = (limits: readonly Limit[], params = {}): RawFinding[] =>
	limits.length ? [foundOf([], { limits, places: [] }, params)] : [];

/** What ends the day: no massage, and to a doctor. */
export const clientRefer: Rule = {
	...RANGE,
	id: 'client-refer',
	severity: 'stop',
	check: (context) => whole(limitsThat(limitsOf(context), 'refer'))
};

/** Not without a doctor’s word. */
export const clientClearance: Rule = {
	...RANGE,
	id: 'client-clearance',
	severity: 'stop',
	check: (context) => whole(limitsThat(limitsOf(context), 'clearance'))
};

/** Half sitting instead of lying flat: a plan that is worked from behind the head has her lying. */
export const clientUpright: Rule = {
	...RANGE,
	id: 'client-upright',
	severity: 'caution',
	check: (context) =>
		context.sequence.orientation === 'head-end' && context.sequence.performer === 'client'
			? whole(limitsThat(limitsOf(context), 'upright'))
			: [],
	fix: ({ sequence }) => setHead(sequence, { orientation: 'facing' }, 'Work her half sitting, facing her')
};

/** The session is no longer than she may have it. */
const mostSeconds = (context: JudgeContext): number =>
	60 * Math.min(...limitsThat(limitsOf(context), 'minutes').map((l) => l.minutes));
export const clientMinutes: Rule = {
	...RANGE,
	id: 'client-minutes',
	severity: 'caution',
	check(context) {
		const { expectedSeconds } = context.timing;
		const limits = limitsThat(limitsOf(context), 'minutes').filter((l) => l.minutes * 60 < expectedSeconds);
		return whole(limits, { takes: clock(expectedSeconds), most: mostSeconds(context) / 60 });
	},
	fix: (context) => fitTo(context.sequence, mostSeconds(context), context).edit
};

/** A medium that holds what she does not bear. */
export const clientMedium: Rule = {
	...RANGE,
	id: 'client-medium',
	severity: 'stop',
	check(context) {
		const limits = limitsOf(context);
		const { media, medium } = context.sequence;
		if (!limitsThat(limits, 'media').length) return [];
		const named = (id: string) => ({ what: mediumById(id, media).title.toLowerCase() });
		const ofAll = wrongMedium(medium?.id, media, limits);
		return [
			...(ofAll.limits.length ? [foundOf([], ofAll, named(medium!.id))] : []),
			...context.steps.flatMap(({ step, number }): RawFinding[] => {
				const met = wrongMedium(step.medium?.id, media, limits);
				return met.limits.length ? [foundOf([step.id], met, { number, ...named(step.medium!.id) })] : [];
			})
		];
	},
	fix(context) {
		const adapting = { limits: limitsOf(context), media: context.sequence.media };
		return replaceMedia(context.sequence, 'Take a medium that suits this client', (id) => mediumFor(id, adapting));
	}
};
