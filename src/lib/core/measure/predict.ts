import generic from './genericFace.json' with { type: 'json' };
import type { AnyPoint, Pixel, Points } from './landmarks';
import { similarityOnto } from './similarity';

/** A face of usual proportions, facing the camera or to the left, in a picture of 1200 × 1600 px. Working values. */
export const GENERIC = generic as unknown as {
	readonly widthPx: number;
	readonly heightPx: number;
	readonly front: Points;
	readonly profile: Points;
};
/** The generic face for a view; the client’s right in profile is the left one mirrored. */
export function genericPoints(view: 'front' | 'left' | 'right'): Points {
	if (view === 'front') return GENERIC.front;
	if (view === 'left') return GENERIC.profile;
	const mirrored = Object.entries(GENERIC.profile).map(([id, p]) => [id, [GENERIC.widthPx - p[0], p[1]]]);
	return Object.fromEntries(mirrored) as Points;
}

/**
 * Where a point probably lies: a known face laid onto the points that are placed already.
 * @param known points of an earlier photograph of her, or of the generic face
 * @param frame width and height of the picture, px: with fewer than two points placed the face is taken to fill it
 * @returns null where the known face does not have it
 */
export function predicted(point: AnyPoint, placed: Points, known: Points, frame: Pixel): Pixel | null {
	const at = known[point];
	if (!at) return null;
	const shared = (Object.keys(placed) as AnyPoint[]).filter((id) => id !== point && known[id] && placed[id]);
	if (shared.length < 2) {
		const share = Math.min(frame[0] / GENERIC.widthPx, frame[1] / GENERIC.heightPx);
		const fits = [
			frame[0] / 2 + (at[0] - GENERIC.widthPx / 2) * share,
			frame[1] / 2 + (at[1] - GENERIC.heightPx / 2) * share
		];
		return fits as unknown as Pixel;
	}
	return similarityOnto(
		shared.map((id) => placed[id]!),
		shared.map((id) => known[id]!)
	).apply(at);
}
