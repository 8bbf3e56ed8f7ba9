import { firmOnBothSides } from '../../pressure/neck';
import { setStep } from '../../sequence/edits';
import { stepOfFinding, type Rule } from '../rule';

/** Never firmly on both sides of the neck at once. */
export const neckBothSides: Rule = {
	id: 'neck-both-sides',
	kind: 'pressure',
	severity: 'stop',
	floor: 'stop',
	ceiling: 'stop',
	safe: true,
	check(context) {
		return context.steps
			.filter(({ step }) => firmOnBothSides(step, context.working.neckFirmLevel))
			.map(({ step, number }) => ({ stepIds: [step.id], params: { number } }));
	},
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		const side = { each: true as const, first: 'left' as const };
		return setStep(context.sequence, step.id, { side }, `Do step ${finding.params.number} one side at a time`);
	}
};
