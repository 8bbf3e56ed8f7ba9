import { STABLE_POINTS } from '../measure/similarity';
import type { FrontPoint, JawPoint, Points } from '../measure/landmarks';
import type { PointedPhoto } from '../measure/photo.schema';
import type { Photo } from './photo';

/** A photograph as the comparison takes it. */
export const pointedOf = ({ points, scale, distanceMm }: Photo): PointedPhoto => ({
	points: points as Points<FrontPoint | JawPoint>,
	scale,
	zoom: 4,
	...(distanceMm === null ? {} : { distanceMm })
});

/** More pairs do not make the error much surer. */
const MOST_PAIRS = 40;
/**
 * Retakes: front photographs of one client at one moment (the same session, both before or both after), each with the
 * one that was taken next. The latest pairs.
 */
export function retakePairs(photos: readonly Photo[]): (readonly [PointedPhoto, PointedPhoto])[] {
	const moments = new Map<string, Photo[]>();
	for (const photo of photos) {
		if (photo.view !== 'front' || !photo.sessionId || !STABLE_POINTS.every((id) => photo.points[id])) continue;
		const key = `${photo.clientId} ${photo.sessionId} ${photo.when}`;
		moments.set(key, [...(moments.get(key) ?? []), photo]);
	}
	const pairs = [...moments.values()].flatMap((set) =>
		set
			.toSorted((a, b) => a.takenAt.localeCompare(b.takenAt))
			.flatMap((photo, i, all) => (i % 2 ? [[all[i - 1]!, photo] as const] : []))
	);
	return pairs
		.toSorted(([a], [b]) => a.takenAt.localeCompare(b.takenAt))
		.slice(-MOST_PAIRS)
		.map(([a, b]) => [pointedOf(a), pointedOf(b)] as const);
}
