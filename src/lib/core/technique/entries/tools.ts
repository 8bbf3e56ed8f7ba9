import { dose, family, levels, ways, type Entry } from './entry';

const stone = (edge: 'long-concave' | 'long-convex' | 'notch' | 'comb' | 'corner', tiltDegrees = 15) => ({
	tool: { id: 'stone-plate' as const, edge, tiltDegrees }
});
const BLOOD = 'Not with blood thinners, bruises, or skin that was peeled or lasered lately.';
const COLD = 'Not with cold hives or numb skin; from the fridge, never from the freezer.';

const drain = family({
	aim: 'drain',
	motion: 'sweep',
	shape: 'stroke',
	pressure: levels(0, 1, 1),
	dose: dose('reps', 2, 4, 6),
	paceSeconds: 3,
	sides: ['each'],
	glide: 'slide'
});
const lift = family({
	aim: 'lift',
	motion: 'scrape',
	shape: 'stroke',
	pressure: levels(1, 1, 2),
	dose: dose('reps', 2, 4, 5),
	paceSeconds: 3,
	sides: ['each'],
	glide: 'slide',
	end: 'wiggle',
	contra: [BLOOD]
});

/** Stone plate, spoon, roller, globes and brush. All values are working values. */
export const TOOL_MOVES: readonly Entry[] = [
	drain(
		'stone-neck-down',
		'Stone down the neck',
		'tool',
		ways('sternocleidomastoid supraclavicular n:terminus'),
		'The long edge lies on the muscle; on the neck it may stand steeper.',
		{ ...stone('long-concave', 35), contra: [BLOOD, 'Never over the throat.'] }
	),
	drain(
		'stone-jaw-out',
		'Stone along the jaw, light',
		'tool',
		ways('chin jawline under-jaw n:submandibular'),
		'The notch straddles the bone; so light that the skin hardly moves.',
		stone('notch')
	),
	drain(
		'stone-cheek-out',
		'Stone across the cheek',
		'tool',
		ways('malar zygoma preauricular n:preauricular', 'buccal masseter n:tonsillar'),
		'The round edge, flat, in lanes from the nose to the ear.',
		{ ...stone('long-convex'), lanes: 2 }
	),
	drain(
		'stone-forehead-out',
		'Stone over the forehead',
		'tool',
		ways('forehead-medial forehead-lateral temple preauricular n:preauricular'),
		'From the middle out in two lanes, the second along the hair.',
		{ ...stone('long-convex'), lanes: 2, end: 'wiggle' }
	),
	drain(
		'spoon-under-eye',
		'Spoon under the eye',
		'tool',
		ways('lower-eyelid outer-canthus temple preauricular n:preauricular'),
		'The back of a cool spoon has no edge at all.',
		{ tool: { id: 'spoon' }, contra: [COLD] }
	),
	drain(
		'spoon-lid',
		'Spoon on the upper lid',
		'tool',
		ways('upper-eyelid outer-canthus temple preauricular n:preauricular'),
		'Rests a moment on the closed lid, then slides out.',
		{ tool: { id: 'spoon' }, contra: [COLD] }
	),
	drain(
		'roller-cheek-out',
		'Roller over the cheek',
		'tool',
		ways('malar zygoma preauricular n:preauricular'),
		'One way only, lifted back: rolling to and fro takes fluid back in.',
		{ tool: { id: 'roller' } }
	),
	drain(
		'roller-jaw-out',
		'Roller along the jaw',
		'tool',
		ways('chin jawline under-jaw n:submandibular'),
		'For those whose hands tire; the small roller fits under the bone.',
		{ tool: { id: 'roller' } }
	),
	drain(
		'globes-jaw',
		'Cold globes along the jaw',
		'tool',
		ways('jawline under-jaw n:submandibular'),
		'Cool weight for a face that flushed; keeps moving.',
		{ tool: { id: 'cold-globes' }, sides: ['both', 'each'], contra: [COLD] }
	),
	lift(
		'stone-jaw-lift',
		'Stone lifts the jaw',
		'tool',
		ways('chin jawline masseter preauricular'),
		'Notch on the bone from the chin to the ear, the other hand holding the chin.',
		{ ...stone('notch'), support: { place: 'chin', stays: true } }
	),
	lift(
		'stone-smile-fold',
		'Stone across the smile fold',
		'tool',
		ways('marionette nasolabial malar zygoma'),
		'Across the fold, never along it, up to the cheekbone.',
		stone('long-concave')
	),
	lift(
		'stone-brow',
		'Stone lifts the brow',
		'tool',
		ways('brow forehead-lateral hairline'),
		'The corner under the brow, up to the hair, and a wiggle there.',
		stone('corner')
	),
	lift(
		'stone-forehead-up',
		'Stone up the forehead',
		'tool',
		ways('glabella forehead-medial hairline'),
		'Lane beside lane from between the brows up.',
		{ ...stone('long-convex'), lanes: 3, sides: ['midline', 'each'] }
	),
	{
		id: 'stone-comb-hairline',
		title: 'Comb at the hairline',
		aim: 'release',
		contact: 'tool',
		...stone('comb'),
		motion: 'wiggle',
		places: ['hairline', 'temple', 'brow'],
		paths: ways('hairline', 'temple'),
		shape: 'spot',
		pressure: levels(1, 1, 2),
		dose: dose('reps', 3, 5, 8),
		paceSeconds: 3,
		sides: ['each', 'both'],
		glide: 'none',
		why: 'The prongs stand on the scalp and shift it; this is where the forehead muscle is fastened.'
	},
	{
		id: 'stone-corner-point',
		title: 'Corner of the stone on a point',
		aim: 'point',
		contact: 'tool',
		...stone('corner'),
		motion: 'press-hold',
		places: ['nose-wing', 'brow', 'malar', 'masseter'],
		paths: ways('nose-wing', 'brow'),
		shape: 'spot',
		pressure: levels(0, 1, 1),
		dose: dose('breaths', 1, 2, 3),
		paceSeconds: 10,
		sides: ['each', 'both'],
		glide: 'none',
		breath: 'out-while-pressing',
		why: 'For hands that must not press: the corner does, so it only rests.'
	},
	{
		id: 'brush-jaw-neck',
		title: 'Soft brush down jaw and neck',
		aim: 'stimulate',
		contact: 'tool',
		tool: { id: 'soft-brush' },
		motion: 'flick',
		places: ['jawline', 'masseter', 'under-jaw', 'sternocleidomastoid'],
		paths: ways('jawline under-jaw sternocleidomastoid'),
		shape: 'stroke',
		pressure: levels(0, 0, 1),
		dose: dose('reps', 4, 8, 12),
		paceSeconds: 1,
		sides: ['each', 'both'],
		glide: 'dry',
		contra: ['Not over breakouts.'],
		why: 'Short flicks, always downwards, before anything oily.'
	}
];
