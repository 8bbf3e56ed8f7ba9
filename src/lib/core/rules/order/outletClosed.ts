import { outletFor } from '../../atlas/graph';
import { placeOf, type Side } from '../../atlas/places';
import type { NodeId } from '../../atlas/nodes';
import { sidesOf } from '../../sequence/workedSide';
import { openBefore } from '../openings';
import type { RawFinding, Rule } from '../rule';
import { isFluidStroke } from '../strokes';

/** The outlet is opened before fluid is sent towards it. */
export const outletClosed: Rule = {
	id: 'outlet-closed',
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
			const outlet: NodeId = outletFor(placeOf(step.places[0]!));
			const closed = sidesOf(pass.side).filter((s: Side) => openings.lastBefore(outlet, s, pass.startSeconds) === null);
			if (closed.length && !found.has(outlet))
				found.set(outlet, { stepIds: [step.id], place: `n:${outlet}`, params: { number } });
		}
		return [...found.values()];
	},
	fix(context, finding) {
		const node = finding.place!.slice(2) as NodeId;
		return openBefore(context, node, { before: finding.stepIds[0]! });
	}
};
