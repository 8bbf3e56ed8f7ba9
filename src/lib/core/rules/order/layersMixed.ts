import { moveStepsBefore } from '../../sequence/edits';
import { peakLevel } from '../../step/levelsOf';
import type { JudgeContext, Rule } from '../rule';

const firstDrain = ({ steps }: Pick<JudgeContext, 'steps'>) =>
	steps.find(({ step }) => step.aim === 'drain' && step.places.length > 1);

/** Where a school keeps the layers apart, muscles are released before anything is drained. */
export const layersMixed: Rule = {
	id: 'layers-mixed',
	kind: 'order',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	policy: (school) =>
		school.layering === 'separate' ? 'releases first, drains in a pass of its own' : 'mixes release and drain',
	check(context) {
		if (context.school.layering === 'mixed') return [];
		const first = firstDrain(context);
		if (!first) return [];
		return context.steps
			.filter(({ step, number }) => number > first.number && step.aim === 'release' && peakLevel(step) >= 2)
			.map(({ step, number }) => ({ stepIds: [step.id], params: { number } }));
	},
	fix(context, finding) {
		const first = firstDrain(context);
		const label = `Release before the drain: move step ${finding.params.number} up`;
		return first ? moveStepsBefore(context.sequence, finding.stepIds, first.step.id, label) : null;
	}
};
