import type { FrontPoint, Pixel, Points } from './landmarks';
import { dot, minus } from './vector';
import { eyeFrame } from './front';

/** A photograph on which points were suggested, and then placed. */
export interface Corrected {
	readonly suggested: Points;
	readonly points: Points;
}
/** How far she whose photographs these are has each point beside where it was suggested: across and down, by the distance of her inner eye corners. */
export type LearntOffsets = Points<FrontPoint>;

/** Nothing is learnt from fewer photographs. */
const LEAST_PHOTOS = 2;
const unitOf = ({ enL, enR }: Points): number | null =>
	enL && enR ? Math.hypot(enL[0] - enR[0], enL[1] - enR[1]) : null;

/** Means of her own corrections. They are of one person: for another one they would be wrong. */
export function learntOffsets(photos: readonly Corrected[]): LearntOffsets {
	const found = new Map<FrontPoint, Pixel[]>();
	for (const { suggested, points } of photos) {
		const [frame, unit] = [eyeFrame(points), unitOf(points)];
		if (!frame || !unit) continue;
		for (const id of Object.keys(suggested) as FrontPoint[]) {
			if (!points[id]) continue;
			const off = minus(points[id], suggested[id]!);
			found.set(id, [...(found.get(id) ?? []), [dot(off, frame.u) / unit, dot(off, frame.v) / unit]]);
		}
	}
	const mean = (list: readonly Pixel[], axis: 0 | 1) => list.reduce((s, p) => s + p[axis], 0) / list.length;
	return Object.fromEntries(
		[...found]
			.filter(([, list]) => list.length >= LEAST_PHOTOS)
			.map(([id, list]) => [id, [mean(list, 0), mean(list, 1)]])
	) as LearntOffsets;
}

/** Suggestions moved to where she usually has them. */
export function withLearnt(suggested: Points<FrontPoint>, offsets: LearntOffsets): Points<FrontPoint> {
	const { enL, enR } = suggested;
	const unit = unitOf(suggested);
	if (!enL || !enR || !unit) return suggested;
	const u: Pixel = [(enL[0] - enR[0]) / unit, (enL[1] - enR[1]) / unit];
	const moved = (Object.entries(suggested) as [FrontPoint, Pixel][]).map(([id, at]) => {
		const [across, down] = offsets[id] ?? [0, 0];
		return [id, [at[0] + unit * (across * u[0] - down * u[1]), at[1] + unit * (across * u[1] + down * u[0])]];
	});
	return Object.fromEntries(moved) as Points<FrontPoint>;
}
