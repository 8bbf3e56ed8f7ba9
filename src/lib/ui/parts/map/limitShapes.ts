import { FIGURE, MIDLINE_X, mirrorPath, type Point, type View } from '$lib/core/atlas/geometry';
import { SIDES } from '$lib/core/atlas/places';
import { ZONE_IDS } from '$lib/core/atlas/zones';
import { markRow, placesOfMark } from '$lib/core/client/marks';
import type { Mark } from '$lib/core/client/common.schema';
import { sided, sideIn, zoneIn, type SidedZone } from '$lib/core/client/sidedZone';
import { placeState, type AllowedLine, type PlaceState } from '$lib/core/screening/allowed';
import type { Limit } from '$lib/core/screening/limit.schema';

/** Zones of one state on a view, as the paths of its figure. */
export interface LimitShape {
	readonly state: PlaceState;
	readonly paths: readonly string[];
}

const sidesIn = (view: View) => (view === 'front' ? SIDES : (['left'] as const));

/** What is left out, waits and is limited, as it is drawn; the least grave first, so that the gravest lies on top. */
export function limitShapes(view: View, limits: readonly Limit[], wide: boolean): LimitShape[] {
	const byState: Record<PlaceState, string[]> = { limited: [], waits: [], out: [] };
	for (const zone of ZONE_IDS) {
		const shape = FIGURE[view].zones[zone];
		if (!shape || (!wide && ['shoulder', 'axilla', 'decollete'].includes(zone))) continue;
		for (const side of sidesIn(view)) {
			const state = placeState(limits, sided(zone, side));
			if (state) byState[state].push(side === 'right' && view === 'front' ? mirrorPath(shape.d) : shape.d);
		}
	}
	return (Object.keys(byState) as PlaceState[]).flatMap((state) =>
		byState[state].length ? [{ state, paths: byState[state] }] : []
	);
}

/** The middle of a zone on a side, where the view shows it. */
function middleOf(view: View, place: SidedZone): Point | null {
	const at = FIGURE[view].zones[zoneIn(place)]?.centroid;
	if (!at || (view === 'profile' && sideIn(place) === 'right')) return null;
	return view === 'front' && sideIn(place) === 'right' ? [2 * MIDLINE_X - at[0], at[1]] : at;
}

export interface CallOut {
	readonly number: number;
	/** Where the line ends, on the skin. */
	readonly at: Point;
	/** Where the ring stands, beside the figure. */
	readonly ring: Point;
}
/** Where rings stand, and the least between two of them, drawing units. */
const RING_X = { left: 168, right: 632 } as const;
const RING_GAP = 38;

/** A number beside the face for each line that has places, on the side where it has most of them; rings never touch. */
export function callOuts(view: View, lines: readonly AllowedLine[]): CallOut[] {
	const found = lines.flatMap((line): { number: number; at: Point }[] => {
		const seen = line.places.flatMap((place) => {
			const at = middleOf(view, place);
			return at ? [at] : [];
		});
		if (!seen.length) return [];
		const right = seen.filter(([x]) => x >= MIDLINE_X);
		const side = right.length * 2 >= seen.length ? right : seen.filter(([x]) => x < MIDLINE_X);
		// The outermost of them: the line does not cross the face.
		const at = side.reduce((a, b) => (Math.abs(b[0] - MIDLINE_X) > Math.abs(a[0] - MIDLINE_X) ? b : a));
		return [{ number: line.number, at }];
	});
	return (['left', 'right'] as const).flatMap((side) => {
		const here = found.filter(({ at }) => (side === 'right') === at[0] >= MIDLINE_X).sort((a, b) => a.at[1] - b.at[1]);
		let last = -Infinity;
		return here.map(({ number, at }): CallOut => {
			last = Math.max(at[1], last + RING_GAP);
			return { number, at, ring: [RING_X[side], last] };
		});
	});
}

export interface PlacedMark {
	readonly mark: Mark;
	readonly at: Point;
	readonly label: string;
}
/** Marks on a view, those of one zone beside each other. */
export function placedMarks(view: View, marks: readonly Mark[]): PlacedMark[] {
	const taken = new Map<string, number>();
	return marks.flatMap((mark): PlacedMark[] => {
		const place = placesOfMark(mark)[0]!;
		const at = middleOf(view, place);
		if (!at) return [];
		const n = taken.get(place) ?? 0;
		taken.set(place, n + 1);
		const x = mark.side === 'midline' && view === 'front' ? MIDLINE_X : at[0];
		return [{ mark, at: [x + 14 * n, at[1]], label: markRow(mark.kind).label }];
	});
}
