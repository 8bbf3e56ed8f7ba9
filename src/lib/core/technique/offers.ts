import { alignmentOf } from '../atlas/graph';
import { placeOf, type PlaceRef } from '../atlas/places';
import { heightOf } from '../atlas/heights';
import type { Technique } from './technique.schema';

/** How much a way must rise before it is one upwards: half the step from the jaw to the chin corner (working value). */
const RISES_FROM = 0.4;

/** Whether a way runs with the drainage on most of its passes. */
function runsWithDrainage(way: readonly PlaceRef[]): boolean {
	const passes = way.slice(1).map((ref, i) => alignmentOf(placeOf(way[i]!), placeOf(ref)));
	const withIt = passes.filter((a) => a === 'with' || a === 'neutral').length;
	return withIt * 2 > passes.length;
}

/**
 * Moves for a way as it was drawn: those that go in its direction first. Along the drainage a drain, upwards and
 * against it a lift; the order is kept otherwise.
 */
export function inDirection(moves: readonly Technique[], way: readonly PlaceRef[]): Technique[] {
	if (way.length < 2) return [...moves];
	const rise = heightOf(way.at(-1)!) - heightOf(way[0]!);
	const drains = runsWithDrainage(way);
	const lifts = rise >= RISES_FROM;
	const rank = ({ aim }: Technique): number => {
		if (aim === 'drain' || aim === 'close') return drains ? 0 : 2;
		if (aim === 'lift') return lifts ? (drains ? 1 : 0) : 2;
		return 1;
	};
	return [...moves].sort((a, b) => rank(a) - rank(b));
}
