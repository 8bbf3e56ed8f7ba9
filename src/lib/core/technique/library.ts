import type { PlaceId } from '../atlas/places';
import { BASIC_ENTRIES } from './entries/basic';
import { CARE } from './entries/care';
import { DRAIN_FACE } from './entries/drainFace';
import { DRAIN_JAW } from './entries/drainJaw';
import { FLUID } from './entries/fluid';
import { LIFTS } from './entries/lifts';
import { LIVEN } from './entries/liven';
import { MUSCLE } from './entries/muscle';
import { OPENINGS } from './entries/openings';
import { POINTS_HELD } from './entries/points';
import { INSIDE } from './entries/inside';
import { RELEASES_ABOVE } from './entries/releasesAbove';
import { RELEASES_FACE } from './entries/releasesFace';
import { TAPES } from './entries/tapes';
import { TOOL_MOVES } from './entries/tools';
import { TechniqueSchema, type Technique } from './technique.schema';

/** The techniques as they ship, all values working values. */
export const TECHNIQUES: readonly Technique[] = [
	...[BASIC_ENTRIES, CARE, FLUID, OPENINGS, DRAIN_FACE, DRAIN_JAW, TOOL_MOVES],
	...[MUSCLE, LIFTS, RELEASES_FACE, RELEASES_ABOVE, INSIDE, POINTS_HELD, LIVEN, TAPES]
].flatMap((entries) => entries.map((entry) => TechniqueSchema.parse(entry)));

export const techniqueById = (id: string, own: readonly Technique[] = []): Technique | undefined =>
	own.find((t) => t.id === id) ?? TECHNIQUES.find((t) => t.id === id);

/** What one mostly wants, first. */
const AIM_ORDER: readonly Technique['aim'][] = ['open', 'drain', 'release', 'lift', 'close', 'point', 'stimulate'];
const rankOf = (t: Technique): number => {
	const aim = AIM_ORDER.indexOf(t.aim);
	return (t.tool ? 100 : 0) + 2 * (aim < 0 ? AIM_ORDER.length : aim) + (t.places.length === 0 ? 1 : 0);
};

/** Techniques that suit a path, most likely first: hands before tools, made for the place before general ones. */
export function techniquesFor(places: readonly PlaceId[], own: readonly Technique[] = []): Technique[] {
	const start = places[0];
	if (!start) return [];
	const shape = places.length > 1 ? 'stroke' : 'spot';
	return [...own, ...TECHNIQUES]
		.filter((t) => t.shape === shape && (t.places.length === 0 || t.places.includes(start)))
		.sort((a, b) => rankOf(a) - rankOf(b));
}
