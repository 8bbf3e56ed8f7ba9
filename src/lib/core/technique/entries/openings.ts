import { dose, family, levels, ways, type Entry } from './entry';

const open = family({
	aim: 'open',
	motion: 'pump',
	shape: 'spot',
	pressure: levels(0, 1, 1),
	dose: dose('reps', 5, 7, 10),
	paceSeconds: 1,
	sides: ['both', 'each'],
	glide: 'none'
});

/** Opening each node group, from the outlets outwards. All values are working values. */
export const OPENINGS: readonly Entry[] = [
	open(
		'open-collarbone',
		'Pump above the collarbone',
		'flat-3',
		ways('n:terminus'),
		'Down into the hollow and towards the breastbone: here all fluid of head and neck returns to the veins.',
		{ contra: ['Not over a port or a pacemaker wire.'] }
	),
	open(
		'open-armpit',
		'Pump in the armpit',
		'flat-hand',
		ways('n:axillary'),
		'Flat hand high in the armpit, pressing up and in. The chest and the shoulder empty here.',
		{ contra: ['Not where armpit nodes were removed or irradiated.'] }
	),
	open(
		'open-neck',
		'Pump the side of the neck',
		'flat-3',
		ways('n:deep-cervical'),
		'In front of the long neck muscle, towards the back and down. Everything from the face passes here.',
		{ sides: ['each', 'both'], contra: ['Not with carotid disease, or where the neck was operated on.'] }
	),
	open(
		'open-back-of-neck',
		'Pump the back of the neck',
		'pads-3',
		ways('n:posterior-cervical'),
		'Beside the spine, half way up: takes what the scalp and the nape send.'
	),
	open(
		'open-skull-base',
		'Pump at the base of the skull',
		'pads-2',
		ways('n:occipital'),
		'In the hollow under the skull, where the scalp of the back of the head gathers.'
	),
	open(
		'open-behind-ear',
		'Pump behind the ear',
		'pads-3',
		ways('n:postauricular'),
		'On the bone behind the ear: the side of the scalp and the back of the ear empty here.'
	),
	open(
		'open-before-ear',
		'Pump before the ear',
		'pads-3',
		ways('n:preauricular'),
		'Just before the ear: eyes, temple and forehead arrive here first.'
	),
	open(
		'open-below-ear',
		'Pump below the ear',
		'pads-3',
		ways('n:tonsillar'),
		'Behind the angle of the jaw, where the way from the ear and the way from the jaw meet.'
	),
	open(
		'open-under-jaw',
		'Pump under the jaw',
		'pads-3',
		ways('n:submandibular'),
		'Fingertips hooked lightly under the bone: cheeks, lips and nose come this way.'
	),
	open(
		'open-under-chin',
		'Pump under the chin',
		'pads-2',
		ways('n:submental'),
		'Behind the bone of the chin, upwards and back: takes the chin and the middle of the lower lip.'
	),
	open(
		'open-cheek',
		'Pump beside the smile fold',
		'ring-finger',
		ways('n:facial'),
		'Small nodes that not everyone has; a few circles do no harm and are no must.'
	),
	open(
		'open-scoop-collarbone',
		'Scoop along the collarbone',
		'split-collarbone',
		ways('n:terminus'),
		'Two fingers above the bone and two below, drawn inwards: a way to pump for those with stiff shoulders.',
		{ paceSeconds: 1.5 }
	)
];
