import { setStep } from '../../sequence/edits';
import { riseOf, turnedRound } from '../facts';
import { stepOfFinding, type Rule } from '../rule';

/** A lift ends no lower than it began. */
export const liftDown: Rule = {
	id: 'lift-down',
	kind: 'direction',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	check: ({ steps }) =>
		steps
			.filter(({ step }) => step.aim === 'lift' && riseOf(step) < 0)
			.map(({ step, number }) => ({ stepIds: [step.id], params: { number } })),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		return (
			step && setStep(context.sequence, step.id, turnedRound(step), `Lift upwards in step ${finding.params.number}`)
		);
	}
};
