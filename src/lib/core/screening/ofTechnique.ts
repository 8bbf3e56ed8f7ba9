import { makeStep } from '../technique/makeStep';
import type { Technique } from '../technique/technique.schema';
import { zoneOf } from '../atlas/regionOf';
import { adaptStep, type Adapting } from './adapt/step';
import type { Limit } from './limit.schema';
import { meetings, unsaid } from './meets';
import type { Step } from '../step/step.schema';

/** What a client’s limits make of a move in its most usual way. */
export interface TechniqueToday {
	/** Not to be had at all; to be had otherwise or elsewhere; as it is. */
	readonly verdict: 'not' | 'otherwise' | 'fine';
	/** What speaks against it, the gravest first. */
	readonly limits: readonly Limit[];
}

const usual = new WeakMap<Technique, Step>();
export function usualStep(technique: Technique): Step {
	const step = usual.get(technique) ?? makeStep(technique, { id: technique.id });
	usual.set(technique, step);
	return step;
}
const FINE: TechniqueToday = { verdict: 'fine', limits: [] };

export function techniqueToday(technique: Technique, limits: readonly Limit[]): TechniqueToday {
	if (!limits.length) return FINE;
	const step = usualStep(technique);
	const met = [...meetings(step, [], limits).flatMap((m) => m.limits), ...unsaid(step, limits).limits];
	if (!met.length) return FINE;
	const adapting: Adapting = { limits, media: [], pumps: 3 };
	return { verdict: adaptStep(step, adapting) ? 'otherwise' : 'not', limits: [...new Set(met)] };
}

/** Most moves that are offered instead. */
const MOST_OFFERED = 4;
/** Moves for the same aim where it works that she may have: as they are before those made to fit, most of its places first. */
export function insteadOfTechnique(
	technique: Technique,
	all: readonly Technique[],
	limits: readonly Limit[]
): readonly Technique[] {
	const zones = new Set(usualStep(technique).places.map(zoneOf));
	const shared = (t: Technique) => usualStep(t).places.filter((ref) => zones.has(zoneOf(ref))).length;
	return all
		.filter((t) => t.id !== technique.id && t.aim === technique.aim && shared(t) > 0)
		.map((t) => ({ t, verdict: techniqueToday(t, limits).verdict }))
		.filter(({ verdict }) => verdict !== 'not')
		.sort((a, b) => (a.verdict === b.verdict ? shared(b.t) - shared(a.t) : a.verdict === 'fine' ? -1 : 1))
		.slice(0, MOST_OFFERED)
		.map(({ t }) => t);
}
