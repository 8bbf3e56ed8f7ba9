import type { TimedEvent } from '../../sequence/expand';
import { turnsOf } from '../../sequence/workedSide';
import { setStep } from '../../sequence/edits';
import { stepOfFinding, type JudgeContext, type Rule } from '../rule';
import { motionRow, toolRow } from '../../vocabulary/vocabulary';
import { cutDose } from './cutDose';

/** Longest stay of a resting cold step on one place of one side, seconds. */
function restSeconds(context: JudgeContext, stepId: string): number {
	const stays = context.events.filter((e) => e.stepId === stepId && e.kind === 'work');
	// In turn, each repetition is a stay of its own.
	const secondsOf = (e: TimedEvent) => (turnsOf(e.side) ? e.paceSeconds : e.endSeconds - e.startSeconds);
	return Math.max(0, ...stays.map((e) => secondsOf(e) / Math.max(1, e.places.length)));
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
		const limit = context.working.coldSeconds;
		return context.steps.flatMap(({ step, number }) => {
			if (!step.tool || !toolRow(step.tool.id).cold || !motionRow(step.motion).holds) return [];
			const seconds = restSeconds(context, step.id);
			return seconds > limit ? [{ stepIds: [step.id], params: { number, seconds: Math.round(seconds), limit } }] : [];
		});
	},
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		const dose = cutDose(step.dose, (context.working.coldSeconds * 0.98) / restSeconds(context, step.id));
		return setStep(
			context.sequence,
			step.id,
			{ dose, until: undefined },
			`Rest the cold shorter in step ${finding.params.number}`
		);
	}
};
