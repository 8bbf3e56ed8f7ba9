import { nodeOf, placeOf } from '../../atlas/places';
import { moveStepsBefore } from '../../sequence/edits';
import type { RawFinding, Rule } from '../rule';
import { openingDeadline, openingsBefore } from './openingPlan';

/** Node groups are opened from the outlet outwards, as the school orders them. */
export const openingOrder: Rule = {
	id: 'opening-order',
	kind: 'order',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	policy: ({ opening }) => (opening.required ? 'opens from the outlet outwards' : 'has no order of opening'),
	check(context) {
		if (!context.school.opening.required) return [];
		const deadline = openingDeadline(context);
		const found: RawFinding[] = [];
		let last: { rank: number; node: string } | null = null;
		for (const { placed, nodes, rank } of deadline ? openingsBefore(context, deadline.number) : []) {
			if (rank < 0) continue;
			const { step, number } = placed;
			if (last && rank < last.rank)
				found.push({ stepIds: [step.id], place: `n:${nodes[0]!}`, params: { number, after: last.node } });
			else last = { rank, node: `n:${nodes[0]!}` };
		}
		return found;
	},
	fix(context, finding) {
		const deadline = openingDeadline(context);
		const all = deadline ? openingsBefore(context, deadline.number) : [];
		const mine = all.find((o) => o.placed.step.id === finding.stepIds[0]);
		const target = mine && all.find((o) => o.rank > mine.rank);
		const node = mine && nodeOf(placeOf(mine.placed.step.places[0]!));
		if (!mine || !target || !node) return null;
		return moveStepsBefore(context.sequence, finding.stepIds, target.placed.step.id, 'Open in the order of the school');
	}
};
