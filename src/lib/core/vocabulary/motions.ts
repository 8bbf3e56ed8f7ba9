import type { OptionalField } from './fields';
import type { Labelled } from './rows';

/** How a hand moves, and all that is known of such a move. A new motion is a row here and a glyph. */
export interface MotionRow extends Labelled {
	/** It stays where it is: over several places, a dose in time counts for each place. */
	readonly stays: boolean;
	/** It opens a node group. */
	readonly opens: boolean;
	/** It goes round and to and fro on its place, so that it can be done the other way round. */
	readonly circles: boolean;
	/** It rests: its swell is flat-topped. */
	readonly holds: boolean;
	/** It wants bare skin: a film lets the fold slip out of the fingers. */
	readonly wantsBareSkin: boolean;
	/** Its touches land and lift, so that it needs no film. */
	readonly lands: boolean;
	/** Over several places its dose is given to all of them together. */
	readonly overAll: boolean;
	/** One side takes both hands. */
	readonly bothHands: boolean;
	/** It may bruise skin that bruises easily, however lightly it is done. */
	readonly bruises: boolean;
	/** Set along a way to drain it, it carries fluid from place to place without sliding. */
	readonly carries: boolean;
	/** Its stroke has no head: the line itself shows where it goes. */
	readonly headless: boolean;
	/** What the flow model makes of it; null where it knows nothing like it. */
	readonly flow: 'stroke' | 'pump' | 'hold' | 'rub' | 'tap' | null;
	/** Parts of a step that are usually told with it. */
	readonly asks: readonly OptionalField[];
}

const NOTHING = {
	stays: false,
	opens: false,
	circles: false,
	holds: false,
	wantsBareSkin: false,
	lands: false,
	overAll: false,
	bothHands: false,
	bruises: false,
	carries: false,
	headless: false,
	flow: 'stroke',
	asks: []
} as const;
const slides = (label: string, known: Partial<MotionRow> = {}): MotionRow => ({ ...NOTHING, label, ...known });
const stays = (label: string, flow: MotionRow['flow'], known: Partial<MotionRow> = {}): MotionRow => ({
	...NOTHING,
	label,
	stays: true,
	flow,
	...known
});

export const MOTION_ROWS = {
	'press-hold': stays('Press and hold', 'hold', { holds: true }),
	pump: stays('Pump', 'pump', { opens: true }),
	stroke: slides('Stroke, let go'),
	sweep: slides('Sweep'),
	'squeeze-stroke': slides('Squeeze-stroke'),
	'hand-over-hand': slides('Hand over hand', { bothHands: true, asks: ['support'] }),
	'lift-hold': stays('Lift and hold', 'hold', { holds: true }),
	flick: slides('Flick'),
	zigzag: slides('Zigzag', { headless: true }),
	wiggle: stays('Wiggle', 'rub', { circles: true }),
	'c-stroke': slides('C-stroke'),
	fan: slides('Fan'),
	'figure-eight': slides('Figure of eight'),
	'pinned-circle': stays('Stationary circle', 'rub', { circles: true, carries: true, asks: ['reverse'] }),
	vibrate: stays('Vibrate', 'rub', { circles: true }),
	knead: stays('Knead', 'rub', { circles: true }),
	'pinch-roll': stays('Pinch and roll', 'rub', { wantsBareSkin: true, bruises: true }),
	'skin-lift': stays('Lift the skin', 'hold', { wantsBareSkin: true, bruises: true }),
	'sliding-circle': slides('Sliding circle'),
	'l-stroke': slides('L-stroke'),
	'j-stroke': slides('J-stroke'),
	'j-pump': stays('J-pump', 'pump', { opens: true }),
	rock: stays('Rock', 'rub', { circles: true }),
	'tap-along': slides('Tap along', { flow: 'tap', lands: true }),
	'skin-stretch': stays('Stretch the skin', 'hold', { carries: true }),
	'opposed-stretch': stays('Opposed stretch', 'hold', { bothHands: true, asks: ['support'] }),
	tap: stays('Tap', 'tap'),
	scoop: slides('Scoop'),
	scrape: slides('Scrape', { bruises: true }),
	resisted: stays('Resisted', null, { overAll: true }),
	'head-circles': stays('Circle the head', null, { circles: true, overAll: true }),
	'jaw-opening': stays('Open the jaw', null, { overAll: true }),
	'active-stretch': stays('Stretch actively', null, { overAll: true }),
	none: stays('No movement', 'hold', { holds: true, overAll: true })
} as const satisfies Record<string, MotionRow>;
export type Motion = keyof typeof MOTION_ROWS;
