import { median } from 'simple-statistics';
import type { FrontPoint, Pixel, Points } from './landmarks';

/** How a face is lit, from six patches of skin: in natural logarithms, so that differences are shares. */
export interface Light {
	/** How bright. */
	readonly level: number;
	/** > 0: brighter on the client’s left. */
	readonly side: number;
	/** > 0: the forehead brighter than the chin. */
	readonly height: number;
}

/** Each patch lies so far along the way from a point to another. */
const PATCHES = {
	cheekL: ['piL', 'goL', 0.42],
	cheekR: ['piR', 'goR', 0.42],
	templeL: ['brL', 'zyL', 0.45],
	templeR: ['brR', 'zyR', 0.45],
	forehead: ['tr', 'se', 0.5],
	chin: ['li', 'me', 0.55]
} as const satisfies Record<string, readonly [FrontPoint, FrontPoint, number]>;
type Patch = keyof typeof PATCHES;

/** A patch is so wide against the distance between the outer corners of the eyes. */
const PATCH_WIDTH = 0.06;
const DARKEST = 1e-4;

/**
 * How a face is lit.
 * @param luminanceAt linear, 0 to 1, at a place of the photograph; null beyond its edge
 * @returns null where a point that it needs is missing, or a patch lies beyond the picture
 */
export function lightOf(
	points: Points<FrontPoint>,
	luminanceAt: (x: number, y: number) => number | null
): Light | null {
	const { exL, exR } = points;
	if (!exL || !exR) return null;
	const reach = Math.max(1, (PATCH_WIDTH / 2) * Math.hypot(exL[0] - exR[0], exL[1] - exR[1]));
	const logs = {} as Record<Patch, number>;
	for (const [patch, [from, to, share]] of Object.entries(PATCHES) as [
		Patch,
		readonly [FrontPoint, FrontPoint, number]
	][]) {
		const [a, b] = [points[from], points[to]];
		if (!a || !b) return null;
		const middle: Pixel = [a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1])];
		const seen: number[] = [];
		for (let y = -reach; y <= reach; y++)
			for (let x = -reach; x <= reach; x++) {
				const value = luminanceAt(Math.round(middle[0] + x), Math.round(middle[1] + y));
				if (value !== null) seen.push(value);
			}
		if (!seen.length) return null;
		logs[patch] = Math.log(Math.max(DARKEST, median(seen)));
	}
	return {
		level: Object.values(logs).reduce((a, b) => a + b, 0) / 6,
		side: (logs.cheekL - logs.cheekR + logs.templeL - logs.templeR) / 2,
		height: logs.forehead - logs.chin
	};
}

/** From when on a difference is to be minded, and from when on the pictures are not comparable. Working values. */
export const LIGHT_LIMITS = { side: [0.2, 0.4], level: [0.25, 0.5], height: [0.05, 0.1] } as const;
export type LightVerdict = 'alike' | 'caution' | 'not-comparable';
export interface LightDifference extends Light {
	readonly verdict: LightVerdict;
	/** What differs most, against its limit. */
	readonly most: keyof Light;
	readonly otherSide: boolean;
}

/** Lengths are not refused for light, since they do not hang on it: pictures are. */
export function lightDifference(before: Light, after: Light): LightDifference {
	const parts = Object.keys(LIGHT_LIMITS) as (keyof Light)[];
	const of = (part: keyof Light) => after[part] - before[part];
	const share = (part: keyof Light, limit: 0 | 1) => Math.abs(of(part)) / LIGHT_LIMITS[part][limit];
	const most = parts.reduce((a, b) => (share(b, 0) > share(a, 0) ? b : a));
	const verdict = parts.some((p) => share(p, 1) > 1) ? 'not-comparable' : share(most, 0) > 1 ? 'caution' : 'alike';
	const otherSide = before.side * after.side < 0 && share('side', 0) > 1;
	return { level: of('level'), side: of('side'), height: of('height'), verdict, most, otherSide };
}
