import type { StudyCamera } from './face.schema';

const RADIANS = Math.PI / 180;
/** The point of the neck about which the head turns, mm. */
export const PIVOT = [0, 30, -20] as const;

/** Row by row. */
export type Rotation = readonly number[];
const times = (a: Rotation, b: Rotation): Rotation =>
	Array.from({ length: 9 }, (_, n) => {
		const [row, column] = [3 * Math.trunc(n / 3), n % 3];
		return a[row]! * b[column]! + a[row + 1]! * b[column + 3]! + a[row + 2]! * b[column + 6]!;
	});

/** Roll after pitch after yaw, degrees. */
export function rotationOf({ yaw, pitch, roll }: Pick<StudyCamera, 'yaw' | 'pitch' | 'roll'>): Rotation {
	const [cy, sy, cp, sp, cr, sr] = [yaw, pitch, roll].flatMap((d) => [
		Math.cos(d * RADIANS),
		Math.sin(d * RADIANS)
	]) as [number, number, number, number, number, number];
	return times(
		[cr, -sr, 0, sr, cr, 0, 0, 0, 1],
		times([1, 0, 0, 0, cp, -sp, 0, sp, cp], [cy, 0, sy, 0, 1, 0, -sy, 0, cy])
	);
}

/** Where a point of the head comes to lie: px, mm towards the camera, px for each mm there. */
export type Projected = readonly [x: number, y: number, towards: number, pxPerMm: number];
export type Projector = (x: number, y: number, z: number) => Projected;

/** The camera as a function: from mm of the head to px of the picture. */
export function projectorOf(camera: StudyCamera): Projector {
	const { widthPx, heightPx, distanceMm, fieldMm, centreMm } = camera;
	const r = rotationOf(camera) as [number, number, number, number, number, number, number, number, number];
	const focal = (heightPx * distanceMm) / fieldMm;
	const [px, py, pz] = PIVOT;
	return (x, y, z) => {
		const [a, b, c] = [x - px, y - py, z - pz];
		const towards = r[6] * a + r[7] * b + r[8] * c;
		const k = focal / (distanceMm - towards);
		return [
			widthPx / 2 + (r[0] * a + r[1] * b + r[2] * c + px - centreMm[0]) * k,
			heightPx / 2 + (r[3] * a + r[4] * b + r[5] * c + py - centreMm[1]) * k,
			towards,
			k
		];
	};
}
