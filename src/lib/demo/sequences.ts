import type { PlaceRef } from '../core/atlas/places';
import { sequenceFromSpec, type Row, type TemplateSpec } from '../core/template/spec';
import { linkRoute } from '../core/atlas/route';
import type { Sequence } from '../core/sequence/sequence.schema';
import type { Step } from '../core/step/step.schema';

type Phases = readonly (readonly [title: string, rows: readonly Row[]])[];

const LEFT_RIGHT = { each: true, first: 'left' } as const;
const BOTH = { side: 'both' } as const;
const EACH = { side: LEFT_RIGHT };
const pumps = (...nodes: string[]): Row[] => nodes.map((n) => ['open-nodes', [`n:${n}` as PlaceRef], BOTH] as const);
const reps = (min: number, target: number, max: number) => ({ kind: 'reps' as const, min, target, max });

/** After the move, on to the collarbone. */
const thenDrain = (from: PlaceRef, pumpCount = 3): Pick<Step, 'end'> => ({
	end: { kind: 'link', places: linkRoute(from, 'outward'), pumps: pumpCount, by: 'hand' }
});

const SETTLE: Row = ['settle-breaths', ['decollete'], { side: 'both' }];
const OIL: Row = ['spread-oil', [], { medium: { id: 'light-oil', ml: 0.45 } }];
const NECK_DOWN: Row = ['light-stroke', ['sternocleidomastoid', 'n:terminus'], EACH];
const CLOSE_EAR: Row = ['closing-sweep', ['n:preauricular', 'n:terminus'], EACH];
const CLOSE_JAW: Row = ['closing-sweep', ['n:submandibular', 'n:terminus'], BOTH];
const LAST_PUMP: Row = ['closing-pump', ['n:terminus'], BOTH];
const REST: Row = [
	'settle-breaths',
	['forehead-medial'],
	{ side: 'midline', dose: { kind: 'breaths', min: 2, target: 3, max: 5 } }
];

const BAKERS_DAWN: Phases = [
	[
		'Settle and open',
		[SETTLE, ...pumps('terminus'), OIL, ...pumps('deep-cervical', 'tonsillar', 'submandibular', 'preauricular')]
	],
	['Neck', [NECK_DOWN, ['light-stroke', ['under-jaw', 'n:deep-cervical'], BOTH], ['nape-thumbs', ['nape'], BOTH]]],
	[
		'Cheeks and eyes',
		[
			['light-stroke', ['nasolabial', 'n:submandibular'], BOTH],
			['light-stroke', ['malar', 'n:preauricular'], { ...BOTH, dose: reps(5, 9, 10) }],
			['ring-finger-stroke', ['lower-eyelid', 'n:preauricular'], { ...EACH, ...thenDrain('n:preauricular') }],
			['ring-finger-stroke', ['inner-canthus', 'outer-canthus', 'n:preauricular'], { ...BOTH, dose: reps(3, 5, 8) }],
			['hold-point', ['brow'], BOTH],
			['patter', ['zygoma'], BOTH],
			['hand-over-hand', ['marionette', 'zygoma'], EACH]
		]
	],
	[
		'Jaw',
		[
			['knuckle-knead', ['masseter'], { ...EACH, dose: { kind: 'seconds', min: 30, target: 36, max: 60 } }],
			['hook-lift', ['chin', 'preauricular'], BOTH],
			['light-stroke', ['jawline', 'n:deep-cervical'], BOTH]
		]
	],
	['Close', [CLOSE_EAR, CLOSE_JAW, LAST_PUMP, REST]]
];

const THREE_MINUTES: Phases = [
	['Open', [...pumps('terminus', 'deep-cervical', 'tonsillar', 'submandibular', 'preauricular')]],
	[
		'Face',
		[
			[
				'spread-oil',
				[],
				{ dose: { kind: 'seconds', min: 10, target: 12, max: 20 }, medium: { id: 'light-oil', ml: 0.2 } }
			],
			['light-stroke', ['sternocleidomastoid', 'n:terminus'], BOTH],
			['light-stroke', ['jawline', 'n:tonsillar'], { ...BOTH, dose: reps(3, 5, 8) }],
			['light-stroke', ['malar', 'n:preauricular'], { ...BOTH, dose: reps(3, 5, 8) }],
			['globes-out', ['lower-eyelid', 'n:preauricular'], EACH]
		]
	],
	['Close', [['closing-sweep', ['n:preauricular', 'n:tonsillar', 'n:terminus'], BOTH], LAST_PUMP]]
];

