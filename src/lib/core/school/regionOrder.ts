import type { Region } from '../atlas/regions';
import type { School } from './school.schema';

/** The order in which a school works the regions; the trunk and the neck are cleared first where it says so. */
const ORDERS: Record<School['order'], readonly Region[]> = {
	'exit-first': ['trunk', 'neck', 'ear', 'jaw', 'mouth', 'middle', 'eye', 'forehead'],
	'chest-up': ['trunk', 'neck', 'jaw', 'mouth', 'middle', 'ear', 'eye', 'forehead'],
	'crown-down': ['forehead', 'eye', 'middle', 'ear', 'mouth', 'jaw', 'neck', 'trunk'],
	'nape-first': ['trunk', 'neck', 'jaw', 'mouth', 'ear', 'middle', 'eye', 'forehead'],
	'muscle-first': ['trunk', 'neck', 'ear', 'jaw', 'mouth', 'middle', 'eye', 'forehead']
};

/** Regions from the first worked to the last. */
export const regionsOf = (school: Pick<School, 'order'>): readonly Region[] => ORDERS[school.order];
