import { dose, family, levels, ways, type Entry } from './entry';

const lift = family({
	aim: 'lift',
	motion: 'stroke',
	shape: 'stroke',
	pressure: levels(1, 2, 3),
	dose: dose('reps', 5, 8, 12),
	paceSeconds: 1.5,
	sides: ['both', 'each'],
	glide: 'slide'
});
const HAND_OVER_HAND = {
	motion: 'hand-over-hand',
	pressure: levels(1, 2, 2),
	dose: dose('reps', 15, 20, 30),
	paceSeconds: 0.6,
	sides: ['each'],
	support: { stays: true }
} satisfies Partial<Entry>;

/** Sculpting moves: upwards, never ending lower than they began. All values are working values. */
export const LIFTS: readonly Entry[] = [
	lift(
		'jaw-alternate-lift',
		'Jaw, hand over hand',
		'flat-hand',
		ways('jawline buccal'),
		'One hand always stays: the skin is never let down between two strokes.',
		HAND_OVER_HAND
	),
	lift(
		'cheek-alternate-lift',
		'Cheek, hand over hand',
		'flat-3',
		ways('buccal malar zygoma'),
		'Three fingers of each hand in turn, from the hollow to the bone.',
		HAND_OVER_HAND
	),
	lift(
		'forehead-up',
		'Forehead, hand over hand',
		'flat-hand',
		ways('glabella forehead-medial hairline'),
		'Both hands in turn, straight up into the hair.',
		{ ...HAND_OVER_HAND, sides: ['midline', 'each'] }
	),
	lift(
		'neck-up',
		'Neck upwards',
		'flat-hand',
		ways('throat under-jaw jawline'),
		'Lifts and smooths, for schools that lift the neck; those that drain lead it down.',
		{
			...HAND_OVER_HAND,
			pressure: levels(0, 1, 1),
			dose: dose('reps', 10, 15, 25),
			paceSeconds: 0.8,
			contra: ['Beside the windpipe, never on it. Not with goitre.']
		}
	),
	lift(
		'chest-up',
		'From the chest up the side of the neck',
		'flat-hand',
		ways('decollete supraclavicular sternocleidomastoid'),
		'The beginning of a rise from below; light where the pulse is felt.',
		{
			pressure: levels(0, 1, 1),
			sides: ['each', 'both'],
			contra: ['One side at a time where it gets firmer than a stroke of the hand.']
		}
	),
	lift(
		'smile-fold-lift',
		'Smile fold upwards',
		'pads-2',
		ways('marionette nasolabial malar'),
		'Crosses the fold in short strokes, from the corner of the mouth to the apple.',
		{ pressure: levels(1, 2, 2) }
	),
	lift(
		'smile-fold-c',
		'C at the smile fold',
		'thumb',
		ways('nasolabial malar zygoma'),
		'The thumb turns round the muscle and carries it up and out.',
		{ motion: 'c-stroke', pressure: levels(1, 2, 2) }
	),
	lift(
		'mouth-corner-lift',
		'Mouth corner, lift and hold',
		'pads-2',
		ways('marionette'),
		'Lifts the corner, holds it for three seconds, lets it go slowly.',
		{
			motion: 'lift-hold',
			shape: 'spot',
			pressure: levels(1, 2, 2),
			dose: dose('reps', 3, 6, 10),
			paceSeconds: 3,
			glide: 'none'
		}
	),
	lift(
		'brow-lift',
		'Brow up to the hair',
		'flat-3',
		ways('brow forehead-lateral hairline'),
		'Three fingers under the brow, up and slightly out.',
		{ pressure: levels(1, 2, 2) }
	),
	lift(
		'brow-hold',
		'Brow, lift and hold',
		'flat-hand',
		ways('brow'),
		'The brow is held up while the client closes the eyes against it.',
		{
			motion: 'lift-hold',
			shape: 'spot',
			pressure: levels(1, 2, 2),
			dose: dose('breaths', 1, 2, 3),
			paceSeconds: 10,
			glide: 'none'
		}
	),
	lift(
		'outer-corner-lift',
		'Outer eye corner, zigzag up',
		'pads-2',
		ways('outer-canthus temple hairline'),
		'Small and light, crossing the fine lines into the hair.',
		{ motion: 'zigzag', pressure: levels(0, 1, 1), paceSeconds: 1.2 }
	),
	lift(
		'temple-lift',
		'Temple into the hair',
		'heel',
		ways('temple hairline'),
		'The heel of the hand carries the side of the face with it.',
		{ pressure: levels(1, 2, 2), end: 'lift' }
	),
	lift(
		'jaw-scoop',
		'Jaw in two hands',
		'thumbs',
		ways('chin jawline masseter'),
		'Thumbs on the bone, fingers below it: the edge is drawn through like a ribbon.',
		{ motion: 'squeeze-stroke', sides: ['each', 'both'] }
	),
	lift(
		'jaw-flick',
		'Flick off the jaw',
		'back-of-fingers',
		ways('jawline masseter'),
		'Quick and loose, upwards; wakes the lower face at the end.',
		{ motion: 'flick', pressure: levels(1, 1, 2), paceSeconds: 0.6, sides: ['alternate', 'each'] }
	),
	lift(
		'cheek-heel',
		'Cheek with the heel of the hand',
		'heel',
		ways('marionette buccal malar zygoma'),
		'Broad and slow: the whole cheek goes up as one.',
		{ paceSeconds: 2, end: 'press' }
	),
	lift(
		'v-lift',
		'V round the chin',
		'v-fingers',
		ways('chin jawline masseter preauricular'),
		'The chin between two fingers, drawn along the bone to the ear.',
		{ sides: ['each', 'both'] }
	),
	lift(
		'crossed-forehead',
		'Crossed hands on the forehead',
		'crossed-hands',
		ways('brow forehead-lateral hairline'),
		'Hands crossed at the wrists work each other’s side: an even pull.',
		{ pressure: levels(1, 2, 2), sides: ['each'], paceSeconds: 2 }
	),
	lift(
		'cheek-three-lanes',
		'Cheek in three lanes',
		'knuckles',
		ways('nasolabial malar zygoma'),
		'Under, on and over the cheekbone, lane by lane, finishing each at the ear.',
		{ lanes: 3, dose: dose('reps', 5, 5, 8), pressure: levels(1, 2, 3) }
	)
];
