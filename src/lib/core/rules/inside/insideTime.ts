import { turnsOf } from '../../sequence/workedSide';
import { setStep } from '../../sequence/edits';
import { cutDose } from '../dose/cutDose';
import { isInside } from '../facts';
import { stepOfFinding, type JudgeContext, type Rule } from '../rule';

function longestSide({ events }: JudgeContext, stepId: string): number {
	const sides = new Map<string, number>();
	for (const e of events)
		if (e.stepId === stepId && (e.kind === 'work' || e.kind === 'station'))
			sides.set(e.side, (sides.get(e.side) ?? 0) + (e.endSeconds - e.startSeconds) / (turnsOf(e.side) ? 2 : 1));
	return Math.max(0, ...sides.values());
}

/** Inside work is short. */
export const insideTime: Rule = {
	id: 'inside-time',
	kind: 'inside',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'stop',
	safe: true,
	check: (context) =>
		context.steps.flatMap(({ step, number }) => {
			const seconds = isInside(step) ? longestSide(context, step.id) : 0;
			const limit = context.working.insideSeconds;
			return seconds > limit ? [{ stepIds: [step.id], params: { number, seconds: Math.round(seconds), limit } }] : [];
		}),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		const dose = cutDose(step.dose, (context.working.insideSeconds * 0.98) / longestSide(context, step.id));
		return setStep(context.sequence, step.id, { dose }, `Shorten step ${finding.params.number}`);
	}
};
