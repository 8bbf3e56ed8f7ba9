import { dose, family, levels, ways, type Entry } from './entry';

const inside = family({
	aim: 'release',
	tool: { id: 'gloves' },
	motion: 'press-hold',
	shape: 'spot',
	pressure: levels(1, 2, 3),
	dose: dose('seconds', 20, 30, 40),
	paceSeconds: 10,
	sides: ['each'],
	glide: 'none',
	mouth: 'parted',
	contra: [
		'Not with cold sores, open sores or fresh dental work.',
		'Latex allergy: ask before the gloves.',
		'May need a licence of its own: follow your local code.'
	]
});

/** Inside the cheek, thumb inside and fingers outside. All values are working values. */
export const INSIDE: readonly Entry[] = [
	inside(
		'inside-smile-fold',
		'Smile fold from inside',
		'thumb-inside',
		ways('nasolabial'),
		'The muscles that raise the lip end here, out of reach from outside.'
	),
	inside(
		'inside-mouth-corner',
		'Mouth corner from inside',
		'thumb-inside',
		ways('marionette'),
		'Eight muscles meet at the corner; held between thumb and finger, they let go together.',
		{ pressure: levels(1, 2, 2) }
	),
	inside(
		'inside-cheek-stretch',
		'Cheek, stretched from inside',
		'thumb-inside',
		ways('buccal'),
		'The thumb draws the cheek away from the teeth and waits.',
		{ motion: 'opposed-stretch', dose: dose('reps', 3, 5, 8), paceSeconds: 5 }
	)
];
