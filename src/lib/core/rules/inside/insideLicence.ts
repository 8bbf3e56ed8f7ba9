import { isInside } from '../facts';
import type { Rule } from '../rule';

/** Said each time: work inside the mouth may need a licence of its own. */
export const insideLicence: Rule = {
	id: 'inside-licence',
	kind: 'inside',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	check({ steps }) {
		const first = steps.find(({ step }) => isInside(step));
		return first ? [{ stepIds: [first.step.id], params: { number: first.number } }] : [];
	}
};
