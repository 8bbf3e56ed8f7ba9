import type { PlacedStep } from '../../sequence/walk';
import { isFace } from '../../atlas/regionOf';
import { aimRow } from '../../vocabulary/vocabulary';
import { startRegion } from '../facts';
import type { Rule } from '../rule';
import { returnRule } from './returns';

/** The region of the face that is worked; ear and neck lie on every way out and do not count. */
function workedRegion({ step }: PlacedStep): string | null {
	const region = startRegion(step);
	return region && aimRow(step.aim).worksRegion && isFace(region) && region !== 'ear' ? region : null;
}

/** One region is finished before the next. */
export const backAndForth: Rule = {
	id: 'back-and-forth',
	kind: 'effort',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'advice',
	...returnRule(workedRegion)
};
