import type { OverLimit } from '../../sequence/cost';
import { setStep } from '../../sequence/edits';
import { passedLimits, STEP_LIMITS, stepCost } from '../../step/stepCost';
import type { Step } from '../../step/step.schema';
import { stepOfFinding, type Rule } from '../rule';
import { cutDose } from './cutDose';

/** The step with the highest count that can be reckoned with; without lanes and stations where no count is low enough. */
function lowered(step: Step): Partial<Step> {
	const cost = stepCost(step);
	const share = Math.min(...passedLimits(cost, STEP_LIMITS).map((kind) => STEP_LIMITS[kind] / cost[kind]));
	const dose = cutDose(step.dose, 0.9 * share);
	const fits = (change: Partial<Step>) => !passedLimits(stepCost({ ...step, ...change }), STEP_LIMITS).length;
	const until = step.until && { ...step.until, capSeconds: Math.min(step.until.capSeconds, STEP_LIMITS.seconds / 4) };
	return fits({ dose, until }) ? { dose, until } : { dose, until, lanes: 1, reverse: false, stations: undefined };
}

/** Of each step, and of the whole, the limit that is passed by most: one finding says it. */
function worstOf(over: readonly OverLimit[]): OverLimit[] {
	const worst = new Map<string | null, OverLimit>();
	for (const one of over) {
		const known = worst.get(one.stepId);
		if (!known || one.asked / one.limit > known.asked / known.limit) worst.set(one.stepId, one);
	}
	// Where a step asks for too much, the whole does too by that alone.
	if (worst.size > 1) worst.delete(null);
	return [...worst.values()];
}

/** What asks for more than is reckoned with: it is cut to one repetition, and nothing else is judged until it asks for less. */
export const tooMuchWork: Rule = {
	id: 'too-much-work',
	kind: 'dose',
	severity: 'stop',
	floor: 'stop',
	ceiling: 'stop',
	check: ({ over, byId }) =>
		worstOf(over).map(({ stepId, kind, asked, limit }) => ({
			stepIds: stepId === null ? [] : [stepId],
			params: { number: byId.get(stepId ?? '')?.number ?? 0, kind, asked, limit }
		})),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		return (
			step && setStep(context.sequence, step.id, lowered(step), `Lower the count of step ${finding.params.number}`)
		);
	}
};
