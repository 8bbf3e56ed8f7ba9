import { barred, leftOut } from '../../screening/meets';
import { licenceLimits } from '../../screening/licence';
import { wordsOf } from '../client/clientRule';
import type { Rule } from '../rule';

/** Work that the practice itself has noted as not covered by its licence. */
export const outsideLicence: Rule = {
	id: 'outside-licence',
	kind: 'licence',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'stop',
	check({ licence, steps }) {
		const limits = licenceLimits(licence);
		if (!limits.length) return [];
		return steps.flatMap(({ step, number }) => {
			const met = [...leftOut(step, limits).limits, ...barred(step, limits).limits];
			return met.length ? [{ stepIds: [step.id], params: { number, ...wordsOf(met) } }] : [];
		});
	}
};
