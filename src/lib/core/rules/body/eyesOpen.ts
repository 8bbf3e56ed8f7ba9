import { setStep } from '../../sequence/edits';
import { isEyelid } from '../../atlas/regionOf';
import { touches } from '../facts';
import { stepOfFinding, type Rule } from '../rule';

/** Eyes are closed while the lids are touched. */
export const eyesOpen: Rule = {
	id: 'eyes-open',
	kind: 'body',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check: ({ steps }) =>
		steps
			.filter(({ step }) => step.eyes === 'open' && touches(step) && step.places.some(isEyelid))
			.map(({ step, number }) => ({ stepIds: [step.id], params: { number } })),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		return (
			step && setStep(context.sequence, step.id, { eyes: 'closed' }, `Close the eyes in step ${finding.params.number}`)
		);
	}
};
