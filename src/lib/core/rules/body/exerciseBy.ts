import { setStep } from '../../sequence/edits';
import { stepOfFinding, type Rule } from '../rule';

/** An exercise is done by the client: it is her muscle that works. */
export const exerciseBy: Rule = {
	id: 'exercise-by',
	kind: 'body',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check: ({ steps }) =>
		steps
			.filter(({ step }) => step.aim === 'exercise' && step.by === 'practitioner')
			.map(({ step, number }) => ({ stepIds: [step.id], params: { number } })),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		return (
			step && setStep(context.sequence, step.id, { by: 'client' }, `Let the client do step ${finding.params.number}`)
		);
	}
};
