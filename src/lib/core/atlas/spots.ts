import { lowered } from '../capital';
import type { PlaceId } from './places';

/** A spot on a finer map than the zones: what it is called, and the place that it belongs to, by which all else is reckoned. */
export interface SpotInfo {
	readonly label: string;
	readonly place: PlaceId;
}
const spot = (label: string, place: PlaceId): SpotInfo => ({ label, place });

/** Named spots, from the crown down to the neck. A new one is a row here. */
export const SPOTS = {
	crown: spot('Crown of the scalp', 'hairline'),
	'front-scalp': spot('Front of the scalp', 'hairline'),
	'side-scalp': spot('Scalp above the ear', 'temple'),
	'back-scalp': spot('Back of the scalp', 'nape'),
	'skull-base': spot('Back of the head, at the base of the skull', 'nape'),
	'two-fingers-below-hairline': spot('Two fingers below the hairline', 'forehead-medial'),
	'inner-brow': spot('Inner third of the brow', 'brow'),
	'mid-brow': spot('Middle of the brow', 'brow'),
	'outer-brow': spot('Outer third of the brow', 'brow'),
	'inner-upper-lid': spot('Inner third of the upper lid', 'upper-eyelid'),
	'outer-upper-lid': spot('Outer third of the upper lid', 'upper-eyelid'),
	'inner-lower-lid': spot('Inner third of the lower lid', 'lower-eyelid'),
	'outer-lower-lid': spot('Outer third of the lower lid', 'lower-eyelid'),
	'ear-rim': spot('Rim of the ear', 'ear'),
	'ear-lobe': spot('Ear lobe', 'ear'),
	'cupids-bow': spot('Bow of the upper lip', 'upper-lip'),
	'mouth-corner': spot('Corner of the mouth', 'marionette'),
	'chin-tip': spot('Tip of the chin', 'chin'),
	'jaw-angle': spot('Angle of the jaw', 'jawline')
} as const satisfies Record<string, SpotInfo>;
export type SpotId = keyof typeof SPOTS;

/** A spot in the middle of a sentence. */
export const spotWords = (id: SpotId): string => lowered(SPOTS[id].label);
