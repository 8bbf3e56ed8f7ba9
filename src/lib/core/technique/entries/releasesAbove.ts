import { dose, levels, ways, type Entry } from './entry';
import { BRUISE_NOTE, KNEAD, PINCH, release } from './releaseFamily';

/** Moves that loosen brow, forehead, scalp, neck and shoulder. All values are working values. */
export const RELEASES_ABOVE: readonly Entry[] = [
	release(
		'temple-circles',
		'Temple, small circles',
		'pads-3',
		ways('temple'),
		'Half of the chewing muscles is up here; bite once to find it.',
		{ reverse: true, mouth: 'parted' }
	),
	release(
		'temple-ten',
		'Temple, ten there and ten back',
		'pads-2',
		ways('temple'),
		'Circles on the out-breath only, hands resting while the breath comes in.',
		{ reverse: true, breath: 'out-while-pressing', dose: dose('reps', 8, 10, 12), pressure: levels(1, 1, 2) }
	),
	release(
		'brow-pinch',
		'Pinch along the brow',
		'pinch',
		ways('brow'),
		'Lifts the brow off the bone bit by bit, from the nose outwards.',
		{ ...PINCH, dose: dose('reps', 4, 6, 10), paceSeconds: 2, contra: BRUISE_NOTE }
	),
	release(
		'frown-stretch',
		'Stretch the frown',
		'pads-2',
		ways('glabella'),
		'Two fingers part the frown slowly and hold it open.',
		{
			motion: 'opposed-stretch',
			dose: dose('reps', 3, 5, 8),
			paceSeconds: 4,
			pressure: levels(1, 2, 2),
			sides: ['midline']
		}
	),
	release(
		'frown-circles',
		'Frown, small circles',
		'pads-2',
		ways('glabella', 'brow'),
		'On the two small muscles at the root of the nose.',
		{ sides: ['midline', 'both'], reverse: true }
	),
	release(
		'forehead-zigzag',
		'Forehead, zigzag',
		'pads-2',
		ways('forehead-medial forehead-lateral'),
		'Across the lines, from brow to hair and back, moving outwards.',
		{
			motion: 'zigzag',
			shape: 'stroke',
			dose: dose('reps', 4, 8, 16),
			paceSeconds: 1.2,
			glide: 'slide',
			pressure: levels(1, 2, 2)
		}
	),
	release(
		'forehead-skin-lift',
		'Lift the skin of the forehead',
		'pinch',
		ways('forehead-medial', 'forehead-lateral'),
		'Dry: a small fold is lifted and let go, place by place.',
		{
			motion: 'skin-lift',
			dose: dose('reps', 3, 6, 10),
			paceSeconds: 1.5,
			glide: 'dry',
			pressure: levels(1, 1, 2),
			contra: BRUISE_NOTE
		}
	),
	release(
		'scalp-shift',
		'Shift the scalp',
		'pads-4',
		ways('hairline'),
		'Ten fingers stand in the hair and move the scalp on the bone.',
		{ paceSeconds: 1, reverse: true }
	),
	release(
		'ear-pull',
		'Ears, gentle pull',
		'pinch',
		ways('ear'),
		'Out, up and down, as far as it is pleasant; loosens what is fastened round the ear.',
		{
			motion: 'opposed-stretch',
			dose: dose('reps', 3, 5, 8),
			paceSeconds: 4,
			pressure: levels(0, 1, 2),
			sides: ['each']
		}
	),
	release(
		'neck-side-pinch',
		'Roll the long neck muscle',
		'pinch',
		ways('sternocleidomastoid'),
		'Held between thumb and finger, lifted off what lies below, never pressed in.',
		{
			motion: 'skin-lift',
			dose: dose('reps', 4, 6, 10),
			paceSeconds: 2,
			pressure: levels(0, 1, 2),
			sides: ['each'],
			posture: 'turned',
			contra: ['Lift, do not press: the carotid runs under it.', ...BRUISE_NOTE]
		}
	),
	release(
		'nape-knead',
		'Knead the nape',
		'pinch',
		ways('nape'),
		'One hand takes the whole nape like the scruff of a cat.',
		{ ...KNEAD, sides: ['midline', 'both'], pressure: levels(1, 2, 3) }
	),
	release(
		'skull-base-fingers',
		'Fingers under the skull',
		'pads-3',
		ways('nape'),
		'The weight of the head does the pressing; wait for two breaths.',
		{ motion: 'press-hold', dose: dose('breaths', 1, 2, 4), paceSeconds: 10, posture: 'leaning' }
	),
	release(
		'nape-up-down',
		'Along both sides of the spine',
		'thumbs',
		ways('nape'),
		'Small circles beside the spine, from the shoulders to the skull.',
		{ reverse: true, posture: 'forward' }
	),
	release(
		'shoulder-knead',
		'Knead the shoulder',
		'heel',
		ways('shoulder'),
		'Slow, with the heel of the hand into the slope of the shoulder.',
		{ ...KNEAD, sides: ['each', 'both'], pressure: levels(2, 2, 3) }
	),
	release(
		'shoulder-fist',
		'Fist into the shoulder',
		'fist',
		ways('shoulder'),
		'A soft fist turns slowly on the thickest part, as deep as is comfortable.',
		{ pressure: levels(2, 2, 3), sides: ['each', 'both'], paceSeconds: 2 }
	),
	release(
		'shoulder-sink',
		'Shoulders down',
		'flat-hand',
		ways('shoulder'),
		'The hands wait for the out-breath and follow it down.',
		{
			motion: 'press-hold',
			dose: dose('breaths', 1, 3, 4),
			paceSeconds: 10,
			breath: 'out-while-pressing',
			sides: ['both']
		}
	),
	release(
		'nose-side-circles',
		'Beside the nose, circles',
		'pads-2',
		ways('nose-wing', 'nose-bridge'),
		'Small circles on the bone beside the nose, for a head that is stuffed.',
		{ pressure: levels(1, 1, 2) }
	),
	release(
		'under-chin-press',
		'Floor of the mouth, press',
		'thumbs',
		ways('submental'),
		'Straight up behind the bone, tongue loose, a breath a place.',
		{
			motion: 'press-hold',
			dose: dose('breaths', 1, 2, 4),
			paceSeconds: 10,
			pressure: levels(1, 2, 2),
			posture: 'chin-up',
			sides: ['midline', 'both'],
			contra: ['Not on glands that are tender.']
		}
	)
];
