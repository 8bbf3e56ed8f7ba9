import type { Dose } from './step.schema';

/** A new target; the range widens where the target leaves it. */
export function withTarget(dose: Dose, target: number): Dose {
	const wish = Math.max(1, dose.kind === 'seconds' ? Math.round(target * 10) / 10 : Math.round(target));
	return { ...dose, target: wish, min: Math.min(dose.min, wish), max: Math.max(dose.max, wish) } as Dose;
}

/** Seconds go by five, counts and breaths by one. */
const stepOf = (dose: Dose): number => (dose.kind === 'seconds' ? 5 : 1);

/** One step more or less of a dose; the range widens where it leaves it. */
export const stepped = (dose: Dose, by: number): Dose => withTarget(dose, dose.target + by * stepOf(dose));

/** The same work counted another way: repetitions at their pace, seconds, or breaths; never less than one. */
export function withKind(dose: Dose, kind: Dose['kind'], paceSeconds: number, breathSeconds: number): Dose {
	if (dose.kind === kind) return dose;
	const secondsOf = { reps: paceSeconds, seconds: 1, breaths: breathSeconds };
	const convert = (n: number) => Math.min(1000, Math.max(1, Math.round((n * secondsOf[dose.kind]) / secondsOf[kind])));
	return { kind, min: convert(dose.min), target: convert(dose.target), max: convert(dose.max) };
}

/** Another range; the target is kept inside it. The lower bound wins where the two cross. */
export function withRange(dose: Dose, min: number, max: number): Dose {
	const top = Math.max(min, max);
	return { ...dose, min, max: top, target: Math.min(top, Math.max(min, dose.target)) };
}