const GLASS_JAW: Phases = [
	[
		'Arrive',
		[['clean-hands', []], SETTLE, ...pumps('terminus', 'deep-cervical', 'tonsillar', 'submandibular', 'preauricular')]
	],
	[
		'Release',
		[
			['nape-thumbs', ['nape'], { ...BOTH, dose: { kind: 'breaths', min: 2, target: 3, max: 4 } }],
			['pinned-circles', ['temple'], { ...BOTH, reverse: true }],
			[
				'knuckle-knead',
				['masseter'],
				{ ...EACH, pressure: 4, dose: { kind: 'seconds', min: 45, target: 70, max: 90 } }
			],
			['pinned-circles', ['zygoma'], { ...EACH, reverse: true }],
			['thumb-inside', ['buccal'], EACH],
			['clean-hands', []],
			['pinned-circles', ['jawline'], EACH],
			['hold-point', ['chin'], { side: 'midline' }],
			['tongue-to-palate', ['submental'], { side: 'midline' }]
		]
	],
	[
		'Drain',
		[
			['spread-oil', [], { medium: { id: 'light-oil', ml: 0.4 } }],
			...pumps('tonsillar', 'submandibular', 'preauricular', 'deep-cervical'),
			['light-stroke', ['zygoma', 'n:preauricular'], BOTH],
			['light-stroke', ['buccal', 'n:submandibular'], BOTH],
			['light-stroke', ['masseter', 'n:tonsillar', 'n:deep-cervical'], EACH],
			['light-stroke', ['jawline', 'n:submandibular'], BOTH]
		]
	],
	['Close', [...pumps('terminus'), CLOSE_EAR, CLOSE_JAW, LAST_PUMP, REST]]
];

const everyMove = (id: string, places: PlaceRef[], side: Partial<Step>): Row => [
	id,
	places,
	{ ...side, ...thenDrain(places.at(-1)!, 2) }
];
const ROWERS_MORNING: Phases = [
	[
		'Open',
		[SETTLE, ...pumps('terminus', 'deep-cervical', 'tonsillar', 'submandibular', 'submental', 'preauricular'), OIL]
	],
	['Neck', [NECK_DOWN, everyMove('light-stroke', ['throat', 'n:deep-cervical'], EACH)]],
	[
		'Face, each move drained',
		[
			everyMove('light-stroke', ['chin', 'n:submental'], BOTH),
			everyMove('light-stroke', ['jawline', 'n:submandibular'], BOTH),
			everyMove('light-stroke', ['buccal', 'n:submandibular'], BOTH),
			everyMove('light-stroke', ['malar', 'n:preauricular'], BOTH),
			everyMove('ring-finger-stroke', ['lower-eyelid', 'n:preauricular'], EACH),
			everyMove('ring-finger-stroke', ['upper-eyelid', 'n:preauricular'], EACH),
			['globes-hold', ['lower-eyelid'], BOTH],
			everyMove('light-stroke', ['forehead-medial', 'n:preauricular'], BOTH)
		]
	],
	['Close', [...pumps('preauricular', 'tonsillar', 'deep-cervical', 'terminus'), CLOSE_EAR, LAST_PUMP]]
];

