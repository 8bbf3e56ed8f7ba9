import { FIGURE, nodePoints, type Point, type View } from '$lib/core/atlas/geometry';
import { nodeOf, ownSideOf, placeOf, type PlaceRef } from '$lib/core/atlas/places';
import type { ZoneId } from '$lib/core/atlas/zones';
import type { Step } from '$lib/core/step/step.schema';
import { SCHOOLS } from '$lib/core/school/schools';
import { newSequence } from '$lib/core/sequence/newSequence';
import type { Sequence } from '$lib/core/sequence/sequence.schema';
import { makeStep } from '$lib/core/technique/makeStep';
import type { Technique } from '$lib/core/technique/technique.schema';

/** A move in its most usual way, as a step that can be drawn. */
export const stepOfTechnique = (technique: Technique, path = 0): Step =>
	makeStep(technique, { id: technique.id, ...(technique.paths[path] ? { places: technique.paths[path] } : {}) });

/** A sequence of this step and nothing else, to be played. */
export function sequenceAlone(step: Step): Sequence {
	const base = newSequence({ id: 'alone', updatedAt: '1970-01-01T00:00:00.000Z', school: SCHOOLS[0]! });
	const block = { id: 'b', title: '', sides: 'asSteps' as const, steps: [step] };
	return { ...base, phases: [{ id: 'p', title: 'Alone', exitAfter: false, blocks: [block] }] };
}

const pointOf = (view: View, ref: PlaceRef): Point | null => {
	const node = nodeOf(placeOf(ref));
	if (node) return nodePoints(view, node)[0] ?? null;
	return FIGURE[view].zones[placeOf(ref) as ZoneId]?.centroid ?? null;
};

/** The view in which all of a way is seen, the front where both show it. */
export const viewOf = (places: readonly PlaceRef[]): View =>
	places.every((p) => pointOf('front', p)) || !places.every((p) => pointOf('profile', p)) ? 'front' : 'profile';

/** Points of a way on the figure, on the client's left unless a place says otherwise. */
export function pointsOf(view: View, places: readonly PlaceRef[]): Point[] {
	return places.flatMap((ref) => {
		const point = pointOf(view, ref);
		if (!point) return [];
		return [view === 'front' && ownSideOf(ref) === 'right' ? ([800 - point[0], point[1]] as const) : point];
	});
}
