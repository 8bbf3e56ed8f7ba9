import type { ObservationId } from './registry';

/** A place on the face at which a tape is laid on. */
export type TapeEnd = 't' | 'go' | 'pg' | 'chL' | 'alL' | 'enL' | 'exL';
export const TAPE_ENDS: Readonly<Record<TapeEnd, string>> = {
	t: 'the notch just above the tragus of the ear',
	go: 'the corner of the jaw, felt with the teeth together',
	pg: 'the most forward point of the chin',
	chL: 'the corner of the mouth',
	alL: 'the nose wing, where it meets the cheek',
	enL: 'the inner corner of the eye',
	exL: 'the outer corner of the eye'
};

export type TapeGuide =
	| { readonly kind: 'line'; readonly from: TapeEnd; readonly to: TapeEnd }
	/** Round the neck: where between the chin (0) and the collarbone (1). */
	| { readonly kind: 'ring'; readonly at: number; readonly where: string };
const line = (from: TapeEnd, to: TapeEnd): TapeGuide => ({ kind: 'line', from, to });

/** How each distance is taken. To add one is one row. */
export const TAPE_GUIDES: Partial<Record<ObservationId, TapeGuide>> = {
	'tragus-mouth-corner': line('t', 'chL'),
	'jaw-angle-nose-wing': line('go', 'alL'),
	'jaw-angle-outer-canthus': line('go', 'exL'),
	'tragus-chin': line('t', 'pg'),
	'jaw-angle-inner-canthus': line('go', 'enL'),
	'chin-inner-canthus': line('pg', 'enL'),
	'jaw-angle-chin': line('go', 'pg'),
	'neck-upper': { kind: 'ring', at: 0.15, where: 'just below the jaw, level' },
	'neck-middle': { kind: 'ring', at: 0.45, where: 'midway, level' },
	'neck-lower': { kind: 'ring', at: 0.75, where: 'just above the collarbones, level' }
};
export const TAPE_HOW = 'Head level, lips closed, teeth together. Lay the tape on the skin without pressing.';
