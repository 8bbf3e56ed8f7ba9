import { dose, levels, ways, type Entry } from './entry';
import { BRUISE_NOTE, JAW_NOTE, KNEAD, PINCH, release } from './releaseFamily';

/** Moves that loosen chewing muscle, mouth and cheek. All values are working values. */
export const RELEASES_FACE: readonly Entry[] = [
	release(
		'masseter-circles',
		'Chewing muscle, small circles',
		'pads-3',
		ways('masseter'),
		'Teeth apart, the skin moves with the fingers: ten one way, ten back.',
		{ reverse: true, mouth: 'parted', pressure: levels(1, 2, 3), contra: JAW_NOTE }
	),
	release(
		'masseter-melt',
		'Chewing muscle, wait till it gives',
		'knuckles',
		ways('masseter'),
		'Sinks in on the out-breath and waits until the muscle softens.',
		{
			motion: 'press-hold',
			dose: dose('seconds', 20, 30, 40),
			paceSeconds: 10,
			mouth: 'parted',
			breath: 'out-while-pressing',
			pressure: levels(2, 3, 4),
			until: { sign: 'softer', capSeconds: 120 },
			sides: ['each', 'both'],
			contra: JAW_NOTE
		}
	),
	release(
		'masseter-resist',
		'Chewing muscle against resistance',
		'heel',
		ways('masseter'),
		'The client opens slowly against the hand, then lets go.',
		{
			motion: 'resisted',
			dose: dose('reps', 3, 5, 10),
			paceSeconds: 5,
			mouth: 'parted',
			sides: ['both', 'each'],
			contra: JAW_NOTE
		}
	),
	release(
		'jaw-pinch-roll',
		'Roll the skin of the jaw',
		'pinch',
		ways('jawline'),
		'A fold between thumb and finger, rolled from the chin to the ear.',
		{ ...PINCH, contra: BRUISE_NOTE }
	),
	release(
		'chin-knead',
		'Knead the chin',
		'thumbs',
		ways('chin'),
		'Thumbs in turn over the pad of the chin, which is always at work.',
		{ ...KNEAD, dose: dose('seconds', 20, 30, 60), sides: ['midline', 'both'] }
	),
	release(
		'lip-circles',
		'Circles round the mouth',
		'pads-2',
		ways('lower-lip', 'upper-lip'),
		'Small and slow in the ring muscle of the mouth, lips over the teeth.',
		{ mouth: 'lips-over-teeth', pressure: levels(1, 2, 2) }
	),
	release(
		'smile-fold-zigzag',
		'Smile fold, zigzag',
		'pads-2',
		ways('nasolabial malar'),
		'Across the fibres, to and fro, with a little oil.',
		{
			motion: 'zigzag',
			shape: 'stroke',
			dose: dose('reps', 4, 8, 12),
			paceSeconds: 1.2,
			glide: 'slide',
			pressure: levels(1, 2, 2)
		}
	),
	release(
		'cheekbone-press',
		'Under the cheekbone, press',
		'thumbs',
		ways('zygoma', 'malar'),
		'Upwards against the bone, place after place, three seconds each.',
		{ motion: 'press-hold', dose: dose('reps', 3, 5, 8), paceSeconds: 3 }
	),
	release(
		'cheek-vibrate',
		'Cheek, vibrate',
		'flat-3',
		ways('buccal'),
		'A fine trembling from the forearm loosens what a stroke only drags.',
		{ motion: 'vibrate', dose: dose('reps', 15, 20, 25), paceSeconds: 0.5, pressure: levels(1, 1, 2) }
	)
];
