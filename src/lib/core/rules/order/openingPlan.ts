import { nodeOf, placeOf } from '../../atlas/places';
import type { NodeId } from '../../atlas/nodes';
import type { PlacedStep } from '../../sequence/walk';
import { isFace } from '../../atlas/regionOf';
import { startRegion } from '../facts';
import type { JudgeContext } from '../rule';
import { strokesOf } from '../../step/parts';
import { isFluidStroke, opensNodes } from '../strokes';

export interface Opening {
	readonly placed: PlacedStep;
	readonly nodes: readonly NodeId[];
	/** Rank of its first node in the school's order of opening; -1 where the school does not open it. */
	readonly rank: number;
}

/** The stroke before which the school's openings are done; null where nothing is stroked. */
export function openingDeadline({ school, steps }: JudgeContext): PlacedStep | null {
	const wanted = school.opening.before === 'face' ? isFace : () => true;
	return steps.find(({ step }) => isFluidStroke(step) && wanted(startRegion(step)!)) ?? null;
}

/** The openings before a step, in playing order. */
export function openingsBefore({ school, steps }: JudgeContext, number: number): Opening[] {
	return steps
		.filter(({ step, number: n }) => n < number && strokesOf(step).some(opensNodes))
		.map((placed) => {
			const nodes = placed.step.places.map((p) => nodeOf(placeOf(p))).filter((n) => n !== null);
			const ranks = nodes.map((n) => school.opening.nodes.indexOf(n)).filter((r) => r >= 0);
			return { placed, nodes, rank: ranks.length ? Math.min(...ranks) : -1 };
		});
}
