/** What a step is where nothing else is said. Made anew by `...`; nothing in it is ever changed. */
export const DEFAULT_STEP = {
	lanes: 1,
	reverse: false,
	end: { kind: 'none' },
	posture: 'neutral',
	mouth: 'closed',
	eyes: 'closed',
	breath: 'free',
	by: 'practitioner',
	optional: false,
	note: '',
	why: ''
} as const;
