import type { View } from '$lib/core/atlas/geometry';
import { SIDES, type Side } from '$lib/core/atlas/places';
import type { Step } from '$lib/core/step/step.schema';

export interface DrawnSide {
	readonly side: Side;
	/** Worked now; else it is the side that comes next. */
	readonly now: boolean;
}

/** The sides on which a step is drawn: the one in work as a stroke, the next as a route. Profile shows the left only. */
export function drawnSides(step: Step, view: View, now: Side | 'both' | null): DrawnSide[] {
	const { side } = step;
	const seen = view === 'front' ? SIDES : (['left'] as const);
	if (side === 'left' || side === 'right') return seen.includes(side as 'left') ? [{ side, now: true }] : [];
	const first = typeof side === 'object' && 'each' in side ? side.first : null;
	const working = now ?? first ?? 'both';
	return seen.map((s) => ({ side: s, now: working === 'both' || working === s || view === 'profile' }));
}
