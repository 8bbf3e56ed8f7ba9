import { placeOf } from '../atlas/places';
import type { Technique } from '../technique/technique.schema';
import { goalInfo, type GoalId } from './goals';

/**
 * How much a technique serves a goal: the weights of the zones on its most usual way that the goal wants with this aim.
 * 0 where it serves it not at all. The weights are relative within the goal.
 */
export function usefulness(technique: Pick<Technique, 'aim' | 'paths'>, goal: GoalId): number {
	const zones = goalInfo(goal).needs[technique.aim];
	if (!zones) return 0;
	const worked = new Set((technique.paths[0] ?? []).map(placeOf));
	return Object.entries(zones).reduce((sum, [zone, weight]) => sum + (worked.has(zone as never) ? weight : 0), 0);
}

/** The techniques that serve a goal, the most useful first. */
export function usefulFor(techniques: readonly Technique[], goal: GoalId): Technique[] {
	return techniques
		.map((technique) => ({ technique, use: usefulness(technique, goal) }))
		.filter(({ use }) => use > 0)
		.sort((a, b) => b.use - a.use)
		.map(({ technique }) => technique);
}
