import type { Dose, Step } from '../sequence/sequence.schema';

/** Least, usual and most of a dose, per side: counts, seconds or breaths (working values). */
export type DoseRange = readonly [min: number, target: number, max: number];
type Row = Partial<Record<Dose['kind'], DoseRange>>;

const HOLD: Row = { breaths: [1, 2, 4], seconds: [10, 20, 40], reps: [2, 5, 10] };
const BY_MOTION: Partial<Record<Step['motion'], Row>> = {
	pump: { reps: [5, 7, 15] },
	'hand-over-hand': { reps: [10, 20, 30] },
	'pinned-circle': { reps: [6, 10, 20], seconds: [10, 20, 60] },
	vibrate: { reps: [15, 20, 25], seconds: [8, 15, 30] },
	knead: { seconds: [20, 45, 120], reps: [5, 15, 40] },
	tap: { seconds: [10, 20, 40], reps: [20, 80, 160] },
	'pinch-roll': { reps: [4, 8, 16] },
	'skin-lift': { reps: [3, 6, 12] },
	'opposed-stretch': { reps: [3, 5, 8] },
	'lift-hold': { ...HOLD, reps: [3, 6, 10] },
	wiggle: { reps: [3, 5, 10], seconds: [5, 15, 30] },
	resisted: { reps: [3, 8, 40], seconds: [5, 20, 60] }
};
const BY_AIM: Partial<Record<Step['aim'], { hand: Row; tool: Row }>> = {
	drain: { hand: { reps: [3, 7, 10] }, tool: { reps: [2, 4, 8] } },
	close: { hand: { reps: [2, 5, 12] }, tool: { reps: [2, 4, 8] } },
	lift: { hand: { reps: [5, 8, 15] }, tool: { reps: [2, 4, 8] } },
	release: { hand: { reps: [4, 8, 16], seconds: [20, 40, 120] }, tool: { reps: [2, 4, 8], seconds: [10, 30, 90] } }
};

/**
 * What is usually done of such a move, in the unit of its dose; null where nothing is usual.
 * The step itself is asked, not its technique: a file may come from another library.
 */
export function typicalDose(step: Pick<Step, 'aim' | 'motion' | 'contact' | 'dose'>): DoseRange | null {
	const byMotion = BY_MOTION[step.motion] ?? (step.motion === 'press-hold' ? HOLD : undefined);
	const settles = step.aim === 'settle' || step.aim === 'cool';
	if (settles) return step.dose.kind === 'breaths' ? [1, 3, 12] : null;
	const byAim = BY_AIM[step.aim]?.[step.contact === 'tool' ? 'tool' : 'hand'];
	return (byMotion ?? byAim)?.[step.dose.kind] ?? null;
}
