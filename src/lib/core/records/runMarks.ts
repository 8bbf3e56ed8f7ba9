/** What is noted while working: a change of the plan, or something that was felt, used or said. */
export const MARKS = {
	more: 'One more',
	less: 'One less',
	'other-side': 'Other side first',
	evened: 'Other side evened',
	fitted: 'Fitted to the time',
	exit: 'Ended early',
	opened: 'Opened again',
	condition: 'Condition met',
	swapped: 'Another move next',
	sign: 'Until the sign',
	tender: 'Tender here',
	oil: 'Oil added',
	lighter: 'Lighter than planned',
	firmer: 'Firmer than planned',
	note: 'Note',
	'red-flags': 'When to stop, looked up',
	halt: 'Halt'
} as const;
export type MarkId = keyof typeof MARKS;
