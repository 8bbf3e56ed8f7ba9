import type { PlaceId } from '../atlas/places';
import care from './data/prepare-and-cleanse.json' with { type: 'json' };
import drainFace from './data/drain-face.json' with { type: 'json' };
import drainJawNeck from './data/drain-jaw-neck.json' with { type: 'json' };
import fluid from './data/fluid.json' with { type: 'json' };
import inside from './data/inside.json' with { type: 'json' };
import lifts from './data/lifts.json' with { type: 'json' };
import liven from './data/liven.json' with { type: 'json' };
import muscle from './data/muscle.json' with { type: 'json' };
import openings from './data/openings.json' with { type: 'json' };
import points from './data/points.json' with { type: 'json' };
import releasesAbove from './data/releases-above.json' with { type: 'json' };
import releasesFace from './data/releases-face.json' with { type: 'json' };
import tape from './data/tape.json' with { type: 'json' };
import tools from './data/tools.json' with { type: 'json' };
import { aimRow } from '../vocabulary/vocabulary';
import { BASICS } from './basics';
import { shipped } from './defaultTechnique';
import type { Technique } from './technique.schema';

export { contraOf } from './contra';

/** The families of moves, as data: a file each. */
const FAMILIES: readonly (readonly object[])[] = [
	...[care, fluid, openings, drainFace, drainJawNeck, tools],
	...[muscle, lifts, releasesFace, releasesAbove, inside, points, liven, tape]
];

/** The techniques as they ship, all values working values. */
export const TECHNIQUES: readonly Technique[] = [...BASICS, ...FAMILIES.flatMap(shipped)];

export const techniqueById = (id: string, own: readonly Technique[] = []): Technique | undefined =>
	own.find((t) => t.id === id) ?? TECHNIQUES.find((t) => t.id === id);

/** What one mostly wants, first. */
const rankOf = (t: Technique): number => (t.tool ? 100 : 0) + 2 * aimRow(t.aim).rank + (t.places.length === 0 ? 1 : 0);

/** Techniques that suit a path, most likely first: hands before tools, made for the place before general ones. */
export function techniquesFor(places: readonly PlaceId[], own: readonly Technique[] = []): Technique[] {
	const start = places[0];
	if (!start) return [];
	const shape = places.length > 1 ? 'stroke' : 'spot';
	return [...own, ...TECHNIQUES]
		.filter((t) => t.shape === shape && (t.places.length === 0 || t.places.includes(start)))
		.sort((a, b) => rankOf(a) - rankOf(b));
}
