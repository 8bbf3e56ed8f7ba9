import { JAW_POINTS, type Pixel, type Points } from './landmarks';
import { contourByAngle, signedArea } from './contour';
import { eyeFrame } from './front';
import { centre, dot, minus } from './vector';

/** The middle of the contour lies so far below the eyes, mm; the area is taken between these angles below the horizontal. */
const BELOW_EYES_MM = 45;
const RADIANS = Math.PI / 180;
const [FROM, TO] = [8 * RADIANS, 84 * RADIANS];
/** How stiff the line through the points is. Fixed for a pair, else the stiffness would be seen as change. Working value. */
const STIFFNESS = 2e-3;
const OF_SIDE = {
	L: JAW_POINTS.filter((id) => id.endsWith('L')),
	R: JAW_POINTS.filter((id) => id.endsWith('R'))
} as const;
export type JawSide = keyof typeof OF_SIDE;
const EYES = ['exL', 'exR', 'enL', 'enR'] as const;

/** Distance of one side’s contour from the middle of the face, mm, by the angle below the horizontal, radians; null where points are missing or out of order. */
export function jawContour(points: Points, side: JawSide, mmPerPx: number): ((angle: number) => number) | null {
	const frame = eyeFrame(points);
	const placed = OF_SIDE[side].map((id) => points[id]);
	if (!frame || !placed.every((p): p is Pixel => p !== undefined)) return null;
	const eyes = centre(EYES.map((id) => points[id]!));
	const outwards = side === 'L' ? 1 : -1;
	const polar = placed.map((p) => {
		const across = outwards * dot(minus(p, eyes), frame.u) * mmPerPx;
		const down = dot(minus(p, eyes), frame.v) * mmPerPx - BELOW_EYES_MM;
		return [Math.atan2(down, across), Math.hypot(across, down)] as const;
	});
	return contourByAngle(
		polar.map(([angle]) => angle),
		polar.map(([, r]) => r),
		STIFFNESS
	);
}

/** Area between the middle of the face and one side’s contour, mm²; null where points are missing or out of order. */
export type JawSector = (points: Points, side: JawSide, mmPerPx: number) => number | null;
export const jawSector: JawSector = (points, side, mmPerPx) => {
	const contour = jawContour(points, side, mmPerPx);
	return contour && signedArea(() => 0, contour, FROM, TO);
};

/** Both sides of two photographs. */
const REMEMBERED = 4;
/** The same, but the first answers are remembered: where one point is moved, most of a face stays as it was. */
export function rememberingSector(): JawSector {
	const known: { side: JawSide; mmPerPx: number; on: readonly (Pixel | undefined)[]; area: number | null }[] = [];
	return (points, side, mmPerPx) => {
		const on = [...EYES, ...OF_SIDE[side]].map((id) => points[id]);
		const same = known.find((k) => k.side === side && k.mmPerPx === mmPerPx && k.on.every((p, i) => p === on[i]));
		if (same) return same.area;
		const area = jawSector(points, side, mmPerPx);
		if (known.length < REMEMBERED) known.push({ side, mmPerPx, on, area });
		return area;
	};
}

export interface JawChange {
	/** > 0: the contour lies farther out, mm². */
	readonly jawAreaL?: number;
	readonly jawAreaR?: number;
	/** Left less right, mm². */
	readonly jawAreaAsymmetry?: number;
}
/** Signed areas between the contours of two photographs, each with its own scale. */
export function jawChange(
	before: Points,
	after: Points,
	mmPerPxBefore: number,
	mmPerPxAfter: number,
	sector: JawSector = jawSector
): JawChange {
	const side = (s: JawSide) => {
		const [a, b] = [sector(before, s, mmPerPxBefore), sector(after, s, mmPerPxAfter)];
		return a === null || b === null ? undefined : b - a;
	};
	const [left, right] = [side('L'), side('R')];
	return {
		...(left === undefined ? {} : { jawAreaL: left }),
		...(right === undefined ? {} : { jawAreaR: right }),
		...(left === undefined || right === undefined ? {} : { jawAreaAsymmetry: left - right })
	};
}
