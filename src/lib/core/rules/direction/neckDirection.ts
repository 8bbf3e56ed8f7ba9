import { riseOf, startRegion } from '../facts';
import type { Rule } from '../rule';

/** Strokes on the neck run as the school runs them. */
export const neckDirection: Rule = {
	id: 'neck-direction',
	kind: 'direction',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	policy: (school) => (school.neckDirection === 'up' ? 'lifts also up the neck' : 'strokes the neck down'),
	check: ({ steps, school }) =>
		school.neckDirection === 'up'
			? []
			: steps
					.filter(({ step }) => step.aim === 'lift' && startRegion(step) === 'neck' && riseOf(step) > 0)
					.map(({ step, number }) => ({ stepIds: [step.id], params: { number } }))
};
