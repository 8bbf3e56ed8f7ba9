import { along, BOTH, breaths, CLEAN_TOOL, CLOSE, EACH, oil, open, SETTLE, times, usual, WASH } from './parts';
import type { Score } from './score';

const SELF = { performer: 'self' } as const;

/** Ready sequences of the two schools that sculpt in long lines: rise and drain, and crown down. */
export const SCULPTING: readonly Score[] = [
	{
		id: 'ready-rising-tide',
		title: 'Rising',
		school: 'rise-and-drain',
		minutes: 10,
		goals: ['cheekbone', 'neck-lines', 'jaw-contour'],
		notes: 'Counts of eight from the chest to the hair, then one long way down.',
		medium: null,
		phases: [
			{ title: 'Arrive', rows: [WASH, SETTLE, oil(1.2), ...open(['terminus'])] },
			{
				title: 'Neck, up',
				rows: [
					usual('chest-up', { ...EACH, ...times(5, 8, 12), medium: { id: 'light-oil', ml: 0.6 } }),
					usual('neck-up', EACH)
				]
			},
			{
				title: 'Jaw and mouth, up',
				rows: [
					usual('hook-lift', { ...EACH, pressure: 2 }),
					usual('jaw-alternate-lift', EACH),
					usual('mouth-corner-lift', BOTH),
					usual('smile-fold-lift', BOTH)
				]
			},
			{
				title: 'Cheeks, up',
				rows: [usual('knuckle-sweep', { ...BOTH, pressure: 2 }), usual('cheek-alternate-lift', EACH)]
			},
			{
				title: 'Forehead, up',
				rows: [usual('brow-lift', BOTH), usual('outer-corner-lift', BOTH), usual('forehead-up', { side: 'midline' })]
			},
			{
				title: 'One long drain',
				rows: [
					...open(['deep-cervical', 'tonsillar', 'preauricular']),
					usual('forehead-to-collarbone', { ...BOTH, pressure: 1, ...times(2, 8, 12) }),
					usual('closing-pump')
				]
			}
		]
	},
	{
		id: 'ready-eight-times-up',
		title: 'Eight times up, at the mirror',
		school: 'rise-and-drain',
		minutes: 4,
		goals: ['upkeep', 'glow'],
		notes: 'Every other day is enough.',
		medium: null,
		...SELF,
		phases: [
			{ title: 'Begin', rows: [oil(0.8), ...open(['terminus'])] },
			{
				title: 'Up',
				rows: [
					usual('v-lift', { ...EACH, pressure: 2 }),
					usual('cheek-heel', { ...BOTH, pressure: 2 }),
					usual('brow-lift', BOTH),
					usual('temple-lift', BOTH)
				]
			},
			{ title: 'Liven', rows: [usual('patter', BOTH), usual('tap-eyes', BOTH)] },
			{
				title: 'Down',
				rows: [usual('forehead-to-collarbone', { ...BOTH, pressure: 1, ...times(2, 5, 8) }), usual('closing-pump')]
			}
		]
	},
	{
		id: 'ready-crown-to-collarbone',
		title: 'From the crown to the collarbone',
		school: 'crown-down',
		minutes: 9,
		goals: ['forehead-lines', 'after-travel', 'frown-lines'],
		notes: 'Everything is pushed before the hands, downwards and out.',
		medium: null,
		phases: [
			{ title: 'Arrive', rows: [WASH, usual('settle-hands-on-head'), oil(1.1), ...open(['terminus'])] },
			{
				title: 'Scalp and forehead',
				rows: [
					usual('scalp-shift', BOTH),
					usual('frown-circles', { ...BOTH, pressure: 2 }),
					usual('forehead-zigzag', BOTH),
					usual('forehead-out', BOTH),
					usual('frown-out', BOTH)
				]
			},
			{ title: 'Eyes', rows: [usual('upper-lid-out', BOTH), usual('under-eye-out', BOTH)] },
			{
				title: 'Cheeks and mouth',
				rows: [usual('apple-out', BOTH), usual('cheek-fan', BOTH), usual('lower-lip-out', BOTH)]
			},
			{
				title: 'Jaw and neck',
				rows: [usual('jaw-to-under-jaw', BOTH), usual('neck-side-down', { ...EACH, pressure: 1 })]
			},
			{ title: 'Light sweeps', rows: [...CLOSE, usual('closing-pump', times(5, 5, 10))] }
		]
	},
	{
		id: 'ready-stone-lines',
		title: 'Stone in long lines',
		school: 'crown-down',
		minutes: 8,
		goals: ['cheekbone', 'jaw-contour'],
		notes: 'One stone, cleaned before and after, nearly flat; change the edge as seldom as you can.',
		medium: null,
		phases: [
			{ title: 'Arrive', rows: [WASH, CLEAN_TOOL, oil(1.2), ...open(['terminus'])] },
			{
				title: 'Forehead and cheeks, round edge',
				rows: [usual('stone-forehead-out'), along('stone-cheek-out', 'malar zygoma preauricular n:preauricular')]
			},
			{
				title: 'Cheekbone and neck, hollow edge',
				rows: [along('stone-cheekbone', 'nasolabial malar zygoma'), usual('stone-neck-down')]
			},
			{ title: 'Jaw, notch', rows: [usual('stone-jaw-lift'), usual('stone-jaw-out')] },
			{ title: 'Close', rows: [...CLOSE, CLEAN_TOOL] }
		]
	},
	{
		id: 'ready-evening-wash',
		title: 'The evening wash',
		school: 'crown-down',
		minutes: 4,
		goals: ['upkeep'],
		notes: 'Wash and massage in one: the cleansing oil comes off with the cloth.',
		medium: null,
		...SELF,
		phases: [
			{
				title: 'Oil',
				rows: [
					usual('spread-oil', { medium: { id: 'cleansing-oil', ml: 1 }, replaces: 'evening cleanser' }),
					...open(['terminus'])
				]
			},
			{
				title: 'Down',
				rows: [
					usual('forehead-out', { ...BOTH, ...times(3, 5, 8) }),
					usual('under-eye-out', { ...BOTH, ...times(3, 4, 8) }),
					usual('apple-out', { ...BOTH, ...times(3, 5, 8) }),
					usual('jaw-to-under-jaw', { ...BOTH, ...times(3, 5, 8) })
				]
			},
			{
				title: 'Close',
				rows: [
					usual('close-ear-chain', times(2, 3, 6)),
					usual('close-jaw-chain', times(2, 3, 6)),
					usual('closing-pump', times(5, 7, 12)),
					usual('remove-oil')
				]
			}
		]
	},
	{
		id: 'ready-glow',
		title: 'Before going out',
		school: 'rise-and-drain',
		minutes: 5,
		goals: ['glow', 'open-eye', 'cheekbone'],
		notes: 'Rosier for an hour or so.',
		medium: null,
		phases: [
			{ title: 'Begin', rows: [WASH, oil(0.9), ...open(['terminus'])] },
			{
				title: 'Lift',
				rows: [
					usual('knuckle-sweep', { ...BOTH, pressure: 2 }),
					usual('brow-lift', BOTH),
					usual('outer-corner-lift', BOTH)
				]
			},
			{
				title: 'Liven',
				rows: [
					usual('jaw-flick', { side: { alternate: true, first: 'left' } }),
					usual('patter', { ...BOTH, ...breaths(2), dose: { kind: 'seconds', min: 10, target: 20, max: 40 } }),
					usual('tap-eyes', BOTH),
					usual('tap-forehead', BOTH)
				]
			},
			{
				title: 'Down',
				rows: [usual('forehead-to-collarbone', { ...BOTH, pressure: 1, ...times(2, 5, 8) }), usual('closing-pump')]
			}
		]
	}
];
