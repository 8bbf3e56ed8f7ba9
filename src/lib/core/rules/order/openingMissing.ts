import { NODES, type NodeId } from '../../atlas/nodes';
import { insertStep, joinEdits, edited } from '../../sequence/edits';
import type { Edit } from '../../sequence/edit.schema';
import { basicTechnique } from '../../technique/basics';
import { makeStep } from '../../technique/makeStep';
import { type JudgeContext, type Rule } from '../rule';
import { freeId } from '../../sequence/freeId';
import { openingDeadline, openingsBefore } from './openingPlan';

function missingNodes(context: JudgeContext): { before: string; number: number; nodes: NodeId[] } | null {
	const { opening } = context.school;
	const deadline = opening.required ? openingDeadline(context) : null;
	if (!deadline) return null;
	const open = new Set(openingsBefore(context, deadline.number).flatMap((o) => o.nodes));
	const nodes = opening.nodes.filter((n) => !open.has(n));
	return nodes.length ? { before: deadline.step.id, number: deadline.number, nodes } : null;
}

/** Where one opening goes: before the first that the school opens later, else right before the stroke. */
function spotOf(context: JudgeContext, node: NodeId, deadline: { before: string; number: number }): string {
	const rank = context.school.opening.nodes.indexOf(node);
	const later = openingsBefore(context, deadline.number).find((o) => o.rank > rank);
	return later?.placed.step.id ?? deadline.before;
}

/** Every node group that the school opens is opened before its first strokes. */
export const openingMissing: Rule = {
	id: 'opening-missing',
	kind: 'order',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	policy: ({ opening }) =>
		opening.required
			? `opens ${opening.nodes.map((n) => NODES[n].where).join(', ')} first`
			: 'opens nothing on purpose',
	check(context) {
		const missing = missingNodes(context);
		if (!missing) return [];
		const names = missing.nodes.map((n) => NODES[n].where).join(', ');
		return [{ stepIds: [missing.before], params: { number: missing.number, names } }];
	},
	fix(context, _finding) {
		const missing = missingNodes(context);
		if (!missing) return null;
		const edits: Edit[] = [];
		let { sequence } = context;
		for (const node of missing.nodes) {
			const step = makeStep(basicTechnique('open-nodes'), {
				id: freeId(context, `open-${node}`),
				places: [`n:${node}`]
			});
			const edit = insertStep(sequence, step, { before: spotOf(context, node, missing) });
			sequence = edited(sequence, edit);
			edits.push(edit);
		}
		return joinEdits('Open what the school opens', edits);
	}
};
