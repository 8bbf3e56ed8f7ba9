import { setStep } from '../../sequence/edits';
import { stepOfFinding, type JudgeContext, type Rule } from '../rule';
import { cutDose } from './cutDose';

/** Longest that a cold tool rests on one place, seconds (working value): before the skin goes numb. */
export const COLD_SECONDS = 40;

/** Longest stay of a resting cold step on one place of one side, seconds. */
function restSeconds(context: JudgeContext, stepId: string): number {
	const stays = context.events.filter((e) => e.stepId === stepId && e.kind === 'work');
	return Math.max(0, ...stays.map((e) => (e.endSeconds - e.startSeconds) / Math.max(1, e.places.length)));
}

/** Cold rests briefly. */
export const coldTooLong: Rule = {
	id: 'cold-too-long',
	kind: 'dose',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'stop',
	safe: true,
	check(context) {
		return context.steps.flatMap(({ step, number }) => {
			if (step.tool?.id !== 'cold-globes' || step.motion !== 'press-hold') return [];
			const seconds = restSeconds(context, step.id);
			return seconds > COLD_SECONDS ? [{ stepIds: [step.id], params: { number, seconds: Math.round(seconds) } }] : [];
		});
	},
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		const dose = cutDose(step.dose, (COLD_SECONDS * 0.98) / restSeconds(context, step.id));
		return setStep(
			context.sequence,
			step.id,
			{ dose, until: undefined },
			`Rest the cold shorter in step ${finding.params.number}`
		);
	}
};
