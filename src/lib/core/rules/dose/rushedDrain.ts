import { setStep } from '../../sequence/edits';
import { stepOfFinding, type Rule } from '../rule';
import { isFluidStroke } from '../strokes';

/** Pace of a stroke for fluid, seconds a repetition (working values): slower than the vessel fills is never too slow. */
export const SLOW_PACE_SECONDS = 2.5;
export const RUSHED_PACE_SECONDS = 1.5;

/** A stroke for fluid is slow. */
export const rushedDrain: Rule = {
	id: 'rushed-drain',
	kind: 'dose',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	check: ({ steps }) =>
		steps
			.filter(({ step }) => isFluidStroke(step) && step.dose.kind === 'reps' && step.paceSeconds < RUSHED_PACE_SECONDS)
			.map(({ step, number }) => ({ stepIds: [step.id], params: { number, pace: step.paceSeconds } })),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		const label = `Slow step ${finding.params.number} down`;
		return step && setStep(context.sequence, step.id, { paceSeconds: SLOW_PACE_SECONDS }, label);
	}
};
