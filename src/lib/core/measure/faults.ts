import { capital } from '../capital';
import {
	FRONT_POINTS,
	PROFILE_POINTS,
	type AnyPoint,
	type MeasuredView,
	type Pixel,
	type Points,
	landmarkOf
} from './landmarks';

/** Two points that cannot both be right. */
export interface LandmarkFault {
	readonly points: readonly [AnyPoint, AnyPoint];
	readonly words: string;
}

/** From the top down, as each face has them. */
const DOWN: readonly (readonly AnyPoint[])[] = [
	['tr', 'se', 'prn', 'sn', 'ls', 'sto', 'li', 'me'],
	['brL', 'psL', 'pL', 'piL'],
	['brR', 'psR', 'pR', 'piR']
];
const PROFILE_DOWN: readonly AnyPoint[] = ['g', 'se', 'prn', 'sn', 'ls', 'li', 'sl', 'pg', 'me', 'c', 'nk'];
/** From the viewer’s left to the right: the client’s right lies there. */
const ACROSS: readonly (readonly AnyPoint[])[] = [
	['zyR', 'exR', 'enR', 'enL', 'exL', 'zyL'],
	['goR', 'chR', 'cphR', 'cphL', 'chL', 'goL'],
	['pR', 'pL'],
	['alR', 'alL'],
	['brR', 'brL'],
	['psR', 'psL'],
	['piR', 'piL']
];

const SIDES = { L: 'the client’s left ', R: 'the client’s right ' } as const;
/** The name of a landmark with its side. */
export function pointName(point: AnyPoint): string {
	const paired = !(PROFILE_POINTS as readonly string[]).includes(point) && /[LR]$/.test(point);
	const side = paired ? SIDES[point.slice(-1) as 'L' | 'R'] : '';
	const number = /\d+/.exec(point)?.[0];
	return `${side}${landmarkOf(point).label.toLowerCase()}${number ? ` ${number}` : ''}`;
}

function inOrder(points: Points, order: readonly AnyPoint[], axis: 0 | 1, words: (a: string, b: string) => string) {
	const placed = order.flatMap((id): { id: AnyPoint; at: Pixel }[] => (points[id] ? [{ id, at: points[id] }] : []));
	return placed.slice(1).flatMap(({ id, at }, i): LandmarkFault[] => {
		const before = placed[i]!;
		return at[axis] > before.at[axis]
			? []
			: [{ points: [before.id, id], words: words(pointName(before.id), pointName(id)) }];
	});
}

const below = (a: string, b: string) => `${capital(b)} lies above ${a}. Place one of them again, or exchange them.`;
const beside = (a: string, b: string) =>
	`${capital(a)} lies to the right of ${b} in the picture. Left and right are the client’s: place them again, or exchange them.`;

/** What of the points of a photograph cannot be: out of order, or on the wrong side. The picture stands upright. */
export function landmarkFaults(points: Points, view: MeasuredView): LandmarkFault[] {
	if (view === 'profile') return inOrder(points, PROFILE_DOWN, 1, below);
	return [
		...DOWN.flatMap((order) => inOrder(points, order, 1, below)),
		...ACROSS.flatMap((order) => inOrder(points, order, 0, beside))
	];
}

/** Points of a view that were not placed yet, in the order in which they are placed. */
export const missingPoints = (points: Points, view: MeasuredView): AnyPoint[] =>
	(view === 'front' ? FRONT_POINTS : PROFILE_POINTS).filter((id) => !points[id]);
