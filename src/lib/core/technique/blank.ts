import { DEFAULT_TECHNIQUE } from './defaultTechnique';
import type { Technique } from './technique.schema';

/** A move of one's own from nothing: a light stroke of three pads whose places are the user's choice. @param id a new one */
export const blankTechnique = (id: string): Technique => ({
	...DEFAULT_TECHNIQUE,
	id,
	title: 'New move',
	aim: 'drain',
	contact: 'pads-3',
	motion: 'stroke',
	places: [],
	shape: 'stroke',
	pressure: { min: 0, default: 1, max: 1 },
	dose: { kind: 'reps', min: 5, target: 7, max: 10 },
	paceSeconds: 2.5,
	sides: ['both', 'each'],
	glide: 'slide',
	why: ''
});
