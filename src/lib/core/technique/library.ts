import type { PlaceId } from '../atlas/places';
import { NODE_IDS } from '../atlas/nodes';
import { TechniqueSchema, type Technique } from './technique.schema';
import type { z } from 'zod';

type Entry = z.input<typeof TechniqueSchema>;
const nodes: PlaceId[] = NODE_IDS.map((id) => `n:${id}` as const);
const dose = (kind: 'reps' | 'breaths' | 'seconds', min: number, target: number, max: number) =>
	({ kind, min, target, max }) as const;
const levels = (min: 0 | 1 | 2 | 3 | 4, standard: 0 | 1 | 2 | 3 | 4, max: 0 | 1 | 2 | 3 | 4) => ({
	min,
	default: standard,
	max
});

const ENTRIES: readonly Entry[] = [
	{
		id: 'settle-breaths',
		title: 'Three slow breaths',
		aim: 'settle',
		contact: 'flat-hand',
		motion: 'press-hold',
		places: ['decollete', 'shoulder', 'forehead-medial'],
		shape: 'spot',
		pressure: levels(0, 0, 1),
		dose: dose('breaths', 1, 3, 5),
		paceSeconds: 10,
		sides: ['both', 'midline'],
		glide: 'none',
		breath: 'free',
		why: 'Hands rest and wait. Deep breathing empties the outlet faster, and the client arrives.'
	},
	{
		id: 'spread-oil',
		title: 'Spread the oil',
		aim: 'prepare',
		contact: 'flat-hand',
		motion: 'sweep',
		places: [],
		shape: 'none',
		pressure: levels(0, 0, 1),
		dose: dose('seconds', 10, 20, 40),
		paceSeconds: 2,
		sides: ['both'],
		glide: 'none',
		why: 'Enough slip that nothing drags, no more: about three drops for the upper face.'
	},
	{
		id: 'open-nodes',
		title: 'Open by pumping',
		aim: 'open',
		contact: 'flat-3',
		motion: 'pump',
		places: nodes,
		shape: 'spot',
		pressure: levels(0, 1, 1),
		dose: dose('reps', 5, 7, 10),
		paceSeconds: 1,
		sides: ['both', 'each'],
		glide: 'none',
		why: 'Stretches the skin over the nodes and lets go, so that they can take what is sent to them.'
	},
	{
		id: 'light-stroke',
		title: 'Light stroke',
		aim: 'drain',
		contact: 'flat-3',
		motion: 'stroke',
		places: [],
		shape: 'stroke',
		pressure: levels(0, 1, 2),
		dose: dose('reps', 3, 7, 10),
		paceSeconds: 2.5,
		sides: ['both', 'each'],
		glide: 'slide',
		why: 'Vessels lie just under the skin: move the skin and let it go, do not press through it.'
	},
	{
		id: 'ring-finger-stroke',
		title: 'Ring finger stroke',
		aim: 'drain',
		contact: 'ring-finger',
		motion: 'stroke',
		places: [
			'upper-eyelid',
			'lower-eyelid',
			'inner-canthus',
			'outer-canthus',
			'nose-wing',
			'upper-lip',
			'lower-lip'
		],
		shape: 'stroke',
		pressure: levels(0, 1, 1),
		dose: dose('reps', 3, 7, 10),
		paceSeconds: 2.4,
		sides: ['both', 'each'],
		glide: 'slide',
		why: 'The weakest finger for the thinnest skin.'
	},
	{
		id: 'globes-out',
		title: 'Cold globes, outwards',
		aim: 'drain',
		contact: 'tool',
		tool: { id: 'cold-globes' },
		motion: 'sweep',
		places: ['lower-eyelid', 'malar', 'zygoma', 'inner-canthus'],
		shape: 'stroke',
		pressure: levels(0, 1, 1),
		dose: dose('reps', 2, 4, 6),
		paceSeconds: 3,
		sides: ['both', 'each'],
		glide: 'slide',
		why: 'Cold narrows the small vessels for a while; the globe glides without stretching the lid.'
	},
	{
		id: 'hook-lift',
		title: 'Jaw lift with the index hook',
		aim: 'lift',
		contact: 'index-hook',
		motion: 'squeeze-stroke',
		places: ['chin', 'jawline'],
		shape: 'stroke',
		pressure: levels(2, 2, 3),
		dose: dose('reps', 5, 8, 12),
		paceSeconds: 1.5,
		sides: ['each', 'both'],
		glide: 'slide',
		why: 'Holds the edge of the jaw between thumb and bent finger and carries it to the ear.'
	},
	{
		id: 'hand-over-hand',
		title: 'Hand over hand',
		aim: 'lift',
		contact: 'flat-hand',
		motion: 'hand-over-hand',
		places: ['buccal', 'jawline', 'malar', 'throat', 'forehead-medial', 'glabella', 'marionette'],
		shape: 'stroke',
		pressure: levels(1, 2, 2),
		dose: dose('reps', 15, 20, 30),
		paceSeconds: 0.6,
		sides: ['each', 'both'],
		glide: 'slide',
		why: 'One hand follows the other, so the skin is never let down in between.'
	},
	{
		id: 'knuckle-sweep',
		title: 'Knuckle sweep',
		aim: 'lift',
		contact: 'knuckles',
		motion: 'sweep',
		places: ['chin', 'jawline', 'buccal', 'malar', 'marionette'],
		shape: 'stroke',
		pressure: levels(1, 2, 3),
		dose: dose('reps', 5, 8, 12),
		paceSeconds: 1.5,
		sides: ['both', 'each'],
		glide: 'slide',
		why: 'A broad even row over muscle that one finger would dent.'
	},
	{
		id: 'stone-cheekbone',
		title: 'Stone along the cheekbone',
		aim: 'lift',
		contact: 'tool',
		tool: { id: 'stone-plate', edge: 'long-concave', tiltDegrees: 15 },
		motion: 'scrape',
		places: ['nasolabial', 'malar', 'zygoma', 'jawline', 'forehead-medial'],
		shape: 'stroke',
		pressure: levels(1, 1, 2),
		dose: dose('reps', 2, 4, 5),
		paceSeconds: 3,
		sides: ['each'],
		glide: 'slide',
		why: 'Nearly flat to the skin; an edge presses more than a hand does.'
	},
	{
		id: 'pinned-circles',
		title: 'Pinned circles',
		aim: 'release',
		contact: 'pads-3',
		motion: 'pinned-circle',
		places: ['masseter', 'temple', 'glabella', 'hairline', 'nape', 'jawline', 'chin', 'zygoma'],
		shape: 'spot',
		pressure: levels(1, 3, 3),
		dose: dose('reps', 6, 10, 16),
		paceSeconds: 0.7,
		sides: ['both', 'each'],
		glide: 'none',
		why: 'The skin moves with the finger over the muscle: no slide, no drag.'
	},
	{
		id: 'knuckle-knead',
		title: 'Knead with the knuckles',
		aim: 'release',
		contact: 'knuckles',
		motion: 'knead',
		places: ['masseter', 'shoulder', 'nape', 'jawline'],
		shape: 'spot',
		pressure: levels(2, 3, 4),
		dose: dose('seconds', 30, 45, 90),
		paceSeconds: 3,
		sides: ['each', 'both'],
		glide: 'none',
		breath: 'out-while-pressing',
		why: 'Slow and deep into the muscle on the out-breath, as deep as is comfortable.'
	},
	{
		id: 'nape-thumbs',
		title: 'Thumbs at the base of the skull',
		aim: 'release',
		contact: 'thumbs',
		motion: 'press-hold',
		places: ['nape'],
		shape: 'spot',
		pressure: levels(1, 2, 3),
		dose: dose('breaths', 1, 2, 4),
		paceSeconds: 10,
		sides: ['both', 'midline'],
		glide: 'none',
		posture: 'leaning',
		why: 'The head leans into the thumbs, so the client sets the depth.'
	},
	{
		id: 'thumb-inside',
		title: 'Chewing muscle from inside',
		aim: 'release',
		contact: 'thumb-inside',
		tool: { id: 'gloves' },
		motion: 'squeeze-stroke',
		places: ['masseter', 'buccal', 'nasolabial'],
		shape: 'spot',
		pressure: levels(1, 2, 3),
		dose: dose('seconds', 30, 40, 90),
		paceSeconds: 4,
		sides: ['each'],
		glide: 'none',
		why: 'Thumb inside, fingers outside, slowly. Needs clean gloves and, in many places, a licence of its own.'
	},
	{
		id: 'hold-point',
		title: 'Hold a point',
		aim: 'point',
		contact: 'pads-2',
		motion: 'press-hold',
		places: [
			'brow',
			'nose-wing',
			'malar',
			'outer-canthus',
			'nape',
			'postauricular',
			'temple',
			'chin',
			'inner-canthus'
		],
		shape: 'spot',
		pressure: levels(1, 2, 2),
		dose: dose('breaths', 1, 2, 3),
		paceSeconds: 10,
		sides: ['both', 'each'],
		glide: 'none',
		breath: 'out-while-pressing',
		why: 'Tradition: press while the breath goes out, keep it, let go slowly.'
	},
	{
		id: 'patter',
		title: 'Patter',
		aim: 'stimulate',
		contact: 'pads-4',
		motion: 'tap',
		places: [
			'malar',
			'buccal',
			'zygoma',
			'forehead-medial',
			'forehead-lateral',
			'jawline',
			'lower-eyelid',
			'chin'
		],
		shape: 'spot',
		pressure: levels(0, 1, 1),
		dose: dose('seconds', 10, 20, 40),
		paceSeconds: 0.25,
		sides: ['both', 'each'],
		glide: 'none',
		why: 'About four taps a second: warms and wakes the skin.'
	},
	{
		id: 'soft-brush',
		title: 'Soft brush',
		aim: 'stimulate',
		contact: 'tool',
		tool: { id: 'soft-brush' },
		motion: 'sweep',
		places: ['malar', 'jawline', 'forehead-medial', 'throat', 'decollete'],
		shape: 'stroke',
		pressure: levels(0, 0, 1),
		dose: dose('reps', 4, 8, 12),
		paceSeconds: 1.5,
		sides: ['both', 'each'],
		glide: 'dry',
		why: 'On dry skin before any oil.'
	},
	{
		id: 'tongue-to-palate',
		title: 'Tongue to the palate',
		aim: 'exercise',
		contact: 'none',
		motion: 'resisted',
		places: ['submental', 'throat'],
		shape: 'spot',
		pressure: levels(0, 0, 0),
		dose: dose('reps', 3, 8, 40),
		paceSeconds: 3,
		sides: ['midline', 'both'],
		glide: 'none',
		by: 'client',
		why: 'The client presses the tongue up; the floor of the mouth works.'
	},
	{
		id: 'lay-tape',
		title: 'Lay a strip of tape',
		aim: 'fix',
		contact: 'tool',
		tool: { id: 'tape' },
		motion: 'none',
		places: ['outer-canthus', 'glabella', 'nasolabial', 'marionette', 'forehead-medial'],
		shape: 'spot',
		pressure: levels(0, 0, 1),
		dose: dose('seconds', 20, 30, 60),
		paceSeconds: 30,
		sides: ['each', 'both'],
		glide: 'dry',
		why: 'On dry, grease-free skin. The skin is stretched, the tape is laid without stretch.'
	},
	{
		id: 'globes-hold',
		title: 'Cold globes, resting',
		aim: 'cool',
		contact: 'tool',
		tool: { id: 'cold-globes' },
		motion: 'press-hold',
		places: ['lower-eyelid', 'malar', 'temple', 'forehead-medial'],
		shape: 'spot',
		pressure: levels(0, 0, 1),
		dose: dose('breaths', 1, 2, 3),
		paceSeconds: 10,
		sides: ['both'],
		glide: 'none',
		why: 'Cool weight, no pressure, and never from the freezer.'
	},
	{
		id: 'remove-oil',
		title: 'Take off the oil',
		aim: 'cleanse',
		contact: 'tool',
		tool: { id: 'cloth' },
		motion: 'sweep',
		places: [],
		shape: 'none',
		pressure: levels(0, 0, 1),
		dose: dose('seconds', 20, 30, 60),
		paceSeconds: 3,
		sides: ['both'],
		glide: 'none',
		why: 'Warm cloth, outwards and down; needed before tape and dry moves.'
	},
	{
		id: 'clean-hands',
		title: 'Wash hands',
		aim: 'cleanse',
		contact: 'none',
		motion: 'none',
		places: [],
		shape: 'none',
		pressure: levels(0, 0, 0),
		dose: dose('seconds', 30, 30, 60),
		paceSeconds: 30,
		sides: ['both'],
		glide: 'none',
		why: 'Before the first touch, and after anything inside the mouth.'
	},
	{
		id: 'closing-sweep',
		title: 'Sweep to the collarbone',
		aim: 'close',
		contact: 'flat-hand',
		motion: 'sweep',
		places: ['preauricular', 'n:preauricular', 'forehead-medial', 'postauricular', 'sternocleidomastoid'],
		shape: 'stroke',
		pressure: levels(0, 1, 1),
		dose: dose('reps', 3, 5, 8),
		paceSeconds: 4,
		sides: ['both', 'each'],
		glide: 'slide',
		why: 'Carries what waits at the ear and the jaw down to where it leaves.'
	},
	{
		id: 'closing-pump',
		title: 'Pump the outlet once more',
		aim: 'close',
		contact: 'flat-3',
		motion: 'pump',
		places: ['n:terminus', 'n:axillary'],
		shape: 'spot',
		pressure: levels(0, 1, 1),
		dose: dose('reps', 5, 10, 15),
		paceSeconds: 1,
		sides: ['both'],
		glide: 'none',
		why: 'The last thing: the outlet takes what the strokes have brought.'
	}
];

