import type { Dose } from '../../step/step.schema';

/** A dose cut to a share of its target, 0..1, never below one repetition, breath or second; its range follows. */
export function cutDose(dose: Dose, share: number): Dose {
	const cut = (n: number) => Math.max(1, dose.kind === 'seconds' ? Math.floor(n * 10) / 10 : Math.floor(n));
	const target = cut(dose.target * share);
	return {
		...dose,
		min: Math.min(dose.min, target),
		target,
		max: Math.min(dose.max, Math.max(target, dose.min))
	} as Dose;
}
