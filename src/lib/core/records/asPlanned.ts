import type { Session } from './session';

/** Of a session that went as planned so far. */
export const AS_PLANNED = {
	planned: null,
	guided: true,
	happened: [],
	corrections: [],
	earlier: [],
	blind: false,
	endedBecause: null,
	told: ''
} satisfies Partial<Session>;
