import { mainReceiver } from '../../atlas/graph';
import type { NodeId } from '../../atlas/nodes';
import { isOutlet, nodeOf, placeOf } from '../../atlas/places';
import type { Pass } from '../../sequence/passes';
import { sidesOf } from '../../sequence/workedSide';
import type { Step } from '../../step/step.schema';
import { OPEN_ENOUGH, openBefore, openness } from '../openings';
import type { JudgeContext, RawFinding, Rule } from '../rule';
import { endPlace } from '../../step/levelsOf';
import { isFluidStroke } from '../strokes';

/** Small and inconstant nodes beside the smile fold: fluid passes them, nobody is told to open them. */
const INCONSTANT: readonly NodeId[] = ['facial'];

const known = new WeakMap<Step, readonly NodeId[]>();

/** The node groups that a stroke sends fluid to: those on its path, else the one its last zone drains to. Steps never change, so it is kept. */
export function receiversOf(step: Step): readonly NodeId[] {
	const before = known.get(step);
	if (before) return before;
	const onPath = step.places.map((ref) => nodeOf(placeOf(ref))).filter((n): n is NodeId => n !== null);
	const receiver = mainReceiver(placeOf(endPlace(step)));
	const receivers = onPath.length || !receiver ? onPath : [receiver];
	const list = receivers.filter((node) => !INCONSTANT.includes(node));
	known.set(step, list);
	return list;
}

/** A step that works one side after the other is judged at its start; a block, at each of its passes. */
function momentOf(context: JudgeContext, pass: Pass): number {
	const { block } = context.byId.get(pass.stepId)!;
	return block.sides === 'asSteps' ? context.timing.steps.get(pass.stepId)!.startSeconds : pass.startSeconds;
}

/** Each receiving node group is open when fluid arrives; an opening fades. */
export const receiverClosed: Rule = {
	id: 'receiver-closed',
	kind: 'order',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check(context) {
		// A school that opens nothing on purpose is not told so at every stroke.
		if (!context.school.opening.required) return [];
		const { openings } = context;
		const found = new Map<string, RawFinding>();
		for (const pass of context.passes) {
			const { step, number } = context.byId.get(pass.stepId)!;
			if (pass.kind !== 'work' || !isFluidStroke(step)) continue;
			const moment = momentOf(context, pass);
			// A school is asked for what it opens itself, no more.
			for (const node of receiversOf(step).filter((n) => context.school.opening.nodes.includes(n)))
				for (const side of sidesOf(pass.side)) {
					const last = openings.lastBefore(node, side, moment);
					// An outlet that was never opened is the business of `outlet-closed`.
					if (last === null && isOutlet(`n:${node}`)) continue;
					if (last !== null && openness(moment - last, context.working.openingHalfLifeSeconds) >= OPEN_ENOUGH) continue;
					const key = `${step.id}|${node}`;
					const minutesAgo = last === null ? -1 : Math.round((moment - last) / 60);
					if (!found.has(key))
						found.set(key, { stepIds: [step.id], place: `n:${node}`, params: { number, minutesAgo } });
				}
		}
		return [...found.values()];
	},
	fix(context, finding) {
		return openBefore(context, finding.place!.slice(2) as NodeId, { before: finding.stepIds[0]! });
	}
};
