import { dose, family, levels, type Entry } from './entry';

/** What releases share: pinned, without a slide. */
export const release = family({
	aim: 'release',
	motion: 'pinned-circle',
	shape: 'spot',
	pressure: levels(1, 2, 3),
	dose: dose('reps', 6, 10, 16),
	paceSeconds: 0.7,
	sides: ['both', 'each'],
	glide: 'none'
});
export const KNEAD = { motion: 'knead', dose: dose('seconds', 30, 40, 90), paceSeconds: 2 } satisfies Partial<Entry>;
export const PINCH = {
	motion: 'pinch-roll',
	pressure: levels(1, 2, 2),
	dose: dose('reps', 4, 8, 12),
	paceSeconds: 1
} satisfies Partial<Entry>;
export const JAW_NOTE = ['Not with a locked or injured jaw: see a dentist.'];
export const BRUISE_NOTE = ['Not with blood thinners or skin that bruises.'];
