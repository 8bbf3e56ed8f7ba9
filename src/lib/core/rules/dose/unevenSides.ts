import type { NodeId } from '../../atlas/nodes';
import { isZone, nodeOf, ownSideOf, placeOf, type Side } from '../../atlas/places';
import { sidesOf } from '../../sequence/workedSide';
import { balanceOf } from '../../sequence/balance';
import { makeEdit } from '../../sequence/edits';
import type { ZoneId } from '../../atlas/zones';
import { isMeantOneSided } from '../../step/meant';
import type { Step } from '../../step/step.schema';
import type { JudgeContext, RawFinding, Rule } from '../rule';
import { opensNodes } from '../strokes';

const meant = (context: JudgeContext, stepId: string): boolean => isMeantOneSided(context.byId.get(stepId)!.step);

/** Whether a step gives more to one side. */
const lopsided = (step: Step): boolean =>
	step.side === 'left' || step.side === 'right' || step.places.some((ref) => ownSideOf(ref) !== null);

/** Steps that give more to one side of a zone. */
function oneSided(context: JudgeContext, zone: ZoneId): string[] {
	return context.steps
		.filter(({ step }) => lopsided(step) && step.places.some((ref) => placeOf(ref) === zone))
		.filter(({ step }) => !meant(context, step.id))
		.map(({ step }) => step.id);
}

/** Node groups that are opened on one side more often than on the other. */
function unevenOpenings(context: JudgeContext): RawFinding[] {
	const pumps = new Map<NodeId, Record<Side, number>>();
	for (const pass of context.passes) {
		const { step } = context.byId.get(pass.stepId)!;
		if (pass.kind === 'link' || !opensNodes(step) || meant(context, step.id)) continue;
		for (const ref of pass.places) {
			const node = nodeOf(placeOf(ref));
			if (!node) continue;
			const count = pumps.get(node) ?? { left: 0, right: 0 };
			for (const side of ownSideOf(ref) ? [ownSideOf(ref)!] : sidesOf(pass.side)) count[side] += pass.reps;
			pumps.set(node, count);
		}
	}
	return [...pumps].flatMap(([node, { left, right }]): RawFinding[] => {
		if (Math.abs(left - right) <= context.working.evenShare * Math.max(left, right)) return [];
		const stepIds = context.steps
			.filter(({ step }) => lopsided(step) && opensNodes(step) && step.places.some((p) => placeOf(p) === `n:${node}`))
			.map(({ step }) => step.id);
		if (!stepIds.length) return [];
		const { number } = context.byId.get(stepIds[0]!)!;
		return [{ stepIds, place: `n:${node}`, params: { number, leftReps: left, rightReps: right } }];
	});
}

/** Left and right receive the same, unless a reason says that it is meant. */
export const unevenSides: Rule = {
	id: 'uneven-sides',
	kind: 'dose',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	check(context) {
		if (!context.steps.some(({ step }) => lopsided(step))) return [];
		const events = context.events.filter((e) => !meant(context, e.stepId));
		const groups = new Map<string, RawFinding>();
		for (const [zone, load] of balanceOf(events, context.working).zones) {
			const differ = (by: 'seconds' | 'weightedSeconds') =>
				Math.abs(load.left[by] - load.right[by]) > context.working.evenShare * Math.max(load.left[by], load.right[by]);
			if (!isZone(zone) || !(differ('seconds') || differ('weightedSeconds'))) continue;
			const [left, right] = [load.left.seconds, load.right.seconds];
			const stepIds = oneSided(context, zone);
			if (!stepIds.length || groups.has(stepIds.join())) continue;
			const number = context.byId.get(stepIds[0]!)!.number;
			const params = { number, leftSeconds: Math.round(left), rightSeconds: Math.round(right) };
			groups.set(stepIds.join(), { stepIds, place: zone, params });
		}
		for (const found of unevenOpenings(context))
			if (!groups.has(found.stepIds.join())) groups.set(found.stepIds.join(), found);
		return [...groups.values()];
	},
	fix(context, finding) {
		const ids = finding.stepIds;
		return makeEdit(context.sequence, 'Work both sides alike', (draft) => {
			for (const phase of draft.phases)
				for (const block of phase.blocks)
					for (const step of block.steps) {
						if (!ids.includes(step.id)) continue;
						step.places = step.places.map((ref) => placeOf(ref));
						if (step.stations) step.stations.places = step.stations.places.map((ref) => placeOf(ref));
						if (step.side === 'left' || step.side === 'right') step.side = { each: true, first: step.side };
					}
		});
	}
};
