import MiniSearch from 'minisearch';
import { labelOf, placeOf } from '../atlas/places';
import { zoneOf } from '../atlas/regionOf';
import type { ZoneId } from '../atlas/zones';
import { GOAL_IDS, goalInfo, type GoalId } from '../goal/goals';
import { usefulness } from '../goal/useful';
import type { Technique } from '../technique/technique.schema';
import { EVERYDAY } from './everyday';
import { AIMS, CONTACTS, MOTIONS, TOOLS, type Aim, type ToolId } from '../vocabulary/vocabulary';

/** What a move is looked for by; `any` leaves a part open. */
export interface TechniqueFilter {
	readonly words: string;
	readonly aim: Aim | 'any';
	readonly zone: ZoneId | 'any';
	readonly tool: ToolId | 'hands' | 'any';
	readonly goal: GoalId | 'any';
}
export const ANY_TECHNIQUE: TechniqueFilter = { words: '', aim: 'any', zone: 'any', tool: 'any', goal: 'any' };

/** Zones that a move is usually done in or may start in. */
export function zonesOf(technique: Technique): Set<ZoneId> {
	return new Set([...technique.paths.flat(), ...technique.places].map((ref) => zoneOf(ref)));
}

/** How useful a move must be for a goal to be found by its everyday words (working value). */
const MUCH = 0.5;

const wordsOf = (t: Technique) => ({
	id: t.id,
	title: t.title,
	why: `${t.why} ${t.contra.join(' ')}`,
	kind: `${AIMS[t.aim]} ${MOTIONS[t.motion]} ${CONTACTS[t.contact]} ${t.tool ? TOOLS[t.tool.id] : 'hands'} ${t.point ?? ''}`,
	places: [...new Set([...t.paths.flat(), ...t.places].map((p) => labelOf(placeOf(p))))].join(' '),
	goals: GOAL_IDS.filter((g) => usefulness(t, g) > 0)
		.map((g) => goalInfo(g).label)
		.join(' '),
	everyday: [
		EVERYDAY.aims[t.aim],
		t.tool ? EVERYDAY.tools[t.tool.id] : '',
		...GOAL_IDS.filter((g) => usefulness(t, g) >= MUCH).map((g) => EVERYDAY.goals[g]),
		...[...zonesOf(t)].map((z) => EVERYDAY.zones[z])
	]
		.filter(Boolean)
		.join(' ')
});

/**
 * An index over moves. The answer is in the order of the words where there are some, the title counting most; else of
 * the goal where one is asked for; else as the library lists them.
 */
export function techniqueIndex(techniques: readonly Technique[]): (filter: TechniqueFilter) => Technique[] {
	const byId = new Map(techniques.map((t) => [t.id, t]));
	let made: MiniSearch<ReturnType<typeof wordsOf>> | undefined;
	/** Made at the first words: a list that is only looked through needs none. */
	const index = () => {
		if (made) return made;
		made = new MiniSearch<ReturnType<typeof wordsOf>>({
			fields: ['title', 'why', 'kind', 'places', 'goals', 'everyday'],
			searchOptions: { boost: { title: 4, kind: 2, places: 2 }, prefix: true, fuzzy: 0.15, combineWith: 'AND' }
		});
		made.addAll([...byId.values()].map(wordsOf));
		return made;
	};
	return ({ words, aim, zone, tool, goal }) => {
		const found = words.trim()
			? index()
					.search(words)
					.map((r) => byId.get(r.id as string)!)
			: [...byId.values()];
		const fitting = found.filter(
			(t) =>
				(aim === 'any' || t.aim === aim) &&
				(zone === 'any' || zonesOf(t).has(zone)) &&
				(tool === 'any' || (tool === 'hands' ? !t.tool : t.tool?.id === tool)) &&
				(goal === 'any' || usefulness(t, goal) > 0)
		);
		return goal === 'any' || words.trim() ? fitting : fitting.sort((a, b) => usefulness(b, goal) - usefulness(a, goal));
	};
}
