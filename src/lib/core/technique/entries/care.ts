import { dose, levels, type Entry } from './entry';

/** What goes around the moves: settle, prepare, cool, cleanse, tape. All values are working values. */
export const CARE: readonly Entry[] = [
	{
		id: 'settle-breaths',
		title: 'Three slow breaths',
		aim: 'settle',
		contact: 'flat-hand',
		motion: 'press-hold',
		places: ['decollete', 'shoulder', 'forehead-medial'],
		shape: 'spot',
		pressure: levels(0, 0, 1),
		dose: dose('breaths', 1, 3, 5),
		paceSeconds: 10,
		sides: ['both', 'midline'],
		glide: 'none',
		breath: 'free',
		why: 'Hands rest and wait. Deep breathing empties the outlet faster, and the client arrives.'
	},
	{
		id: 'spread-oil',
		title: 'Spread the oil',
		aim: 'prepare',
		contact: 'flat-hand',
		motion: 'sweep',
		places: [],
		shape: 'none',
		pressure: levels(0, 0, 1),
		dose: dose('seconds', 10, 20, 40),
		paceSeconds: 2,
		sides: ['both'],
		glide: 'none',
		why: 'Enough slip that nothing drags, no more: about three drops for the upper face.'
	},
	{
		id: 'lay-tape',
		title: 'Lay a strip of tape',
		aim: 'fix',
		contact: 'tool',
		tool: { id: 'tape' },
		motion: 'none',
		places: ['outer-canthus', 'glabella', 'nasolabial', 'marionette', 'forehead-medial'],
		shape: 'spot',
		pressure: levels(0, 0, 1),
		dose: dose('seconds', 20, 30, 60),
		paceSeconds: 30,
		sides: ['each', 'both'],
		glide: 'dry',
		why: 'On dry, grease-free skin. The skin is stretched, the tape is laid without stretch.'
	},
	{
		id: 'globes-hold',
		title: 'Cold globes, resting',
		aim: 'cool',
		contact: 'tool',
		tool: { id: 'cold-globes' },
		motion: 'press-hold',
		places: ['lower-eyelid', 'malar', 'temple', 'forehead-medial'],
		shape: 'spot',
		pressure: levels(0, 0, 1),
		dose: dose('breaths', 1, 2, 3),
		paceSeconds: 10,
		sides: ['both'],
		glide: 'none',
		why: 'Cool weight, no pressure, and never from the freezer.'
	}
];
