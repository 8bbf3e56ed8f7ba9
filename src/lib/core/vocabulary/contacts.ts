import type { OptionalField } from './fields';
import type { Labelled } from './rows';

/** Which part of the hand, or a tool, touches. A new contact is a row here and a footprint. */
export interface ContactRow extends Labelled {
	/** Area that presses, cm² (working value); null where nothing presses, or where the tool says it. */
	readonly areaCm2: number | null;
	/** Hands that one side takes. */
	readonly hands: 0 | 1 | 2;
	/** Cannot press too hard on the lids. */
	readonly gentleOnLids: boolean;
	/** Too strong to be brought to the nape by oneself. */
	readonly strong: boolean;
	/** Goes inside the mouth: gloves or washed hands, and a licence in many places. */
	readonly inside: boolean;
	/** Parts of a step that are usually told with it. */
	readonly asks: readonly OptionalField[];
}

const row = (label: string, areaCm2: number | null, known: Partial<ContactRow> = {}): ContactRow => ({
	label,
	areaCm2,
	hands: 1,
	gentleOnLids: false,
	strong: false,
	inside: false,
	asks: [],
	...known
});

export const CONTACT_ROWS = {
	'pads-2': row('Two pads', 2.5),
	'pads-3': row('Three pads', 4),
	'pads-4': row('Four pads', 5.5),
	'flat-2': row('Two fingers', 6),
	'flat-3': row('Three fingers', 9),
	'ring-finger': row('Ring finger', 1, { gentleOnLids: true }),
	'index-hook': row('Index hook', 4),
	thumb: row('Thumb', 2.5),
	thumbs: row('Thumbs', 5),
	'flat-hand': row('Flat hand', 60, { gentleOnLids: true }),
	'crossed-hands': row('Crossed hands', 60, { hands: 2, strong: true }),
	heel: row('Heel of the hand', 20, { strong: true }),
	'back-of-fingers': row('Back of the fingers', 12),
	knuckles: row('Knuckles', 8, { strong: true }),
	fist: row('Fist', 12, { strong: true }),
	'v-fingers': row('V of two fingers', 4),
	'split-ear': row('Fingers split at the ear', 6),
	'split-jaw': row('Fingers split at the jaw', 6),
	'split-collarbone': row('Fingers split at the collarbone', 6),
	pinch: row('Pinch grip', 2),
	'thumb-inside': row('Gloved thumb inside', 2.5, { hands: 2, inside: true, asks: ['mouth'] }),
	tool: row('Tool', null, { gentleOnLids: true }),
	none: row('No contact', null, { hands: 0, gentleOnLids: true })
} as const satisfies Record<string, ContactRow>;
export type Contact = keyof typeof CONTACT_ROWS;
