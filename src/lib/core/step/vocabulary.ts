/** The fixed vocabulary of a step, each word with its label. Ids are the same in code, files, server and DOM. */

export const AIMS = {
	settle: 'Settle',
	prepare: 'Prepare',
	open: 'Open',
	drain: 'Drain',
	lift: 'Lift',
	release: 'Release',
	point: 'Point',
	stimulate: 'Stimulate',
	exercise: 'Exercise',
	fix: 'Tape',
	cool: 'Cool',
	cleanse: 'Cleanse',
	close: 'Close'
} as const;

export const MOTIONS = {
	'press-hold': 'Press and hold',
	pump: 'Pump',
	stroke: 'Stroke, let go',
	sweep: 'Sweep',
	'squeeze-stroke': 'Squeeze-stroke',
	'hand-over-hand': 'Hand over hand',
	'lift-hold': 'Lift and hold',
	flick: 'Flick',
	zigzag: 'Zigzag',
	wiggle: 'Wiggle',
	'c-stroke': 'C-stroke',
	fan: 'Fan',
	'figure-eight': 'Figure of eight',
	'pinned-circle': 'Pinned circle',
	vibrate: 'Vibrate',
	knead: 'Knead',
	'pinch-roll': 'Pinch and roll',
	'skin-lift': 'Lift the skin',
	'opposed-stretch': 'Opposed stretch',
	tap: 'Tap',
	scoop: 'Scoop',
	scrape: 'Scrape',
	resisted: 'Resisted',
	none: 'No movement'
} as const;

export const CONTACTS = {
	'pads-2': 'Two pads',
	'pads-3': 'Three pads',
	'pads-4': 'Four pads',
	'flat-2': 'Two fingers',
	'flat-3': 'Three fingers',
	'ring-finger': 'Ring finger',
	'index-hook': 'Index hook',
	thumb: 'Thumb',
	thumbs: 'Thumbs',
	'flat-hand': 'Flat hand',
	'crossed-hands': 'Crossed hands',
	heel: 'Heel of the hand',
	'back-of-fingers': 'Back of the fingers',
	knuckles: 'Knuckles',
	fist: 'Fist',
	'v-fingers': 'V of two fingers',
	'split-ear': 'Fingers split at the ear',
	'split-jaw': 'Fingers split at the jaw',
	'split-collarbone': 'Fingers split at the collarbone',
	pinch: 'Pinch grip',
	'thumb-inside': 'Gloved thumb inside',
	tool: 'Tool',
	none: 'No contact'
} as const;

export const TOOLS = {
	'stone-plate': 'Stone plate',
	spoon: 'Spoon',
	roller: 'Roller',
	'cold-globes': 'Cold globes',
	cloth: 'Cloth',
	tape: 'Tape',
	'soft-brush': 'Soft brush',
	gloves: 'Gloves'
} as const;

export const STONE_EDGES = {
	'long-concave': 'Long concave edge',
	'long-convex': 'Long convex edge',
	notch: 'Notch',
	comb: 'Comb',
	corner: 'Corner'
} as const;

export const POSTURES = {
	neutral: 'Head neutral',
	tilted: 'Head tilted',
	turned: 'Head turned',
	'chin-up': 'Chin up',
	forward: 'Head forward',
	leaning: 'Leaning in'
} as const;
export const MOUTHS = {
	closed: 'Mouth closed',
	parted: 'Lips parted',
	'lips-over-teeth': 'Lips over the teeth',
	o: 'Mouth as an O',
	puffed: 'Cheeks puffed',
	'jaw-forward': 'Jaw forward',
	'tongue-up': 'Tongue to the palate'
} as const;
export const BREATHS = {
	free: 'Breath free',
	'out-while-pressing': 'Out while pressing',
	'in-before': 'In before',
	'off-in-on-out': 'Hands off on the in-breath',
	'one-a-station': 'One breath a station'
} as const;
export const UNTIL_SIGNS = { warm: 'warm', softer: 'softer', pink: 'pink', numb: 'numb' } as const;

export type Aim = keyof typeof AIMS;
export type Motion = keyof typeof MOTIONS;
export type Contact = keyof typeof CONTACTS;
export type ToolId = keyof typeof TOOLS;
export type StoneEdge = keyof typeof STONE_EDGES;

/** The keys of a vocabulary table, typed for z.enum. */
export const idsOf = <T extends object>(table: T) => Object.keys(table) as [keyof T & string, ...(keyof T & string)[]];

/** Motions that stay where they are: over several places, a dose in time counts for each place. */
const STATIONARY: readonly Motion[] = [
	'press-hold',
	'pump',
	'lift-hold',
	'wiggle',
	'pinned-circle',
	'vibrate',
	'knead',
	'pinch-roll',
	'skin-lift',
	'opposed-stretch',
	'tap',
	'resisted',
	'none'
];
export const isStationary = (motion: Motion): boolean => STATIONARY.includes(motion);

/** Moves that stay on a node group and press it: pump, hold, circle. */
export const staysOnNode = (motion: Motion): boolean => ['pump', 'press-hold', 'pinned-circle'].includes(motion);

/** Contact area of each contact, cm² (working values); null where nothing presses. */
export const CONTACT_AREA_CM2: Record<Contact, number | null> = {
	'pads-2': 2.5,
	'pads-3': 4,
	'pads-4': 5.5,
	'flat-2': 6,
	'flat-3': 9,
	'ring-finger': 1,
	'index-hook': 4,
	thumb: 2.5,
	thumbs: 5,
	'flat-hand': 60,
	'crossed-hands': 60,
	heel: 20,
	'back-of-fingers': 12,
	knuckles: 8,
	fist: 12,
	'v-fingers': 4,
	'split-ear': 6,
	'split-jaw': 6,
	'split-collarbone': 6,
	pinch: 2,
	'thumb-inside': 2.5,
	tool: 6,
	none: null
};
