import type { NodeId } from '../../atlas/nodes';
import { isZone, nodeOf, placeOf, type PlaceId } from '../../atlas/places';
import { nodesUnder, outletFor } from '../../atlas/graph';
import { isFace, regionOf } from '../../atlas/regionOf';
import { strokesOf } from '../../step/parts';
import type { Step } from '../../step/step.schema';
import { motionRow, staysOnNode } from '../../vocabulary/vocabulary';
import { insertStep } from '../../sequence/edits';
import { basicTechnique } from '../../technique/basics';
import { makeStep } from '../../technique/makeStep';
import { type JudgeContext, type Rule } from '../rule';
import { freeId } from '../../sequence/freeId';
import { isFluidStroke } from '../strokes';

const fluidPasses = (context: JudgeContext) =>
	context.passes.filter((p) => p.kind === 'work' && isFluidStroke(context.byId.get(p.stepId)!.step));

/** The outlets that the work drains to: the armpit counts only where nothing but the trunk was worked. */
function outletsOf(context: JudgeContext): ReadonlySet<NodeId> {
	const all = fluidPasses(context).map((p) => outletFor(placeOf(context.byId.get(p.stepId)!.step.places[0]!)));
	return new Set<NodeId>(all.includes('terminus') ? ['terminus'] : ['axillary', 'terminus']);
}

/** A pump or a press that stays above the collarbone, or at the armpit, and lets what arrives pass. */
const closesOutlet = (step: Step, wanted: ReadonlySet<NodeId>): boolean =>
	staysOnNode(step.motion) &&
	(motionRow(step.motion).opens || step.aim === 'close' || step.aim === 'open') &&
	step.places.some((ref) => nodesHere(placeOf(ref)).some((node) => wanted.has(node)));
const nodesHere = (place: PlaceId): readonly NodeId[] => (isZone(place) ? nodesUnder(place) : [nodeOf(place)!]);

/** Whether a pass pumps an outlet: a pump step on it, or a drain link that ends with pumps there. */
function pumpsOutlet(context: JudgeContext, index: number, wanted: ReadonlySet<NodeId>): boolean {
	const pass = context.passes[index]!;
	const { step } = context.byId.get(pass.stepId)!;
	if (pass.kind === 'link') return pass.reps > 0 && wanted.has(nodeOf(placeOf(pass.event.places.at(-1)!))!);
	return strokesOf(step).some((s) => closesOutlet(s, wanted));
}

/** Where nothing is opened on purpose, one long drain from the face to the outlet is an end of its own. */
const endsByLongDrain = ({ school }: JudgeContext, step: Step, wanted: ReadonlySet<NodeId>): boolean =>
	!school.opening.required &&
	step.aim === 'close' &&
	isFace(regionOf(step.places[0]!)) &&
	nodesHere(placeOf(step.places.at(-1)!)).some((node) => wanted.has(node));

/** The work on fluid ends with a pump at the outlet. */
export const closingPump: Rule = {
	id: 'closing-pump',
	kind: 'order',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	policy: ({ opening }) =>
		opening.required
			? 'closes with a pump at the outlet'
			: 'closes with a pump at the outlet, or with one long drain to it',
	check(context) {
		const last = fluidPasses(context).at(-1);
		if (!last) return [];
		const from = context.passes.indexOf(last);
		const wanted = outletsOf(context);
		const { step, number } = context.byId.get(last.stepId)!;
		// A pump may end each repetition of the last stroke itself.
		const closed =
			endsByLongDrain(context, step, wanted) ||
			strokesOf(step)
				.slice(1)
				.some((s) => closesOutlet(s, wanted)) ||
			context.passes.some((_, i) => i > from && pumpsOutlet(context, i, wanted));
		return closed ? [] : [{ stepIds: [last.stepId], params: { number } }];
	},
	fix(context, finding) {
		const phase = context.sequence.phases.at(-1);
		const step = context.byId.get(finding.stepIds[0]!)?.step;
		if (!phase || !step) return null;
		const wanted = outletsOf(context);
		const own = outletFor(placeOf(step.places[0]!));
		const outlet = wanted.has(own) ? own : 'terminus';
		const pump = makeStep(basicTechnique('closing-pump'), {
			id: freeId(context, `close-${outlet}`),
			places: [`n:${outlet}`]
		});
		return insertStep(context.sequence, pump, { phase: phase.id }, 'Close with a pump at the outlet');
	}
};
