import type { FrontPoint, Pixel, Points } from './landmarks';
import { DEGREES } from './vector';

/** A face as a detector reports it: its mesh in px of the picture, and angles in its own reckoning, degrees. */
export interface ReportedFace {
	readonly mesh: readonly (readonly number[])[];
	readonly yaw: number;
	readonly pitch: number;
}

/**
 * Which points of the mesh are landmarks that may be suggested: those that align and scale. Never those that a treatment
 * moves (lids, brows, corners of the mouth, chin, jaw, cheeks): a mesh follows them by less than half.
 */
const MESH: Readonly<Record<string, readonly number[]>> = {
	se: [168],
	prn: [4],
	sn: [2],
	ls: [0],
	sto: [13, 14],
	li: [17],
	enL: [362],
	enR: [133],
	pL: [468],
	alL: [294],
	alR: [64],
	cphL: [267],
	cphR: [37]
} satisfies Partial<Record<FrontPoint, readonly number[]>>;
/** Pupils come last: a mesh without irises has fewer points. */
const PLAIN_MESH = 468;

const swapped = (id: string): FrontPoint => id.replace(/[LR]$/, (side) => (side === 'L' ? 'R' : 'L')) as FrontPoint;
/**
 * Landmarks on a mesh. The client’s right pupil is not among them: its part of the mesh is mirrored; a mirrored picture
 * has it as the left one.
 * @param mirroredWidth of a picture that was mirrored, px: points come back as they lie on the picture itself
 */
export function meshPoints(mesh: ReportedFace['mesh'], mirroredWidth?: number): Points<FrontPoint> {
	const placed = Object.entries(MESH).flatMap(([id, indices]): [string, Pixel][] => {
		const at = indices.map((i) => mesh[i]).filter((p) => p !== undefined);
		if (at.length < indices.length || (indices[0]! >= PLAIN_MESH && mesh.length <= PLAIN_MESH)) return [];
		// What is reported is cut to whole px: its middle lies half a px on.
		const [x, y] = [0, 1].map((axis) => at.reduce((s, p) => s + p[axis]!, 0) / at.length + 0.5) as [number, number];
		return [mirroredWidth === undefined ? [id, [x, y]] : [swapped(id), [mirroredWidth - x, y]]];
	});
	return Object.fromEntries(placed) as Points<FrontPoint>;
}

/** The mean of several looks at one face, point by point. */
export function meanPoints(looks: readonly Points<FrontPoint>[]): Points<FrontPoint> {
	const ids = [...new Set(looks.flatMap((points) => Object.keys(points)))] as FrontPoint[];
	return Object.fromEntries(
		ids.map((id) => {
			const at = looks.flatMap((points) => (points[id] ? [points[id]] : []));
			const mean = (axis: 0 | 1) => at.reduce((s, p) => s + p[axis], 0) / at.length;
			return [id, [mean(0), mean(1)]];
		})
	) as Points<FrontPoint>;
}

/** How a head is held, degrees: yaw > 0 the nose to the viewer’s right, pitch > 0 the chin up, roll > 0 clockwise. */
export interface Held {
	readonly yaw: number;
	readonly pitch: number;
	readonly roll: number;
}
/**
 * How a head is held, from what a detector reports. Its yaw and pitch run the other way, and short of the truth.
 * @source lines through 40 simulated heads within ± 5 degrees; error 0.5 in yaw, 0.9 in pitch. Working values.
 */
export function heldOf({ yaw, pitch }: ReportedFace, { enL, enR }: Points<FrontPoint>): Held {
	const roll = enL && enR ? Math.atan2(enL[1] - enR[1], enL[0] - enR[0]) * DEGREES : 0;
	return { yaw: (yaw + 0.2) / -0.84, pitch: (pitch - 5.8) / -0.89, roll };
}

/** Beyond this a face looks away: a profile that is still taken for a face is said to be turned by less than it is. Working value. */
const AWAY_DEGREES = 25;
export type FaceDoubt = 'none' | 'several' | 'away';
/** Why a picture is no front photograph of one person; null where nothing speaks against it. */
export function faceDoubt(faces: readonly ReportedFace[]): FaceDoubt | null {
	if (!faces.length) return 'none';
	if (faces.length > 1) return 'several';
	return Math.abs(heldOf(faces[0]!, {}).yaw) > AWAY_DEGREES ? 'away' : null;
}
export const DOUBT_WORDS: Readonly<Record<FaceDoubt, string>> = {
	none: 'No face is seen on this picture. Take one from the front, with the whole face and in even light.',
	several:
		'More than one face is seen on this picture. Measure one person at a time: take it again, or cut the others off.',
	away: 'The face looks away on this picture. For the front she looks straight into the camera; else choose a profile.'
};
