import type { Binary } from '../core/records/binary';
import { PhotoSchema, type Photo } from '../core/records/photo';
import type { Session } from '../core/records/session';
import { hashOfBytes } from '../core/records/hash';
import { placementSdPx, type AnyPoint, type Pixel, type Points } from '../core/measure/landmarks';
import { pxPerMmByEyes } from '../core/measure/pose';
import { seededRandom } from '../core/random';
import { DEMO_PHOTOS, type DemoPhoto } from './photos';
import truths from './pictures/truths.json' with { type: 'json' };
import { normal } from './random';

/** Addresses of the pictures, as the build names them. */
const PICTURES = import.meta.glob<string>('./pictures/*.jpg', { query: '?url', import: 'default', eager: true });
const addressOf = (name: string): string => PICTURES[`./pictures/${name}.jpg`]!;

/** Half across the coloured ring of an eye, mm, and how far beside its edge an end is placed. */
const [IRIS_MM, IRIS_END_MM] = [5.85, 0.25];

/** In a profile one corner of the eyes is seen: by the height of the picture over its 330 mm. */
const PROFILE_PX_PER_MM = 2.9;

/** Placed as a practised hand places: beside the truth, by the spread of each point. */
function placedOn({ id, view }: DemoPhoto): { points: Photo['points']; scale: Photo['scale']; truth: Photo['truth'] } {
	const truth = (truths as unknown as Record<string, Points>)[id]!;
	const random = seededRandom(hashOfBytes(new TextEncoder().encode(id)).charCodeAt(3) * 7919);
	const pxPerMm = pxPerMmByEyes(truth) ?? PROFILE_PX_PER_MM;
	const beside = ([x, y]: Pixel, [sx, sy]: Pixel): [number, number] => [normal(random, x, sx), normal(random, y, sy)];
	const points = Object.fromEntries(
		(Object.entries(truth) as [AnyPoint, Pixel][]).map(([point, at]) => [
			point,
			beside(at, placementSdPx(point, pxPerMm))
		])
	);
	const edge = (pupil: Pixel, way: number) =>
		beside([pupil[0] + way * IRIS_MM * pxPerMm, pupil[1]], [IRIS_END_MM * pxPerMm, 0]);
	const scale: Photo['scale'] =
		view === 'front'
			? { kind: 'iris', ends: [edge(truth.pR!, -1), edge(truth.pR!, 1), edge(truth.pL!, -1), edge(truth.pL!, 1)] }
			: { kind: 'none' };
	return { points, scale, truth: truth as Photo['truth'] };
}

/**
 * The photographs of the demo, and their files.
 * @param load fetches the bytes of a picture
 */
export async function demoPhotoRows(
	sessions: readonly Session[],
	load: (address: string) => Promise<Uint8Array<ArrayBuffer>>
): Promise<{ photo: Photo[]; binary: Binary[] }> {
	const binaries = new Map<string, Binary>();
	const photo = await Promise.all(
		DEMO_PHOTOS.map(async (made) => {
			const { id, clientId, session, when, view, minutes, camera } = made;
			const hers = sessions.filter((s) => s.clientId === clientId).toSorted((a, b) => a.order - b.order);
			const of = hers.at(session > 0 ? session - 1 : session)!;
			const looked = when === 'before' || !of.after ? of.before.takenAt : of.after.takenAt;
			const takenAt = new Date(Date.parse(looked) + minutes * 60_000).toISOString();
			const [file, small] = await Promise.all([load(addressOf(id)), load(addressOf(`${id}-small`))]);
			const keep = (bytes: Uint8Array<ArrayBuffer>) => {
				const binary = { id: hashOfBytes(bytes), revision: 1, updatedAt: takenAt, clientId, type: 'image/jpeg', bytes };
				binaries.set(binary.id, binary);
				return binary.id;
			};
			return PhotoSchema.parse({
				id,
				revision: 1,
				updatedAt: takenAt,
				clientId,
				sessionId: of.id,
				when,
				view,
				takenAt,
				source: 'simulated',
				widthPx: camera.widthPx,
				heightPx: camera.heightPx,
				fileId: keep(file),
				thumbId: keep(small),
				distanceMm: camera.distanceMm,
				...placedOn(made)
			});
		})
	);
	return { photo, binary: [...binaries.values()] };
}
