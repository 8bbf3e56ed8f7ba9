import { zoneOf } from '../../atlas/regionOf';
import { placesTouched } from '../../step/parts';
import { aimRow } from '../../vocabulary/vocabulary';
import { startRegion, touches } from '../facts';
import type { Rule } from '../rule';

/** Who begins at the nape works the nape before chin and jaw. */
export const napeMissing: Rule = {
	id: 'nape-missing',
	kind: 'order',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	policy: (school) =>
		school.order === 'nape-first' ? 'frees the nape before chin and jaw' : 'does not ask for the nape',
	check({ school, steps }) {
		if (school.order !== 'nape-first') return [];
		const jaw = steps.find(
			({ step }) => aimRow(step.aim).worksRegion && touches(step) && ['jaw', 'mouth'].includes(startRegion(step) ?? '')
		);
		if (!jaw) return [];
		const freed = steps.some(
			({ step, number }) => number < jaw.number && placesTouched(step).some((ref) => zoneOf(ref) === 'nape')
		);
		return freed ? [] : [{ stepIds: [jaw.step.id], params: { number: jaw.number } }];
	}
};
