import { setStep } from '../../sequence/edits';
import type { JudgeContext, Rule } from '../rule';
import { isInside, touches, washesHands } from '../facts';
import { stepOfFinding } from '../rule';

/** Whether hands were washed since they last touched anything. */
function washedBefore({ steps }: JudgeContext, number: number): boolean {
	const before = steps.filter((s) => s.number < number);
	const washed = before.findLastIndex(({ step }) => washesHands(step));
	return washed >= 0 && before.slice(washed + 1).every(({ step }) => !touches(step));
}

/** A thumb goes inside the cheek gloved, or freshly washed. */
export const insideGloves: Rule = {
	id: 'inside-gloves',
	kind: 'inside',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'stop',
	safe: true,
	check: (context) =>
		context.steps
			.filter(({ step, number }) => isInside(step) && step.tool?.id !== 'gloves' && !washedBefore(context, number))
			.map(({ step, number }) => ({ stepIds: [step.id], params: { number } })),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		return (
			step &&
			setStep(context.sequence, step.id, { tool: { id: 'gloves' } }, `Wear gloves in step ${finding.params.number}`)
		);
	}
};
