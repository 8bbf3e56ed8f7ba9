import { alignmentOf, neighboursOf } from '../../atlas/graph';
import { isOutlet, ownSideOf, placeOf, type PlaceId, type PlaceRef } from '../../atlas/places';
import { linkRoute } from '../../atlas/route';
import type { Level } from '../../step/levels';
import { endPlace, levelsOf, movesFluid } from '../../step/levelsOf';
import type { Step } from '../../step/step.schema';
import { isStationary } from '../../vocabulary/vocabulary';

/** Whether a step may touch an element of a path. */
export type Allows = (ref: PlaceRef) => boolean;

/** Places that a detour may add: about a hand’s breadth (working value). */
const DETOUR_PLACES = 2;

/** The shortest way round between two places that she may be touched at; null where none is within a hand’s breadth. */
function detour(from: PlaceRef, to: PlaceRef, allows: Allows): PlaceRef[] | null {
	const side = ownSideOf(from);
	if (side !== ownSideOf(to)) return null;
	const refOf = (place: PlaceId): PlaceRef => (side ? `${place}:${side}` : place);
	let ways: PlaceId[][] = [[placeOf(from)]];
	for (let more = 0; more <= DETOUR_PLACES; more++) {
		const next = ways.flatMap((way) =>
			neighboursOf(way.at(-1)!)
				.filter((place) => !way.includes(place))
				// Never backwards out of a node group, nor over a watershed.
				.filter((place) => !['valve', 'watershed'].includes(alignmentOf(way.at(-1)!, place)!))
				.map((place) => [...way, place])
		);
		const there = next.find((way) => way.at(-1) === placeOf(to));
		if (there) return there.slice(1, -1).map(refOf);
		ways = next.filter((way) => allows(refOf(way.at(-1)!)));
	}
	return null;
}

/** Parts of a path that are allowed, each with the indexes it comes from; a gap that can be gone round is closed. */
function runsOf(places: readonly PlaceRef[], allows: Allows): { refs: PlaceRef[]; from: number[] }[] {
	const runs: { refs: PlaceRef[]; from: number[] }[] = [];
	let broken = true;
	places.forEach((ref, i) => {
		if (!allows(ref)) {
			broken = true;
			return;
		}
		const run = runs.at(-1);
		if (run && broken) {
			const round = detour(run.refs.at(-1)!, ref, allows);
			if (round) {
				run.refs.push(...round, ref);
				run.from.push(...round.map(() => i), i);
				broken = false;
				return;
			}
		}
		if (!run || broken) runs.push({ refs: [ref], from: [i] });
		else {
			run.refs.push(ref);
			run.from.push(i);
		}
		broken = false;
	});
	return runs;
}

/**
 * A path without what may not be touched: what stays is filtered; a stroke goes round, or keeps the part that leads on to
 * where it was going, else its longest part. Null where nothing of it is left.
 */
function pathWithout(
	places: readonly PlaceRef[],
	stays: boolean,
	allows: Allows
): { refs: PlaceRef[]; from: number[] } | null {
	if (stays) {
		const from = places.flatMap((ref, i) => (allows(ref) ? [i] : []));
		return from.length ? { refs: from.map((i) => places[i]!), from } : null;
	}
	const runs = runsOf(places, allows).filter((run) => run.refs.length > 1);
	const onwards = runs.find((run) => run.from.at(-1) === places.length - 1);
	return onwards ?? runs.sort((a, b) => b.refs.length - a.refs.length)[0] ?? null;
}

/** The link behind a step over what may be touched: pumps before and behind what is left out, nothing on it. */
function linkWithout(step: Step, allows: Allows): Step['end'] {
	if (step.end.kind !== 'link') return step.end;
	const places = step.end.places.filter(allows);
	return places.length ? { ...step.end, places, by: 'hand' } : { kind: step.end.finish ?? 'none' };
}

/** A stroke that led on to an outlet and was cut short is led on by a link over what may be touched. */
function ledOn(before: Step, after: Step, allows: Allows, pumps: number): Step {
	const led = before.end.kind === 'link' || isOutlet(placeOf(endPlace(before)));
	const reached = after.end.kind === 'link' || isOutlet(placeOf(endPlace(after)));
	if (!movesFluid(before) || !led || reached || isStationary(after.motion)) return after;
	const places = linkRoute(endPlace(after), 'either').filter(allows);
	return places.length ? { ...after, end: { kind: 'link', places, pumps, by: 'hand' } } : after;
}

/** A step without the places that may not be touched; null where nothing is left of it. */
export function withoutPlaces(step: Step, allows: Allows, pumps: number): Step | null {
	const stays = isStationary(step.motion);
	const path = pathWithout(step.places, stays, allows);
	if (!path && step.places.length) return null;
	const { refs, from } = path ?? { refs: [], from: [] };
	const after: Step = { ...step, places: refs };
	if (step.levels) after.levels = from.map((i) => levelsOf(step)[i]!) as Level[];
	if (step.stations) {
		const kept = step.stations.places.filter((p) => refs.includes(p));
		if (kept.length) after.stations = { ...step.stations, places: kept };
		else delete after.stations;
	}
	if (step.parts) {
		const parts = step.parts.flatMap((part) => {
			if (!part.places) return [part];
			const own = pathWithout(part.places, isStationary(part.motion), allows);
			return own ? [{ ...part, places: own.refs }] : [];
		});
		if (parts.length) after.parts = parts;
		else delete after.parts;
	}
	if (step.beside) {
		const beside = pathWithout(step.beside, stays, allows);
		if (beside) after.beside = beside.refs;
		else {
			delete after.beside;
			delete after.besideWork;
		}
	}
	if (step.laneWays) {
		const ways = step.laneWays.flatMap((way) => {
			const own = pathWithout(way, stays, allows);
			return own && own.refs.length > 1 ? [own.refs] : [];
		});
		after.lanes = ways.length + 1;
		if (ways.length) after.laneWays = ways;
		else delete after.laneWays;
	}
	if (step.support?.place && !allows(step.support.place)) {
		const { place: _place, ...support } = step.support;
		after.support = support;
	}
	after.end = linkWithout(step, allows);
	return ledOn(step, after, allows, pumps);
}
