import { setStep } from '../../sequence/edits';
import { stepOfFinding, type Rule } from '../rule';
import { isFluidStroke } from '../strokes';

/** A stroke for fluid is slow. */
export const rushedDrain: Rule = {
	id: 'rushed-drain',
	kind: 'dose',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	check: ({ steps, working }) =>
		steps
			.filter(
				({ step }) => isFluidStroke(step) && step.dose.kind === 'reps' && step.paceSeconds < working.rushedPaceSeconds
			)
			.map(({ step, number }) => ({
				stepIds: [step.id],
				params: { number, pace: step.paceSeconds, slow: working.slowPaceSeconds }
			})),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		const label = `Slow step ${finding.params.number} down`;
		return (
			step &&
			setStep(
				context.sequence,
				step.id,
				{ paceSeconds: Math.max(context.working.slowPaceSeconds, context.working.rushedPaceSeconds) },
				label
			)
		);
	}
};
