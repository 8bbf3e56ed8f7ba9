import { mainReceiver, nodesUnder } from '../../atlas/graph';
import { isOutlet, isZone, nodeOf, ownSideOf, placeOf, type PlaceId, type PlaceRef } from '../../atlas/places';
import type { ZoneId } from '../../atlas/zones';
import { strokesOf } from '../../step/parts';
import { regionOf } from '../../atlas/regionOf';
import { route } from '../../atlas/route';
import type { Step } from '../../step/step.schema';
import { stepOfFinding, type JudgeContext, type Rule } from '../rule';
import { isFluidStroke, pairsOf, withPath, type Pair } from '../strokes';

const BAD = ['against', 'watershed', 'valve', 'gap'];
/** Ways are only sought where a pair is bad, which most are not, and never over a gap, which no way has. */
function badPair(step: Step): Pair | undefined {
	const bad = pairsOf(step).filter(
		(p) => BAD.includes(p.alignment) && !(p.alignment === 'against' && roundTheEar(p, step))
	);
	return bad.length && (bad.some((p) => p.alignment === 'gap') || !isOwnRoute(step)) ? bad[0] : undefined;
}

/** Round the ear and down behind it is a way out, though the front of the ear drains forwards. */
const roundTheEar = ({ from, to }: Pair, step: Step): boolean =>
	!step.reverse && regionOf(from) === 'ear' && regionOf(to) === 'ear' && isExit(step.places.at(-1)!);

/** Places to which fluid may be led: nodes, and the skin over an outlet. */
const isExit = (ref: PlaceRef): boolean =>
	nodeOf(placeOf(ref)) !== null ||
	(isZone(placeOf(ref)) && nodesUnder(placeOf(ref) as ZoneId).some((n) => isOutlet(`n:${n}`)));

/** Skin at the ear under which nodes lie: a good end of a stroke over the cheek. */
const isEarEnd = (ref: PlaceRef): boolean =>
	isZone(placeOf(ref)) && regionOf(ref) === 'ear' && nodesUnder(placeOf(ref) as ZoneId).length > 0;

/** A way to an exit that `route` itself takes is the best that there is from here: it is never against the drainage. */
function isOwnRoute({ places, reverse }: Step): boolean {
	const [from, to] = [places[0]!, places.at(-1)!];
	if (reverse || !(isExit(to) || isEarEnd(to)) || places.some((ref) => ownSideOf(ref) !== null)) return false;
	return waysBetween(placeOf(from), placeOf(to)).includes(places.join());
}

/** Ways are few, steps may be thousands. */
const knownWays = new Map<string, readonly string[]>();
function waysBetween(from: PlaceId, to: PlaceId): readonly string[] {
	const name = `${from} ${to}`;
	const ways =
		knownWays.get(name) ??
		(['either', 'outward', 'downward'] as const).flatMap((cheek) => [
			route(from, to, cheek).join(),
			// From the middle of the face outwards over the cheekbone, as many lead the cheek.
			...(regionOf(from) === 'middle'
				? [[...route(from, 'zygoma', cheek), ...route('zygoma', to, cheek).slice(1)].join()]
				: [])
		]);
	knownWays.set(name, ways);
	return ways;
}

/** Other paths for the stroke, the nearest to what was meant first. */
function candidates(step: Step, context: JudgeContext): (readonly PlaceRef[])[] {
	const start = placeOf(step.places[0]!);
	const end = placeOf(step.places.at(-1)!);
	const receiver = mainReceiver(start);
	const cheek = context.school.cheekRoute;
	return [
		route(start, end, cheek),
		[...step.places].reverse(),
		route(end, start, cheek),
		...(receiver ? [route(start, `n:${receiver}`, cheek)] : [])
	].filter((places) => places.length > 1);
}

/** A drain stroke runs as the fluid does, not against or across it. */
export const againstDrainage: Rule = {
	id: 'against-drainage',
	kind: 'direction',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	check(context) {
		return context.steps
			.filter(({ step }) => isFluidStroke(step))
			.flatMap(({ step, number }) => {
				const pair = strokesOf(step).filter(isFluidStroke).map(badPair).find(Boolean);
				if (!pair) return [];
				const params = { number, from: placeOf(pair.from), to: placeOf(pair.to), kind: pair.alignment };
				return [{ stepIds: [step.id], params }];
			});
	},
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		const good = candidates(step, context).find((places) => !badPair({ ...step, places: [...places], reverse: false }));
		return good
			? withPath(context, step, [...good], `Turn step ${finding.params.number} the way the fluid runs`)
			: null;
	}
};