/** The techniques as they ship, all values working values. */
export const TECHNIQUES: readonly Technique[] = ENTRIES.map((entry) => TechniqueSchema.parse(entry));

export const techniqueById = (id: string, own: readonly Technique[] = []): Technique | undefined =>
	own.find((t) => t.id === id) ?? TECHNIQUES.find((t) => t.id === id);

/** What one mostly wants, first. */
const AIM_ORDER: readonly Technique['aim'][] = [
	'open',
	'drain',
	'release',
	'lift',
	'close',
	'point',
	'stimulate'
];
const rankOf = (t: Technique): number => {
	const aim = AIM_ORDER.indexOf(t.aim);
	return (t.tool ? 100 : 0) + 2 * (aim < 0 ? AIM_ORDER.length : aim) + (t.places.length === 0 ? 1 : 0);
};

/** Techniques that suit a path, most likely first: hands before tools, made for the place before general ones. */
export function techniquesFor(places: readonly PlaceId[], own: readonly Technique[] = []): Technique[] {
	const start = places[0];
	if (!start) return [];
	const shape = places.length > 1 ? 'stroke' : 'spot';
	return [...own, ...TECHNIQUES]
		.filter((t) => t.shape === shape && (t.places.length === 0 || t.places.includes(start)))
		.sort((a, b) => rankOf(a) - rankOf(b));
}