const STONE_AND_KNUCKLE: Phases = [
	['Begin', [SETTLE, ...pumps('terminus'), ['spread-oil', [], { medium: { id: 'light-oil', ml: 0.8 } }]]],
	[
		'Rise',
		[
			['hand-over-hand', ['throat', 'under-jaw', 'jawline'], { ...EACH, pressure: 1 }],
			['knuckle-sweep', ['chin', 'jawline', 'masseter', 'preauricular'], BOTH],
			['hook-lift', ['chin', 'preauricular'], { ...EACH, dose: reps(6, 10, 12) }],
			['hand-over-hand', ['buccal', 'malar', 'zygoma'], EACH],
			['stone-cheekbone', ['nasolabial', 'malar', 'zygoma'], { ...EACH, lanes: 2, end: { kind: 'wiggle' } }],
			['stone-cheekbone', ['forehead-medial', 'hairline'], EACH],
			['patter', ['malar'], BOTH]
		]
	],
	[
		'One long drain',
		[
			['light-stroke', ['forehead-medial', 'n:preauricular'], BOTH],
			['light-stroke', ['malar', 'n:preauricular'], BOTH],
			['light-stroke', ['jawline', 'n:deep-cervical'], BOTH],
			CLOSE_EAR,
			CLOSE_JAW,
			LAST_PUMP
		]
	]
];

const NAPE_TO_COLLARBONE: Phases = [
	[
		'Nape',
		[
			...pumps('terminus'),
			['nape-thumbs', ['nape'], BOTH],
			['pinned-circles', ['nape'], { ...BOTH, pressure: 2 }],
			...pumps('posterior-cervical', 'occipital')
		]
	],
	[
		'Under the chin',
		[
			...pumps('deep-cervical', 'tonsillar', 'submental', 'submandibular'),
			OIL,
			['light-stroke', ['submental', 'n:submandibular'], BOTH]
		]
	],
	[
		'Along the bone',
		[
			['hook-lift', ['chin', 'preauricular'], EACH],
			['light-stroke', ['jawline', 'n:submandibular', 'n:tonsillar'], BOTH],
			['light-stroke', ['masseter', 'n:tonsillar'], EACH]
		]
	],
	[
		'Down behind the ear',
		[
			['closing-sweep', ['postauricular', 'sternocleidomastoid', 'n:terminus'], EACH],
			CLOSE_JAW,
			['closing-sweep', ['n:tonsillar', 'n:terminus'], BOTH],
			LAST_PUMP
		]
	]
];

type DemoSpec = Omit<TemplateSpec, 'phases'> & { readonly phases: Phases };

const SPECS: readonly DemoSpec[] = [
	{
		id: 'bakers-dawn',
		title: 'Baker’s dawn, light eyes',
		school: 'outlet-first',
		minutes: 12,
		goals: ['under-eye', 'morning-depuff'],
		notes: 'For mornings after the ovens.',
		phases: BAKERS_DAWN
	},
	{
		id: 'three-minutes',
		title: 'Three minutes before the shop',
		school: 'outlet-first',
		minutes: 3,
		goals: ['morning-depuff'],
		notes: 'Globes from the fridge, never the freezer.',
		phases: THREE_MINUTES
	},
	{
		id: 'glass-jaw',
		title: 'Glassblower’s jaw',
		school: 'release-then-drain',
		minutes: 20,
		goals: ['jaw-tension', 'tension-head'],
		notes: 'Inside the cheek only with a licence for it.',
		phases: GLASS_JAW
	},
	{
		id: 'rowers-morning',
		title: 'Rower’s morning',
		school: 'drain-every-move',
		minutes: 10,
		goals: ['morning-depuff', 'open-eye'],
		notes: '',
		phases: ROWERS_MORNING
	},
	{
		id: 'stone-knuckle',
		title: 'Cheekbones, stone and knuckle',
		school: 'rise-and-drain',
		minutes: 8,
		goals: ['cheekbone', 'glow'],
		notes: '',
		phases: STONE_AND_KNUCKLE
	},
	{
		id: 'nape-collarbone',
		title: 'Nape to collarbone',
		school: 'nape-first',
		minutes: 7,
		goals: ['under-chin', 'jaw-contour'],
		notes: '',
		phases: NAPE_TO_COLLARBONE
	}
];

/** The six sequences of the demo practice. */
export const demoSequences = (updatedAt: string): Sequence[] =>
	SPECS.map(({ phases, ...score }) =>
		sequenceFromSpec(
			{ ...score, phases: phases.map(([title, rows]) => ({ title, rows })) },
			{ id: `demo-${score.id}`, updatedAt }
		)
	);
