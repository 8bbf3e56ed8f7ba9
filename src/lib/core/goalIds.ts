/** Ids of the goals; what they ask for is data of its own, fetched where it is read. */
export const GOAL_IDS = [
	'morning-depuff',
	'under-eye',
	'open-eye',
	'forehead-lines',
	'frown-lines',
	'cheekbone',
	'smile-folds',
	'mouth-corners',
	'lip-lines',
	'under-chin',
	'jaw-contour',
	'jaw-tension',
	'neck-lines',
	'sinus-ease',
	'tension-head',
	'wind-down',
	'glow',
	'upkeep',
	'after-travel'
] as const;
export type GoalId = (typeof GOAL_IDS)[number];
