import { along, BOTH, breaths, CLEAN_TOOL, CLOSE, EACH, oil, open, seconds, SETTLE, times, usual, WASH } from './parts';
import type { Score } from './score';

const SELF = { performer: 'self' } as const;
const RELEASE_NODES = ['terminus', 'deep-cervical', 'tonsillar', 'submandibular', 'preauricular'] as const;
const NAPE_NODES = ['terminus', 'posterior-cervical', 'occipital', 'deep-cervical', 'tonsillar'] as const;

/** Ready sequences of the two schools that begin with muscle: release, then drain, and nape first. */
export const RELEASING: readonly Score[] = [
	{
		id: 'ready-let-the-jaw-go',
		title: 'Let the jaw go',
		school: 'release-then-drain',
		minutes: 12,
		goals: ['jaw-tension', 'tension-head'],
		notes: 'Dry first, deep on the out-breath, never painful; then oil and one light pass.',
		medium: null,
		phases: [
			{ title: 'Arrive', rows: [WASH, along('settle-breaths', 'shoulder', BOTH), usual('shoulder-sink')] },
			{
				title: 'Muscle, dry',
				rows: [
					usual('shoulder-knead', EACH),
					usual('skull-base-fingers', BOTH),
					usual('scalp-shift', BOTH),
					usual('temple-circles', BOTH),
					usual('masseter-circles', BOTH),
					usual('masseter-melt', EACH),
					usual('under-chin-press', BOTH)
				]
			},
			{ title: 'Open', rows: [...open(RELEASE_NODES), oil(0.9)] },
			{
				title: 'Drain',
				rows: [
					usual('neck-side-down', EACH),
					usual('masseter-down', BOTH),
					usual('jaw-to-under-jaw', BOTH),
					usual('temple-down', BOTH)
				]
			},
			{ title: 'Close', rows: CLOSE }
		]
	},
	{
		id: 'ready-from-inside',
		title: 'Smile folds from inside',
		school: 'release-then-drain',
		minutes: 15,
		goals: ['smile-folds', 'mouth-corners', 'jaw-tension'],
		notes: 'May need a licence of its own where you work: follow your local code. Two or three times a week at most.',
		medium: null,
		phases: [
			{ title: 'Arrive', rows: [WASH, SETTLE] },
			{
				title: 'Outside, dry',
				rows: [usual('masseter-circles', BOTH), usual('cheekbone-press', BOTH), usual('chin-knead', BOTH)]
			},
			{
				title: 'Inside, gloved',
				rows: [usual('gloves-on'), usual('inside-smile-fold'), usual('inside-mouth-corner'), usual('thumb-inside')]
			},
			{ title: 'Clean and open', rows: [WASH, ...open(RELEASE_NODES), oil(0.9)] },
			{
				title: 'Drain',
				rows: [
					usual('neck-side-down', EACH),
					usual('masseter-down', BOTH),
					usual('mouth-corner-out', BOTH),
					usual('smile-fold-down', BOTH),
					usual('apple-out', BOTH)
				]
			},
			{ title: 'Close', rows: CLOSE }
		]
	},
	{
		id: 'ready-frown-off-duty',
		title: 'Frown off duty',
		school: 'release-then-drain',
		minutes: 6,
		goals: ['frown-lines', 'forehead-lines'],
		notes: 'Without oil until the end; in the evening, when the face has done its work.',
		medium: null,
		...SELF,
		phases: [
			{
				title: 'Muscle, dry',
				rows: [
					usual('temple-ten', BOTH),
					usual('frown-circles', { ...BOTH, pressure: 2 }),
					usual('frown-stretch'),
					usual('brow-pinch', EACH),
					usual('forehead-skin-lift', BOTH),
					usual('point-ex-hn3'),
					usual('point-bl2', BOTH)
				]
			},
			{ title: 'Open', rows: [...open(RELEASE_NODES), oil(0.7)] },
			{ title: 'Drain', rows: [usual('neck-side-down', BOTH), usual('frown-out', BOTH), usual('forehead-out', BOTH)] },
			{ title: 'Close', rows: [usual('close-ear-chain'), usual('closing-pump')] }
		]
	},
	{
		id: 'ready-tape-for-the-evening',
		title: 'Worked, wiped and taped',
		school: 'release-then-drain',
		minutes: 9,
		goals: ['frown-lines', 'forehead-lines'],
		notes: 'Three hours at most the first time, to see how the skin takes it.',
		medium: null,
		phases: [
			{
				title: 'Muscle, dry',
				rows: [
					WASH,
					usual('frown-circles', BOTH),
					usual('frown-stretch'),
					usual('forehead-skin-lift', BOTH),
					usual('scalp-shift', BOTH)
				]
			},
			{ title: 'Open', rows: [...open(RELEASE_NODES), oil(0.8)] },
			{
				title: 'Drain',
				rows: [usual('neck-side-down', EACH), usual('frown-out', BOTH), usual('forehead-out', BOTH), ...CLOSE]
			},
			{ title: 'Wipe', rows: [usual('remove-oil'), usual('brow-resist', times(3, 5, 10))] },
			{
				title: 'Tape',
				rows: [
					usual('tape-frown', { ...BOTH, tape: { lengthMm: 40, widthMm: 15, wearHours: 3 } }),
					usual('tape-forehead', { ...BOTH, tape: { lengthMm: 60, widthMm: 25, wearHours: 3 } })
				]
			}
		]
	},
	{
		id: 'ready-nape-and-chin',
		title: 'Nape, chin, bone',
		school: 'nape-first',
		minutes: 12,
		goals: ['under-chin', 'jaw-contour'],
		notes: 'First the back of the neck, then under the chin, along the bone to the ear, and down behind it.',
		medium: null,
		phases: [
			{
				title: 'Arrive and open',
				rows: [WASH, SETTLE, ...open(NAPE_NODES), ...open(['submandibular', 'submental', 'preauricular'])]
			},
			{
				title: 'Nape',
				rows: [
					usual('nape-knead', { ...BOTH, pressure: 2 }),
					usual('skull-base-fingers', BOTH),
					oil(1),
					usual('nape-down', EACH)
				]
			},
			{
				title: 'Under the chin',
				rows: [usual('throat-outward', EACH), usual('under-chin-outward', EACH), usual('under-chin-scoop')]
			},
			{
				title: 'Along the bone',
				rows: [usual('jaw-to-under-jaw', EACH), usual('hook-lift', { ...EACH, pressure: 2 }), usual('jaw-to-ear', EACH)]
			},
			{ title: 'Behind the ear and down', rows: [usual('neck-behind-ear-down', EACH), ...CLOSE] }
		]
	},
	{
		id: 'ready-after-the-screen',
		title: 'After the screen',
		school: 'nape-first',
		minutes: 5,
		goals: ['tension-head', 'after-travel'],
		notes: 'Sitting upright at a table; no oil is needed for the first half.',
		medium: null,
		...SELF,
		phases: [
			{
				title: 'Nape',
				rows: [
					usual('chin-tuck', times(3, 5, 10)),
					usual('skull-base-fingers', BOTH),
					usual('nape-up-down', { ...BOTH, reverse: false }),
					usual('point-gb20', { ...BOTH, ...breaths(2) }),
					usual('temple-circles', { ...BOTH, pressure: 2 })
				]
			},
			{ title: 'Open', rows: open(NAPE_NODES) },
			{ title: 'Down', rows: [oil(0.5), usual('nape-down', BOTH), usual('neck-behind-ear-down', BOTH)] },
			{ title: 'Close', rows: [usual('closing-pump'), usual('cover-eyes')] }
		]
	},
	{
		id: 'ready-night-shore',
		title: 'Night shore',
		school: 'nape-first',
		minutes: 15,
		goals: ['wind-down', 'tension-head'],
		notes: 'Few moves, long ones. Let the breath set the pace.',
		medium: null,
		phases: [
			{
				title: 'Arrive',
				rows: [WASH, along('settle-breaths', 'shoulder', { ...BOTH, ...breaths(5) }), usual('settle-hands-on-head')]
			},
			{
				title: 'Shoulder and nape',
				rows: [
					usual('shoulder-sink', breaths(4)),
					usual('shoulder-knead', { ...EACH, ...seconds(30, 45, 90) }),
					usual('nape-knead', { ...BOTH, pressure: 2, ...seconds(30, 60, 90) }),
					usual('skull-base-fingers', { ...BOTH, ...breaths(3) })
				]
			},
			{
				title: 'Open and down',
				rows: [...open(NAPE_NODES), oil(0.8), usual('nape-down', EACH), usual('neck-side-down', EACH)]
			},
			{
				title: 'Head',
				rows: [
					usual('scalp-shift', BOTH),
					usual('temple-circles', { ...BOTH, pressure: 2 }),
					usual('point-ex-hn3', breaths(3)),
					...open(['preauricular', 'submandibular']),
					usual('temple-down', BOTH)
				]
			},
			{ title: 'Close', rows: [...CLOSE, usual('cover-eyes', breaths(4))] }
		]
	},
	{
		id: 'ready-quick-stone-jaw',
		title: 'Stone and thumb for the jaw',
		school: 'release-then-drain',
		minutes: 10,
		goals: ['jaw-contour', 'jaw-tension'],
		notes: 'Hands for the muscle, stone for the line.',
		medium: null,
		phases: [
			{
				title: 'Muscle, dry',
				rows: [
					WASH,
					CLEAN_TOOL,
					usual('masseter-circles', BOTH),
					usual('chin-knead', BOTH),
					usual('masseter-melt', EACH)
				]
			},
			{ title: 'Open', rows: [...open(RELEASE_NODES), oil(1)] },
			{ title: 'Stone', rows: [usual('stone-jaw-lift'), usual('stone-jaw-out')] },
			{
				title: 'Drain',
				rows: [usual('neck-side-down', EACH), usual('masseter-down', BOTH), usual('jaw-to-under-jaw', BOTH)]
			},
			{ title: 'Close', rows: [...CLOSE, CLEAN_TOOL] }
		]
	}
];
