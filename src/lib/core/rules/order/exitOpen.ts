import { isOutlet, placeOf } from '../../atlas/places';
import { insertStep } from '../../sequence/edits';
import type { Phase } from '../../sequence/sequence.schema';
import { stepsInPhase } from '../../sequence/walk';
import { basicTechnique } from '../../technique/basics';
import { makeStep } from '../../technique/makeStep';
import { type Rule } from '../rule';
import { freeId } from '../../sequence/freeId';
import { isFluidStroke, opensNodes } from '../strokes';

/** Whether the last fluid stroke of a phase is followed, in it, by a pump at the outlet. */
function closes(phase: Phase): boolean {
	const steps = stepsInPhase(phase);
	const last = steps.findLastIndex(isFluidStroke);
	if (last < 0) return true;
	const pumped = (s: (typeof steps)[number]) =>
		(opensNodes(s) && s.places.some((p) => isOutlet(placeOf(p)) || placeOf(p) === 'supraclavicular')) ||
		(s.end.kind === 'link' && s.end.pumps > 0 && isOutlet(placeOf(s.end.places.at(-1)!)));
	return steps.slice(last).some(pumped);
}

/** Where a short version may end, the work so far is closed. */
export const exitOpen: Rule = {
	id: 'exit-open',
	kind: 'order',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check({ sequence }) {
		return sequence.phases
			.slice(0, -1)
			.filter((p) => p.exitAfter && !closes(p))
			.map((p) => ({
				stepIds: [stepsInPhase(p).findLast(isFluidStroke)!.id],
				params: { phase: p.title }
			}));
	},
	fix(context, finding) {
		const phase = context.byId.get(finding.stepIds[0]!)?.phase;
		if (!phase) return null;
		const step = makeStep(basicTechnique('closing-pump'), {
			id: freeId(context, `exit-${phase.id}`),
			places: ['n:terminus']
		});
		return insertStep(context.sequence, step, { phase: phase.id }, `Close before the short version ends`);
	}
};
