import { dose, family, levels, ways, type Entry } from './entry';

const drain = family({
	aim: 'drain',
	motion: 'stroke',
	shape: 'stroke',
	pressure: levels(0, 1, 2),
	dose: dose('reps', 3, 7, 10),
	paceSeconds: 2.5,
	sides: ['both', 'each'],
	glide: 'slide'
});
const AT_EYE = { pressure: levels(0, 1, 1) };

/** Drainage strokes of forehead, eye, nose and cheek, by hand. All values are working values. */
export const DRAIN_FACE: readonly Entry[] = [
	drain(
		'forehead-out',
		'Forehead out to the ear',
		'flat-3',
		ways('forehead-medial forehead-lateral temple preauricular n:preauricular'),
		'From the middle outwards, the skin stretched and let go three or four times on the way.'
	),
	drain(
		'frown-out',
		'From between the brows out',
		'pads-2',
		ways('glabella brow temple preauricular n:preauricular'),
		'What gathers at the root of the nose overnight goes over the brow to the ear.'
	),
	drain(
		'brow-out',
		'Along the brow',
		'pads-2',
		ways('brow temple preauricular n:preauricular'),
		'Follows the hair of the brow; heavy lids empty upwards and out.'
	),
	drain(
		'temple-down',
		'Temple down to the ear',
		'flat-3',
		ways('temple preauricular n:preauricular n:tonsillar'),
		'The common way of eye and forehead: a few strokes here keep it free for both.'
	),
	drain(
		'upper-lid-out',
		'Upper lid outwards',
		'ring-finger',
		ways('upper-eyelid outer-canthus temple preauricular n:preauricular'),
		'Below the bone, eyes closed, with the weight of the finger only.',
		AT_EYE
	),
	drain(
		'under-eye-out',
		'Under the eye outwards',
		'ring-finger',
		ways(
			'lower-eyelid outer-canthus temple preauricular n:preauricular',
			'inner-canthus lower-eyelid outer-canthus temple preauricular n:preauricular'
		),
		'Along the edge of the bone, out and down; the lid itself is only touched.',
		AT_EYE
	),
	drain(
		'under-eye-cheekbone',
		'Under the eye over the cheekbone',
		'ring-finger',
		ways('lower-eyelid zygoma preauricular n:preauricular'),
		'A flatter way for bags that sit low: it rides on the cheekbone.',
		AT_EYE
	),
	drain(
		'under-eye-down',
		'Under the eye downwards',
		'ring-finger',
		ways('lower-eyelid malar buccal n:facial'),
		'The other of the two ways of the cheek: down beside the fold, to the jaw.',
		AT_EYE
	),
	drain(
		'outer-corner-out',
		'From the outer eye corner',
		'ring-finger',
		ways('outer-canthus temple preauricular n:preauricular'),
		'Short and light; the fine lines there are not stretched along their length.',
		AT_EYE
	),
	drain(
		'nose-side-down',
		'Down the side of the nose',
		'pads-2',
		ways('nose-bridge nose-wing nasolabial buccal n:facial'),
		'From the bridge down beside the wing: for a nose that is blocked and a face that is heavy.'
	),
	drain(
		'nose-wing-down',
		'From the wing of the nose',
		'ring-finger',
		ways('nose-wing nasolabial buccal n:facial'),
		'Rounds the wing and follows the fold.'
	),
	drain(
		'apple-out',
		'Apple of the cheek outwards',
		'flat-3',
		ways('malar zygoma preauricular n:preauricular'),
		'Over the cheekbone to the ear, the way that sculpts.'
	),
	drain(
		'apple-down',
		'Apple of the cheek downwards',
		'flat-3',
		ways('malar buccal n:facial n:submandibular'),
		'Down the cheek to the jaw, the way most of its fluid takes by itself.'
	),
	drain(
		'cheekbone-out',
		'Along the cheekbone',
		'flat-2',
		ways('zygoma preauricular n:preauricular n:tonsillar'),
		'Under the edge of the bone, to the ear and down behind the jaw.'
	),
	drain(
		'cheek-to-jaw-angle',
		'Cheek to the angle of the jaw',
		'flat-3',
		ways('buccal masseter n:tonsillar'),
		'Across the chewing muscle without pressing it.'
	),
	drain(
		'cheek-down',
		'Hollow of the cheek down',
		'back-of-fingers',
		ways('buccal jawline n:submandibular'),
		'The backs of the fingers are broad and cannot poke.'
	),
	drain(
		'cheek-fan',
		'Cheek in a fan',
		'flat-3',
		ways('malar zygoma preauricular n:preauricular'),
		'The hand opens beside the nose like a fan and closes at the ear: the whole cheek in one move.',
		{ motion: 'fan', dose: dose('reps', 3, 6, 10), paceSeconds: 3 }
	),
	drain(
		'cheek-c',
		'C round the cheek',
		'thumbs',
		ways('malar zygoma preauricular n:preauricular'),
		'The thumbs draw a C from the nose over the cheekbone; light, or it turns into a sculpting stroke.',
		{ motion: 'c-stroke', dose: dose('reps', 3, 5, 8), paceSeconds: 3 }
	),
	drain(
		'eye-figure-eight',
		'Lying eight round the eyes',
		'ring-finger',
		ways('inner-canthus lower-eyelid outer-canthus temple'),
		'Round one eye, over the root of the nose, round the other: quiets, and moves a little.',
		{ ...AT_EYE, motion: 'figure-eight', dose: dose('reps', 3, 5, 8), paceSeconds: 6, sides: ['both'] }
	),
	drain(
		'face-stations',
		'Cheek with stops',
		'pads-2',
		ways('malar zygoma preauricular'),
		'Glides to a place, presses for a breath, glides on: the stops give the vessels time to fill.',
		{ stationHold: { kind: 'breaths', amount: 1 }, dose: dose('reps', 3, 3, 5), breath: 'one-a-station' }
	),
	drain(
		'smile-fold-down',
		'Down the smile fold',
		'pads-2',
		ways('nasolabial buccal n:facial n:submandibular', 'nasolabial marionette jawline n:submandibular'),
		'Beside the fold, not in it.'
	)
];
