import { setStep } from '../../sequence/edits';
import { peakLevel } from '../../step/levelsOf';
import { contactRow } from '../../vocabulary/vocabulary';
import { isEyelid } from '../../atlas/regionOf';
import { stepOfFinding, type Rule } from '../rule';

/** On the lids the ring finger is the one that cannot press too hard. */
export const lidContact: Rule = {
	id: 'lid-contact',
	kind: 'pressure',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check: ({ steps }) =>
		steps
			.filter(({ step }) => peakLevel(step) > 0 && !contactRow(step.contact).gentleOnLids && step.places.some(isEyelid))
			.map(({ step, number }) => ({ stepIds: [step.id], place: step.places.find(isEyelid)!, params: { number } })),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		const label = `Take the ring finger in step ${finding.params.number}`;
		return step && setStep(context.sequence, step.id, { contact: 'ring-finger', tool: undefined }, label);
	}
};
