import type { Dose } from './sequence.schema';

/** A new target; the range widens where the target leaves it. */
export function withTarget(dose: Dose, target: number): Dose {
	const wish = Math.max(1, dose.kind === 'seconds' ? Math.round(target * 10) / 10 : Math.round(target));
	return { ...dose, target: wish, min: Math.min(dose.min, wish), max: Math.max(dose.max, wish) } as Dose;
}
