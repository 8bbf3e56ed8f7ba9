import type { Contact } from './contacts';
import type { OptionalField } from './fields';
import type { Motion } from './motions';
import type { Labelled } from './rows';

/** What a step is for, and all that is known of such a step. A new aim is a row here and a glyph. */
export interface AimRow extends Labelled {
	/** Where in a sequence such a step belongs. */
	readonly stage: 'opening' | 'work' | 'closing';
	/** Under which of the school's caps its pressure falls; null where only comfort limits. */
	readonly cap: 'fluid' | 'muscle' | null;
	/** Its strokes move fluid on purpose. */
	readonly movesFluid: boolean;
	/** It goes through the nodes: what forbids work on them forbids it. */
	readonly throughNodes: boolean;
	/** On the face it leaves fluid where it ends, which then wants a way out. */
	readonly leavesFluid: boolean;
	/** It works a region, which is finished before the next. */
	readonly worksRegion: boolean;
	/** Along the jaw its strokes go on to the nodes or to the ear. */
	readonly goesOnAlongJaw: boolean;
	/** It pulls on the skin, so that it matters whether it ends upwards or downwards. */
	readonly pullsSkin: boolean;
	/** Its sliding moves want a film. */
	readonly wantsSlip: boolean;
	/** It is done at a place; false where it may be done to the whole face, to hands or to tools. */
	readonly needsPlace: boolean;
	/** Its counts are what it is for: shortening leaves them. */
	readonly keepsCount: boolean;
	/** Its time is what it needs: hygiene, soaking, cold and what is put on or laid are neither shortened nor drawn out. */
	readonly keepsTime: boolean;
	/** Over several places its dose is given to all of them together. */
	readonly overAll: boolean;
	/** It is counted in breaths, and other doses of it are as long as one likes. */
	readonly inBreaths: boolean;
	/** The zones where it begins are looked at before and after the session. */
	readonly lookedAt: boolean;
	/** Place among what is offered, from 0. */
	readonly rank: number;
	/** Parts of a step that are usually told with it. */
	readonly asks: readonly OptionalField[];
	/** What a line leaves unsaid (working values): on one place or none, and over several. */
	readonly usual: {
		readonly contact: Contact;
		readonly spot: Motion;
		readonly way: Motion;
		readonly pressure: 0 | 1 | 2 | 3 | 4;
		readonly dose: readonly [kind: 'reps' | 'breaths' | 'seconds', target: number];
		readonly paceSeconds: number;
	};
}

/** Nothing is known of it but that it is done at a place, by hand, over skin with a film. */
const PLAIN = {
	stage: 'work',
	cap: null,
	movesFluid: false,
	throughNodes: false,
	leavesFluid: false,
	worksRegion: false,
	goesOnAlongJaw: false,
	pullsSkin: false,
	wantsSlip: true,
	needsPlace: true,
	keepsCount: false,
	keepsTime: false,
	overAll: false,
	inBreaths: false,
	lookedAt: false,
	rank: 7,
	asks: ['end']
} as const;
const row = (label: string, usual: AimRow['usual'], known: Partial<AimRow> = {}): AimRow => ({
	...PLAIN,
	label,
	usual,
	...known
});
const usual = (
	contact: Contact,
	spot: Motion,
	way: Motion,
	pressure: AimRow['usual']['pressure'],
	dose: AimRow['usual']['dose'],
	paceSeconds: number
): AimRow['usual'] => ({ contact, spot, way, pressure, dose, paceSeconds });

export const AIM_ROWS = {
	settle: row('Settle', usual('flat-hand', 'press-hold', 'press-hold', 0, ['breaths', 3], 10), {
		stage: 'opening',
		needsPlace: false,
		inBreaths: true
	}),
	prepare: row('Prepare', usual('flat-hand', 'sweep', 'sweep', 0, ['seconds', 20], 2), {
		keepsTime: true,
		overAll: true,
		stage: 'opening',
		wantsSlip: false,
		needsPlace: false,
		asks: ['end', 'medium', 'replaces']
	}),
	open: row('Open', usual('flat-3', 'pump', 'pump', 1, ['reps', 7], 1), {
		stage: 'opening',
		throughNodes: true,
		keepsCount: true,
		rank: 0,
		asks: []
	}),
	drain: row('Drain', usual('flat-3', 'press-hold', 'stroke', 1, ['reps', 7], 2.5), {
		cap: 'fluid',
		movesFluid: true,
		throughNodes: true,
		leavesFluid: true,
		worksRegion: true,
		goesOnAlongJaw: true,
		lookedAt: true,
		rank: 1
	}),
	lift: row('Lift', usual('flat-hand', 'lift-hold', 'sweep', 2, ['reps', 8], 2), {
		cap: 'muscle',
		leavesFluid: true,
		worksRegion: true,
		goesOnAlongJaw: true,
		pullsSkin: true,
		rank: 3
	}),
	release: row('Release', usual('knuckles', 'knead', 'stroke', 3, ['seconds', 40], 2), {
		cap: 'muscle',
		leavesFluid: true,
		worksRegion: true,
		pullsSkin: true,
		lookedAt: true,
		rank: 2,
		asks: ['end', 'breath', 'until']
	}),
	point: row('Point', usual('pads-2', 'press-hold', 'press-hold', 2, ['seconds', 20], 10), {
		cap: 'muscle',
		rank: 5,
		asks: ['end', 'breath']
	}),
	stimulate: row('Stimulate', usual('pads-4', 'tap', 'tap', 1, ['seconds', 20], 0.5), { pullsSkin: true, rank: 6 }),
	exercise: row('Exercise', usual('none', 'resisted', 'resisted', 0, ['reps', 8], 3), {
		overAll: true,
		wantsSlip: false,
		needsPlace: false,
		asks: ['end', 'by', 'mouth']
	}),
	fix: row('Tape', usual('pads-2', 'press-hold', 'press-hold', 0, ['reps', 1], 10), {
		keepsTime: true,
		overAll: true,
		wantsSlip: false,
		asks: ['tape']
	}),
	cool: row('Cool', usual('flat-hand', 'press-hold', 'sweep', 0, ['seconds', 20], 3), {
		keepsTime: true,
		inBreaths: true
	}),
	cleanse: row('Cleanse', usual('none', 'none', 'none', 0, ['seconds', 20], 1), {
		keepsTime: true,
		overAll: true,
		wantsSlip: false,
		needsPlace: false,
		asks: ['end', 'replaces']
	}),
	close: row('Close', usual('flat-3', 'pump', 'stroke', 1, ['reps', 5], 3), {
		stage: 'closing',
		cap: 'fluid',
		movesFluid: true,
		throughNodes: true,
		leavesFluid: true,
		goesOnAlongJaw: true,
		keepsCount: true,
		rank: 4
	})
} as const satisfies Record<string, AimRow>;
export type Aim = keyof typeof AIM_ROWS;
