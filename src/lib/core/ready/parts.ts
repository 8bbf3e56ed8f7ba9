import type { NodeId } from '../atlas/nodes';
import type { PlaceRef } from '../atlas/places';
import type { Step } from '../sequence/sequence.schema';
import { ways } from '../technique/entries/entry';
import type { Row } from './score';

/** Rows that many of the ready sequences share. Amounts are working values. */
export const LEFT_RIGHT = { each: true, first: 'left' } as const;
export const EACH: Partial<Step> = { side: LEFT_RIGHT };
export const BOTH: Partial<Step> = { side: 'both' };

/** A step along a way, written as places with blanks between. */
export const along = (technique: string, way: string, change?: Partial<Step>): Row => [
	technique,
	ways(way)[0]!,
	change
];
/** A step in its technique's own usual way. */
export const usual = (technique: string, change?: Partial<Step>): Row => [technique, null, change];

export const times = (min: number, target: number, max: number): Pick<Step, 'dose'> => ({
	dose: { kind: 'reps', min, target, max }
});
export const breaths = (target: number): Pick<Step, 'dose'> => ({
	dose: { kind: 'breaths', min: 1, target, max: Math.max(4, target) }
});
export const seconds = (min: number, target: number, max: number): Pick<Step, 'dose'> => ({
	dose: { kind: 'seconds', min, target, max }
});

export const WASH: Row = usual('clean-hands');
export const CLEAN_TOOL: Row = usual('clean-tool');
export const SETTLE: Row = along('settle-breaths', 'decollete', BOTH);
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

export const NECK: readonly Row[] = [usual('neck-side-down', EACH), usual('throat-outward', EACH)];
export const CLOSE: readonly Row[] = [usual('close-ear-chain'), usual('close-jaw-chain'), usual('closing-pump')];
