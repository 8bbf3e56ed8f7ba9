import {
	along,
	BOTH,
	breaths,
	CLEAN_TOOL,
	CLOSE,
	EACH,
	NECK,
	oil,
	open,
	ROUTE,
	SETTLE,
	times,
	usual,
	WASH
} from './parts';
import type { Score } from './score';

const SELF = { performer: 'self' } as const;
const SHORT = times(5, 7, 10);

/** Ready sequences of the two schools that clear: outlet first, and drain every move. */
export const CLEARING: readonly Score[] = [
	{
		id: 'ready-first-light',
		title: 'First light',
		school: 'outlet-first',
		minutes: 9,
		goals: ['morning-depuff', 'under-eye'],
		notes: 'For a face that slept too flat. All of it light; the skin moves, nothing beneath does.',
		medium: null,
		phases: [
			{ title: 'Arrive and open', rows: [WASH, SETTLE, ...open(ROUTE)] },
			{ title: 'Neck', rows: [oil(0.9), ...NECK] },
			{
				title: 'Face, from the exit up',
				rows: [
					usual('jaw-to-under-jaw', BOTH),
					usual('chin-outward', BOTH),
					usual('apple-out', BOTH),
					usual('under-eye-cheekbone', BOTH),
					usual('temple-down', BOTH),
					usual('forehead-out', { ...BOTH, ...times(3, 5, 10) })
				]
			},
			{ title: 'Close', rows: [...CLOSE, usual('cover-eyes', breaths(2))] }
		]
	},
	{
		id: 'ready-three-at-the-sink',
		title: 'Three minutes at the sink',
		school: 'outlet-first',
		minutes: 3,
		goals: ['morning-depuff'],
		notes: 'Dry hands would drag: two drops are enough.',
		medium: null,
		...SELF,
		phases: [
			{ title: 'Open', rows: open(ROUTE, SHORT) },
			{ title: 'Neck', rows: [oil(0.5), usual('neck-side-down', { ...BOTH, ...times(3, 3, 6) })] },
			{
				title: 'Face',
				rows: [
					usual('jaw-to-under-jaw', { ...BOTH, ...times(3, 4, 8) }),
					usual('apple-out', { ...BOTH, ...times(3, 4, 8) }),
					usual('under-eye-cheekbone', { ...BOTH, ...times(3, 4, 8) })
				]
			},
			{
				title: 'Close',
				rows: [
					usual('close-ear-chain', times(2, 2, 4)),
					usual('close-jaw-chain', times(2, 2, 4)),
					usual('closing-pump', times(5, 5, 10))
				]
			}
		]
	},
	{
		id: 'ready-neck-or-more',
		title: 'Neck, and more if there is time',
		school: 'outlet-first',
		minutes: 6,
		goals: ['after-travel', 'morning-depuff'],
		notes: 'After the neck it may end: that part is whole in itself.',
		medium: null,
		...SELF,
		phases: [
			{ title: 'Open', rows: open(ROUTE) },
			{
				title: 'Neck',
				exitAfter: true,
				rows: [
					oil(0.8),
					usual('neck-behind-ear-down', BOTH),
					usual('nape-down', BOTH),
					usual('throat-outward', EACH),
					along('closing-pump', 'n:terminus', times(5, 7, 12))
				]
			},
			{
				title: 'Face',
				rows: [usual('jaw-to-under-jaw', BOTH), usual('apple-out', BOTH), usual('under-eye-out', BOTH)]
			},
			{ title: 'Close', rows: CLOSE }
		]
	},
	{
		id: 'ready-cool-lids',
		title: 'Cool lids',
		school: 'outlet-first',
		minutes: 7,
		goals: ['under-eye', 'open-eye'],
		notes: 'Globes and spoon from the fridge, never from the freezer.',
		medium: null,
		phases: [
			{ title: 'Open', rows: [WASH, CLEAN_TOOL, ...open(ROUTE, SHORT)] },
			{ title: 'Neck', rows: [oil(0.6), usual('neck-side-down', EACH)] },
			{
				title: 'Eyes, cool',
				rows: [
					usual('spoon-under-eye'),
					usual('spoon-lid'),
					along('globes-out', 'lower-eyelid zygoma preauricular n:preauricular', BOTH),
					usual('globes-hold', BOTH)
				]
			},
			{ title: 'Close', rows: [...CLOSE, CLEAN_TOOL] }
		]
	},
	{
		id: 'ready-whole-face',
		title: 'The whole face, unhurried',
		school: 'outlet-first',
		minutes: 30,
		goals: ['morning-depuff', 'after-travel', 'wind-down'],
		notes: 'Half an hour of nothing but light strokes, and twice the breath.',
		medium: null,
		phases: [
			{
				title: 'Arrive',
				rows: [WASH, along('settle-breaths', 'shoulder', { ...BOTH, ...breaths(4) }), usual('settle-hands-on-head')]
			},
			{ title: 'Open', rows: open(ROUTE, times(5, 10, 10)) },
			{
				title: 'Chest and neck',
				rows: [
					oil(1.2),
					usual('chest-to-armpit', { ...EACH, medium: { id: 'light-oil', ml: 0.8 } }),
					usual('shoulder-to-armpit', { ...EACH, medium: { id: 'light-oil', ml: 0.6 } }),
					usual('neck-behind-ear-down', EACH),
					...NECK,
					usual('nape-down', EACH)
				]
			},
			{
				title: 'Jaw and mouth',
				rows: [
					...open(['postauricular', 'preauricular', 'submandibular', 'submental']),
					usual('ear-split', EACH),
					usual('ear-behind-down', EACH),
					usual('under-chin-outward', EACH),
					usual('jaw-to-under-jaw', EACH),
					usual('chin-outward', BOTH),
					usual('lower-lip-out', BOTH),
					usual('mouth-corner-out', BOTH)
				]
			},
			{
				title: 'Cheeks',
				rows: [
					...open(['terminus', 'deep-cervical', 'tonsillar', 'submandibular', 'preauricular', 'facial']),
					usual('apple-out', EACH),
					usual('face-stations', BOTH),
					usual('smile-fold-down', BOTH),
					usual('cheekbone-out', EACH)
				]
			},
			{
				title: 'Eyes and forehead',
				rows: [
					usual('take-more-oil', { medium: { id: 'light-oil', ml: 0.5 } }),
					usual('under-eye-out', EACH),
					usual('upper-lid-out', EACH),
					usual('temple-down', EACH),
					usual('brow-out', BOTH),
					usual('forehead-out', EACH)
				]
			},
			{
				title: 'Close',
				rows: [
					...open(['terminus', 'deep-cervical', 'tonsillar', 'submandibular', 'preauricular']),
					usual('forehead-to-collarbone', BOTH),
					usual('neck-behind-ear-down', EACH),
					...CLOSE,
					along('settle-breaths', 'forehead-medial', { side: 'midline', ...breaths(4) }),
					usual('cover-eyes', breaths(4))
				]
			}
		]
	},
	{
		id: 'ready-nothing-waits',
		title: 'Nothing waits: eyes',
		school: 'drain-every-move',
		minutes: 5,
		goals: ['under-eye', 'open-eye'],
		notes: 'Each move on the face goes on to the collarbone before the next begins.',
		medium: null,
		...SELF,
		phases: [
			{ title: 'Open', rows: open(ROUTE) },
			{ title: 'Neck', rows: [oil(0.8), usual('neck-side-down', BOTH)] },
			{
				title: 'Temple and eyes',
				rows: [
					usual('under-eye-cheekbone', BOTH),
					usual('under-eye-out', BOTH),
					usual('upper-lid-out', BOTH),
					usual('temple-down', BOTH),
					usual('brow-out', BOTH)
				]
			},
			{ title: 'Close', rows: [usual('closing-pump')] }
		]
	},
	{
		id: 'ready-clear-jaw',
		title: 'Clear jaw, move by move',
		school: 'drain-every-move',
		minutes: 10,
		goals: ['jaw-contour', 'under-chin'],
		notes: 'The stroke never stops on the bone: it goes on to the nodes, and from there down.',
		medium: null,
		phases: [
			{ title: 'Open', rows: [WASH, SETTLE, ...open(ROUTE)] },
			{ title: 'Neck', rows: [oil(0.9), ...NECK] },
			{ title: 'Under the chin', rows: [usual('under-chin-outward', EACH), usual('under-jaw-back', EACH)] },
			{
				title: 'Jaw',
				rows: [
					usual('jaw-to-under-jaw', EACH),
					usual('jaw-scoop', { ...EACH, pressure: 2 }),
					usual('chin-outward', BOTH)
				]
			},
			{ title: 'Close', rows: [usual('closing-pump'), usual('cover-eyes', breaths(1))] }
		]
	},
	{
		id: 'ready-free-nose',
		title: 'Free nose',
		school: 'drain-every-move',
		minutes: 5,
		goals: ['sinus-ease'],
		notes: 'Not with fever or a real infection: that is for a doctor.',
		medium: null,
		phases: [
			{ title: 'Open', rows: [WASH, ...open(ROUTE, SHORT), ...open(['facial'], SHORT)] },
			{ title: 'Neck', rows: [oil(0.8), usual('neck-side-down', EACH)] },
			{
				title: 'Nose and cheek',
				rows: [
					usual('point-li20', breaths(2)),
					usual('nose-side-circles', BOTH),
					along('nose-side-down', 'nose-bridge nose-wing nasolabial buccal n:facial n:submandibular', BOTH),
					usual('apple-down', BOTH)
				]
			},
			{ title: 'Close', rows: [usual('closing-pump')] }
		]
	}
];
