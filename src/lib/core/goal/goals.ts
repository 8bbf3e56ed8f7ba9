/** Aims of a whole sequence. Claims are worded with care: a goal says what may look or feel different, never what is cured. */
export const GOALS = {
	'morning-depuff': 'Morning de-puffing',
	'under-eye': 'Under-eye puffiness',
	'open-eye': 'Open-eye look',
	'forehead-lines': 'Forehead lines',
	'frown-lines': 'Frown lines',
	cheekbone: 'Cheekbone contour',
	'smile-folds': 'Smile folds',
	'mouth-corners': 'Mouth corners',
	'lip-lines': 'Lip lines',
	'under-chin': 'Chin and under the chin',
	'jaw-contour': 'Jaw contour',
	'jaw-tension': 'Jaw tension',
	'neck-lines': 'Neck lines',
	'sinus-ease': 'Sinus ease',
	'tension-head': 'Tension headache',
	'wind-down': 'Wind-down for sleep',
	glow: 'Circulation and glow',
	upkeep: 'Upkeep',
	'after-travel': 'After travel'
} as const;
export type GoalId = keyof typeof GOALS;
export const GOAL_IDS = Object.keys(GOALS) as [GoalId, ...GoalId[]];
