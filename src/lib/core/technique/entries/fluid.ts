import { dose, levels, ways, type Entry } from './entry';

/** Moves for fluid: open, drain, close. All values are working values. */
export const FLUID: readonly Entry[] = [
	{
		id: 'ring-finger-stroke',
		title: 'Ring finger stroke',
		aim: 'drain',
		contact: 'ring-finger',
		motion: 'stroke',
		places: ['upper-eyelid', 'lower-eyelid', 'inner-canthus', 'outer-canthus', 'nose-wing', 'upper-lip', 'lower-lip'],
		paths: ways('lower-eyelid outer-canthus temple preauricular'),
		shape: 'stroke',
		pressure: levels(0, 1, 1),
		dose: dose('reps', 3, 7, 10),
		paceSeconds: 2.4,
		sides: ['both', 'each'],
		glide: 'slide',
		why: 'The weakest finger for the thinnest skin.'
	},
	{
		id: 'globes-out',
		title: 'Cold globes, outwards',
		aim: 'drain',
		contact: 'tool',
		tool: { id: 'cold-globes' },
		motion: 'sweep',
		places: ['lower-eyelid', 'malar', 'zygoma', 'inner-canthus'],
		paths: ways('lower-eyelid zygoma preauricular'),
		shape: 'stroke',
		pressure: levels(0, 1, 1),
		dose: dose('reps', 2, 4, 6),
		paceSeconds: 3,
		sides: ['both', 'each'],
		glide: 'slide',
		why: 'Cold narrows the small vessels for a while; the globe glides without stretching the lid.'
	}
];
