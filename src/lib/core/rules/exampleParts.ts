import type { NodeId } from '../atlas/nodes';
import type { PlaceRef } from '../atlas/places';
import type { Step } from '../step/step.schema';
import type { Row } from '../template/spec';

/** Short ways to write rows, for the examples of the rules. */
const LEFT_RIGHT = { each: true, first: 'left' } as const;
export const EACH: Partial<Step> = { side: LEFT_RIGHT };
export const BOTH: Partial<Step> = { side: 'both' };

/** A step along a way, written as places with blanks between. */
export const along = (technique: string, way: string, change?: Partial<Step>): Row => [
	technique,
	way.split(' ') as PlaceRef[],
	change
];
/** A step in its technique's own usual way. */
export const usual = (technique: string, change?: Partial<Step>): Row => [technique, null, change];

export const WASH: Row = usual('clean-hands');
export const oil = (ml: number, id = 'light-oil'): Row => usual('spread-oil', { medium: { id, ml } });

const OPENING: Partial<Record<NodeId, string>> = {
	terminus: 'open-collarbone',
	axillary: 'open-armpit',
	'deep-cervical': 'open-neck',
	'posterior-cervical': 'open-back-of-neck',
	occipital: 'open-skull-base',
	postauricular: 'open-behind-ear',
	preauricular: 'open-before-ear',
	tonsillar: 'open-below-ear',
	submandibular: 'open-under-jaw',
	submental: 'open-under-chin',
	facial: 'open-cheek'
};
/** Openings in the order given, both sides at once. */
export const open = (nodes: readonly NodeId[], change: Partial<Step> = {}): Row[] =>
	nodes.map((node) => [OPENING[node]!, [`n:${node}` as PlaceRef], { ...BOTH, ...change }]);
/** The whole route of those who open from the outlet outwards. */
export const ROUTE: readonly NodeId[] = [
	'axillary',
	'terminus',
	'deep-cervical',
	'tonsillar',
	'submandibular',
	'submental',
	'preauricular'
];
