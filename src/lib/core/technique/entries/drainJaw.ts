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
const NECK = {
	pressure: levels(0, 1, 1),
	contra: ['No neck strokes with carotid disease, or if touch there makes faint.']
};
const close = { aim: 'close', dose: dose('reps', 2, 4, 8), paceSeconds: 4 } as const;

/** Drainage strokes of mouth, jaw, ear, neck and chest, and what closes. All values are working values. */
export const DRAIN_JAW: readonly Entry[] = [
	drain(
		'upper-lip-out',
		'Upper lip outwards',
		'ring-finger',
		ways('upper-lip nasolabial buccal n:facial'),
		'From under the nose round the corner of the mouth.'
	),
	drain(
		'lower-lip-out',
		'Lower lip outwards',
		'ring-finger',
		ways('lower-lip marionette jawline under-jaw n:submandibular'),
		'From the middle of the lip out and over the edge of the jaw.'
	),
	drain(
		'mouth-corner-out',
		'From the mouth corner out',
		'pads-2',
		ways('marionette jawline under-jaw n:submandibular'),
		'What makes the corner heavy leaves over the jaw; a small lift at the end where the school lifts.'
	),
	drain(
		'chin-outward',
		'Chin outwards',
		'thumbs',
		ways('chin jawline under-jaw n:submandibular', 'chin submental n:submental'),
		'Thumbs side by side on the chin part towards the jaw nodes.'
	),
	drain(
		'jaw-to-under-jaw',
		'Along the jaw and under it',
		'split-jaw',
		ways('jawline under-jaw n:submandibular'),
		'The bone between the fingers guides the hand and keeps it from pressing.'
	),
	drain(
		'jaw-to-ear',
		'Under the jaw to the ear',
		'split-jaw',
		ways('under-jaw n:submandibular n:tonsillar'),
		'Goes all the way to below the ear; stopping half way leaves it all there.'
	),
	drain(
		'masseter-down',
		'Chewing muscle downwards',
		'flat-3',
		ways('masseter n:tonsillar n:deep-cervical'),
		'After the muscle was worked: down behind the angle of the jaw.'
	),
	drain(
		'under-chin-outward',
		'Under the chin outwards',
		'flat-3',
		ways('submental under-jaw n:submandibular'),
		'Sideways, as the vessels run; straight down, they are crossed.'
	),
	drain(
		'under-jaw-back',
		'Under the jaw, backwards',
		'pads-3',
		ways('under-jaw n:submandibular'),
		'Short strokes against the inside of the bone.'
	),
	drain(
		'under-chin-scoop',
		'Scoop under the chin',
		'back-of-fingers',
		ways('submental under-jaw n:submandibular'),
		'The back of the hand scoops from the middle to the side, one hand after the other.',
		{ motion: 'scoop', sides: ['alternate', 'each'], dose: dose('reps', 3, 8, 10) }
	),
	drain(
		'ear-split',
		'Fingers round the ear',
		'split-ear',
		ways('ear preauricular n:preauricular'),
		'Ear between the fingers, both sides of it at once, downwards.'
	),
	drain(
		'ear-behind-down',
		'Behind the ear down',
		'split-ear',
		ways('ear postauricular n:postauricular'),
		'The groove behind the ear collects from the side of the head.'
	),
	drain(
		'neck-side-down',
		'Side of the neck down',
		'flat-hand',
		ways('sternocleidomastoid supraclavicular n:terminus'),
		'The great way down, with the whole hand and no weight.',
		NECK
	),
	drain(
		'neck-behind-ear-down',
		'From behind the ear to the collarbone',
		'flat-3',
		ways('postauricular sternocleidomastoid supraclavicular n:terminus'),
		'Joins ear and collarbone: the last stretch of every drain.',
		NECK
	),
	drain(
		'throat-outward',
		'Throat outwards',
		'flat-3',
		ways('throat sternocleidomastoid n:deep-cervical'),
		'From beside the windpipe to the side, never across it.',
		{
			...NECK,
			sides: ['each', 'both'],
			contra: ['Not with goitre or an overactive thyroid.']
		}
	),
	drain(
		'nape-down',
		'Nape down',
		'flat-hand',
		ways('nape supraclavicular n:terminus'),
		'Over the slope of the neck forwards to the collarbone.'
	),
	drain(
		'chest-to-armpit',
		'Chest to the armpit',
		'flat-hand',
		ways('decollete axilla n:axillary'),
		'Below the collarbone everything turns to the armpit: it has an outlet of its own.'
	),
	drain(
		'shoulder-to-armpit',
		'Shoulder to the armpit',
		'flat-hand',
		ways('shoulder axilla n:axillary'),
		'Round the ball of the shoulder; feels like being put down.'
	),
	drain(
		'forehead-to-collarbone',
		'From the forehead to the collarbone',
		'flat-hand',
		ways('forehead-medial forehead-lateral temple preauricular n:preauricular n:tonsillar n:deep-cervical n:terminus'),
		'One long sweep over the side of the face and down the neck, to gather what was left.',
		{
			...close,
			motion: 'sweep',
			pressure: levels(0, 1, 1),
			paceSeconds: 8
		}
	),
	drain(
		'close-ear-chain',
		'Close from the ear',
		'flat-3',
		ways('n:preauricular n:tonsillar n:deep-cervical n:terminus'),
		'Node by node from the ear down, before the last pump.',
		{ ...close, pressure: levels(0, 1, 1) }
	),
	drain(
		'close-jaw-chain',
		'Close from the jaw',
		'flat-3',
		ways('n:submandibular n:deep-cervical n:terminus'),
		'Node by node from the jaw down: the mouth and the chin leave this way.',
		{ ...close, pressure: levels(0, 1, 1) }
	)
];
