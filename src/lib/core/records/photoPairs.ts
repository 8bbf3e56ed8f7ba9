import { eyeFrame } from '../measure/front';
import type { MeasuredView, Points } from '../measure/landmarks';
import type { PointedPhoto } from '../measure/photo.schema';
import { scaleOf } from '../measure/scale';
import { STABLE_POINTS } from '../measure/similarity';
import { dot, minus } from '../measure/vector';
import type { Photo } from './photo';
import type { PhotoView } from './photoViews';

/** How a photograph is measured: both profiles alike. */
export const measuredView = (view: PhotoView): MeasuredView => (view === 'front' ? 'front' : 'profile');

/** From the nose root down to where the nose meets the lip, mm, as a front photograph says it; null where it does not. */
function noseMm({ points, scale }: Photo): number | null {
	const { se, sn } = points as Points;
	const [frame, told] = [eyeFrame(points as Points), scaleOf(scale)];
	return frame && told && se && sn ? dot(minus(sn, se), frame.v) * told.mmPerPx : null;
}
/** A profile shows no iris: a front photograph of her tells how long her nose is, and so the size of the profile. */
function scaleOfProfile(profile: Photo, fronts: readonly Photo[]): PointedPhoto['scale'] {
	const { se, sn } = profile.points as Points;
	if (profile.scale.kind !== 'none' || !se || !sn) return profile.scale;
	const apart = (photo: Photo) => Math.abs(Date.parse(photo.takenAt) - Date.parse(profile.takenAt));
	const nearest = fronts
		.filter((f) => f.clientId === profile.clientId && f.view === 'front')
		.toSorted((a, b) => apart(a) - apart(b));
	for (const front of nearest) {
		const lengthMm = noseMm(front);
		if (lengthMm !== null && lengthMm > 5) return { kind: 'marker', ends: [se, sn], lengthMm };
	}
	return profile.scale;
}

/** A photograph as the comparison takes it. @param others among which are front photographs of hers: they tell the size of a profile */
export const pointedOf = (photo: Photo, others: readonly Photo[]): PointedPhoto => ({
	points: photo.points as Points,
	scale: photo.view === 'front' ? photo.scale : scaleOfProfile(photo, others),
	zoom: 4,
	...(photo.distanceMm === null ? {} : { distanceMm: photo.distanceMm })
});

/** More pairs do not make the error much surer. */
const MOST_PAIRS = 40;
/**
 * Retakes: photographs of one client from one side at one moment (the same session, both before or both after), each
 * with the one that was taken next. The latest pairs.
 */
export function retakePairs(photos: readonly Photo[], view: MeasuredView): (readonly [PointedPhoto, PointedPhoto])[] {
	const moments = new Map<string, Photo[]>();
	for (const photo of photos) {
		if (measuredView(photo.view) !== view || !photo.sessionId) continue;
		if (!STABLE_POINTS[view].every((id) => photo.points[id])) continue;
		const key = `${photo.clientId} ${photo.sessionId} ${photo.when} ${photo.view}`;
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
		.map(([a, b]) => [pointedOf(a, photos), pointedOf(b, photos)] as const);
}

/** Front photographs of the sessions of one client, the first one before and the first one after each. */
export function sessionPairs(photos: readonly Photo[], clientId: string): (readonly [PointedPhoto, PointedPhoto])[] {
	const sessions = new Map<string, Partial<Record<Photo['when'], Photo>>>();
	for (const photo of photos.toSorted((a, b) => a.takenAt.localeCompare(b.takenAt))) {
		if (photo.clientId !== clientId || photo.view !== 'front' || !photo.sessionId) continue;
		const known = sessions.get(photo.sessionId) ?? {};
		sessions.set(photo.sessionId, { [photo.when]: photo, ...known });
	}
	return [...sessions.values()].flatMap(({ before, after }) =>
		before && after ? [[pointedOf(before, photos), pointedOf(after, photos)] as const] : []
	);
}
