import { DEFAULT_STEP } from '../step/defaultStep';
import { hasDoseAt, usualDoseAt } from '../step/doseAt';
import type { Dose, Step } from '../step/step.schema';
import { aimRow, type Aim, type Motion } from '../vocabulary/vocabulary';

export const defaultMotion = (aim: Aim, places: number): Motion => aimRow(aim).usual[places > 1 ? 'way' : 'spot'];

const LIMIT = { reps: 1000, breaths: 1000, seconds: 3600 } as const;

/** The range that a dose has when only its target is said: three fifths to three halves of it (working values). */
export function rangeOf(kind: Dose['kind'], target: number): Dose {
	const least = kind === 'seconds' ? Math.max(0.1, Math.round(target * 6) / 10) : Math.max(1, Math.ceil(target * 0.6));
	const most = kind === 'seconds' ? Math.round(target * 15) / 10 : Math.ceil(target * 1.5);
	const max = Math.max(target, Math.min(LIMIT[kind], most));
	return { kind, min: Math.min(target, least), target, max };
}

/** Who does it where nothing is said: a muscle that exercises is the client's. */
export const doneBy = (aim: Aim): Step['by'] => (aim === 'exercise' ? 'client' : 'practitioner');

/** What went without saying in the first version of the notation, where it was otherwise. */
const IN_VERSION_1: Partial<Record<Aim, (places: number) => Partial<Step>>> = {
	cool: (places) => (places > 1 ? { motion: 'press-hold', paceSeconds: 10 } : { paceSeconds: 10 }),
	close: (places) => (places > 1 ? {} : { motion: 'press-hold' }),
	exercise: () => ({ contact: 'pads-2', pressure: 1, by: 'practitioner' })
};

/** A count over several places was given to all of them together, a time to each: a text of the first version keeps that. */
export function asInVersion1(step: Partial<Step>, said: ReadonlyMap<keyof Step, string>): Partial<Step> {
	const { aim, motion, places, dose } = step as Step;
	if (said.has('doseAt') || !hasDoseAt({ motion, places })) return step;
	const meant = dose.kind === 'reps' ? 'over-all' : 'each-place';
	return meant === usualDoseAt({ aim, motion }) ? step : { ...step, doseAt: meant };
}

/** A step as the aim alone would have it, on these places; without an id and a side. */
export function bareStep(aim: Aim, places: Step['places'], version?: number): Omit<Step, 'id' | 'side'> {
	const { contact, pressure, dose, paceSeconds } = aimRow(aim).usual;
	return {
		...DEFAULT_STEP,
		aim,
		places,
		contact,
		motion: defaultMotion(aim, places.length),
		pressure,
		dose: rangeOf(...dose),
		paceSeconds,
		by: doneBy(aim),
		...(version === 1 ? IN_VERSION_1[aim]?.(places.length) : {})
	};
}
