import { isInside } from '../facts';
import { licenceEntry } from '../../screening/licence';
import type { Rule } from '../rule';

/** Said each time: work inside the mouth may need a licence of its own. */
export const insideLicence: Rule = {
	id: 'inside-licence',
	kind: 'inside',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	check({ steps, licence }) {
		// Who has looked it up and is covered need not be told each time.
		if (licenceEntry(licence, 'inside')?.covers === 'yes') return [];
		const first = steps.find(({ step }) => isInside(step));
		return first ? [{ stepIds: [first.step.id], params: { number: first.number } }] : [];
	}
};
