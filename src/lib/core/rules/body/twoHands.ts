import { setStep } from '../../sequence/edits';
import type { Step } from '../../step/step.schema';
import { contactRow, motionRow } from '../../vocabulary/vocabulary';
import { stepOfFinding, type Rule } from '../rule';

/** Whether one side already takes both hands. */
export const takesBothHands = (step: Step): boolean =>
	motionRow(step.motion).bothHands || contactRow(step.contact).hands === 2 || step.support?.place !== undefined;

/** Nobody has four hands. */
export const twoHands: Rule = {
	id: 'two-hands',
	kind: 'body',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check: ({ steps }) =>
		steps
			.filter(({ step }) => step.side === 'both' && takesBothHands(step))
			.map(({ step, number }) => ({ stepIds: [step.id], params: { number } })),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		const side = { each: true as const, first: 'left' as const };
		return (
			step && setStep(context.sequence, step.id, { side }, `Do step ${finding.params.number} one side after the other`)
		);
	}
};
