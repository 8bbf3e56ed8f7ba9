import { dose, family, levels, ways, type Entry } from './entry';

const tap = family({
	aim: 'stimulate',
	motion: 'tap',
	shape: 'spot',
	pressure: levels(0, 1, 1),
	dose: dose('seconds', 10, 20, 40),
	paceSeconds: 0.25,
	sides: ['both', 'each'],
	glide: 'none'
});
const exercise = family({
	aim: 'exercise',
	motion: 'resisted',
	shape: 'spot',
	pressure: levels(0, 0, 0),
	dose: dose('reps', 3, 8, 15),
	paceSeconds: 4,
	sides: ['midline', 'both'],
	glide: 'none',
	by: 'client'
});

/** Taps and pinches that wake the skin, and what the client does herself. All values are working values. */
export const LIVEN: readonly Entry[] = [
	tap(
		'tap-eyes',
		'Tap round the eyes',
		'ring-finger',
		ways('lower-eyelid', 'upper-eyelid', 'outer-canthus'),
		'Like rain, with the ring finger, eyes closed.'
	),
	tap(
		'tap-jaw',
		'Patter under the jaw',
		'back-of-fingers',
		ways('submental', 'under-jaw', 'jawline'),
		'Backs of the fingers from below, one hand after the other.',
		{ sides: ['alternate', 'both'] }
	),
	tap(
		'tap-forehead',
		'Tap the forehead',
		'pads-4',
		ways('forehead-medial', 'forehead-lateral'),
		'From the brows to the hair and out.'
	),
	tap(
		'pinch-glow',
		'Little pinches',
		'pinch',
		ways('malar', 'buccal', 'jawline'),
		'Quick and shallow, until the cheek is pink.',
		{ until: { sign: 'pink', capSeconds: 40 }, contra: ['Not with rosacea or broken vessels.'] }
	),
	exercise(
		'cheek-puff',
		'Puff the cheeks',
		'none',
		ways('buccal'),
		'The client moves the air from side to side; the hollow of the cheek works.',
		{ mouth: 'puffed', paceSeconds: 3 }
	),
	exercise(
		'o-smile',
		'O, then a smile',
		'none',
		ways('nasolabial'),
		'Lips round, then wide, slowly: the ring muscle and those that pull against it.',
		{ mouth: 'o', paceSeconds: 3 }
	),
	exercise(
		'eye-press',
		'Close the eyes against the finger',
		'ring-finger',
		ways('outer-canthus'),
		'The finger holds the outer corner; the lids close gently against it.',
		{ paceSeconds: 3 }
	),
	exercise(
		'jaw-forward',
		'Jaw forward',
		'none',
		ways('under-jaw'),
		'The lower jaw slides forward and back; the throat lengthens.',
		{ mouth: 'jaw-forward', posture: 'chin-up' }
	),
	exercise(
		'chin-tuck',
		'Long neck, chin in',
		'none',
		ways('nape'),
		'The head slides back as on a shelf; undoes the hours before a screen.',
		{ paceSeconds: 5 }
	),
	exercise(
		'brow-resist',
		'Raise the brows against the hand',
		'flat-hand',
		ways('forehead-medial'),
		'The hand holds the forehead still while the brows try to rise, then let go.',
		{ paceSeconds: 5 }
	)
];
