import type { Aim, Motion } from '../vocabulary/vocabulary';

/** Least, usual and most of a dose, per side: counts, seconds or breaths. */
export type DoseRange = readonly [min: number, target: number, max: number];
export type DoseKind = 'reps' | 'breaths' | 'seconds';
export type DoseRow = Partial<Record<DoseKind, DoseRange>>;

/** Anew for each: what is set for one motion is not set for another. */
const hold = (): DoseRow => ({ breaths: [1, 2, 4], seconds: [10, 20, 40], reps: [2, 5, 10] });

/** By motion, whatever it is for. Source: practice, typical doses. */
export const BY_MOTION: Partial<Record<Motion, DoseRow>> = {
	'press-hold': hold(),
	pump: { reps: [5, 7, 15] },
	'hand-over-hand': { reps: [10, 20, 30] },
	'pinned-circle': { reps: [6, 10, 20], seconds: [10, 20, 60] },
	vibrate: { reps: [15, 20, 25], seconds: [8, 15, 30] },
	knead: { seconds: [20, 45, 120], reps: [5, 15, 40] },
	tap: { seconds: [10, 20, 40], reps: [20, 80, 160] },
	'pinch-roll': { reps: [4, 8, 16] },
	'skin-lift': { reps: [3, 6, 12] },
	'opposed-stretch': { reps: [3, 5, 8] },
	'lift-hold': { ...hold(), reps: [3, 6, 10] },
	wiggle: { reps: [3, 5, 10], seconds: [5, 15, 30] },
	resisted: { reps: [3, 8, 40], seconds: [5, 20, 60] }
};
/** By aim, where the motion says nothing: by hand and with a tool. */
export const BY_AIM: Partial<Record<Aim, { readonly hand: DoseRow; readonly tool: DoseRow }>> = {
	drain: { hand: { reps: [3, 7, 10] }, tool: { reps: [2, 4, 8] } },
	close: { hand: { reps: [2, 5, 12] }, tool: { reps: [2, 4, 8] } },
	lift: { hand: { reps: [5, 8, 15] }, tool: { reps: [2, 4, 8] } },
	release: { hand: { reps: [4, 8, 16], seconds: [20, 40, 120] }, tool: { reps: [2, 4, 8], seconds: [10, 30, 90] } }
};
export const BREATHING: DoseRow = { breaths: [1, 3, 12] };

/** As it ships: by motion, else by aim with hand or tool; and of what is counted in breaths. */
export const TYPICAL_DOSES: Readonly<Record<string, DoseRow | undefined>> = {
	...BY_MOTION,
	...Object.fromEntries(
		Object.entries(BY_AIM).flatMap(([aim, { hand, tool }]) => [
			[`${aim}-hand`, hand] as const,
			[`${aim}-tool`, tool] as const
		])
	),
	breathing: BREATHING
};
