import { dose, family, levels, ways, type Entry } from './entry';

const tape = family({
	aim: 'fix',
	tool: { id: 'tape' },
	motion: 'none',
	shape: 'spot',
	pressure: levels(0, 0, 1),
	dose: dose('seconds', 20, 30, 60),
	paceSeconds: 30,
	sides: ['each', 'both'],
	glide: 'dry',
	contra: [
		'Ask about adhesives and latex; try a small piece first, three hours at most.',
		'Off with oil, at a low angle, never dry.'
	]
});

/** Elastic tape on worked, grease-free skin. All values are working values. */
export const TAPES: readonly Entry[] = [
	{
		id: 'lay-tape',
		title: 'Lay a strip of tape',
		aim: 'fix',
		contact: 'tool',
		tool: { id: 'tape' },
		motion: 'none',
		places: ['outer-canthus', 'glabella', 'nasolabial', 'marionette', 'forehead-medial'],
		paths: ways('outer-canthus'),
		shape: 'spot',
		pressure: levels(0, 0, 1),
		dose: dose('seconds', 20, 30, 60),
		paceSeconds: 30,
		sides: ['each', 'both'],
		glide: 'dry',
		why: 'On dry, grease-free skin. The skin is stretched, the tape is laid without stretch.'
	},

	tape(
		'tape-eye-strip',
		'Thin strip beside the eye',
		'tool',
		ways('outer-canthus'),
		'About thirty by eight millimetres, elastic along its length; two hours at most.'
	),
	tape(
		'tape-frown',
		'Strip from the frown outwards',
		'tool',
		ways('glabella'),
		'Anchor between the brows, laid outwards over the stretched skin.',
		{ sides: ['both', 'each'] }
	),
	tape(
		'tape-forehead',
		'Strip across the forehead',
		'tool',
		ways('forehead-medial'),
		'From the middle up, so that the brow is reminded not to rise.',
		{ sides: ['both', 'each'] }
	),
	tape(
		'tape-mouth-corner',
		'Small square at the mouth corner',
		'tool',
		ways('marionette'),
		'Holds the fold flat for some hours; not together with one on the cheek.'
	),
	tape(
		'tape-fan-jaw',
		'Fan towards the jaw nodes',
		'tool',
		ways('submental', 'jawline'),
		'Cut into a fan, its foot at the nodes: lifts the skin a little over the way out.'
	)
];
