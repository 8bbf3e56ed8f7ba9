import { motionRow } from '../../vocabulary/vocabulary';
import { isOutlet, placeOf } from '../../atlas/places';
import { outletFor } from '../../atlas/graph';
import { insertStep } from '../../sequence/edits';
import { basicTechnique } from '../../technique/basics';
import { makeStep } from '../../technique/makeStep';
import { type JudgeContext, type Rule } from '../rule';
import { freeId } from '../../sequence/freeId';
import { isFluidStroke } from '../strokes';

const fluidPasses = (context: JudgeContext) =>
	context.passes.filter((p) => p.kind === 'work' && isFluidStroke(context.byId.get(p.stepId)!.step));

/** Whether a pass pumps an outlet: a pump step on it, or a drain link that ends with pumps there. */
function pumpsOutlet(context: JudgeContext, index: number): boolean {
	const pass = context.passes[index]!;
	const { step } = context.byId.get(pass.stepId)!;
	if (pass.kind === 'link') return pass.reps > 0 && isOutlet(placeOf(pass.event.places.at(-1)!));
	return motionRow(step.motion).opens && step.places.some((ref) => isOutlet(placeOf(ref)));
}

/** The work on fluid ends with a pump at the outlet. */
export const closingPump: Rule = {
	id: 'closing-pump',
	kind: 'order',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check(context) {
		const last = fluidPasses(context).at(-1);
		if (!last) return [];
		const from = context.passes.indexOf(last);
		const closed = context.passes.some((_, i) => i > from && pumpsOutlet(context, i));
		const number = context.byId.get(last.stepId)!.number;
		return closed ? [] : [{ stepIds: [last.stepId], params: { number } }];
	},
	fix(context, finding) {
		const phase = context.sequence.phases.at(-1);
		const step = context.byId.get(finding.stepIds[0]!)?.step;
		if (!phase || !step) return null;
		const outlet = outletFor(placeOf(step.places[0]!));
		const pump = makeStep(basicTechnique('closing-pump'), {
			id: freeId(context, `close-${outlet}`),
			places: [`n:${outlet}`]
		});
		return insertStep(context.sequence, pump, { phase: phase.id }, 'Close with a pump at the outlet');
	}
};
