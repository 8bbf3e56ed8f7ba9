import raw from './data/geometry.json' with { type: 'json' };
import type { NodeId } from './nodes';
import type { ZoneId } from './zones';

/**
 * Where zones and nodes lie on the figure: two views of one head, viewBox 0 0 800 1000, one unit about 0.51 mm.
 * Front: only the client's LEFT half (x >= 400) is stored; the right is its mirror image. Profile: the client's left side.
 */
export type View = 'front' | 'profile';
export type Point = readonly [number, number];
export interface ZoneShape {
	readonly d: string;
	readonly centroid: Point;
	/** Square drawing units. */
	readonly area: number;
}
export interface Figure {
	readonly zones: Partial<Record<ZoneId, ZoneShape>>;
	readonly nodes: Partial<Record<NodeId, { readonly at: Point | readonly Point[] }>>;
}

export const FIGURE = raw.views as unknown as Record<View, Figure>;
/** x of the midline in the front view, drawing units. */
export const MIDLINE_X = 400;
export const mirror = ([x, y]: Point): Point => [2 * MIDLINE_X - x, y];

const mirrored = new Map<string, string>();
/**
 * A path as its mirror image across the midline. Written out rather than transformed: a browser draws many
 * transformed shapes slowly.
 * @param d absolute commands M, L, C and Z only, as the figure has them
 */
export function mirrorPath(d: string): string {
	const known = mirrored.get(d);
	if (known !== undefined) return known;
	const made = d.replace(
		/(-?\d+(?:\.\d+)?)[ ,]+(-?\d+(?:\.\d+)?)/g,
		(_, x: string, y: string) => `${Math.round((2 * MIDLINE_X - Number(x)) * 100) / 100} ${y}`
	);
	mirrored.set(d, made);
	return made;
}

/** All marks of a node group in a view, top to bottom (the neck chain has three); empty where it is not seen. */
export function nodePoints(view: View, node: NodeId): readonly Point[] {
	const at = FIGURE[view].nodes[node]?.at;
	if (!at) return [];
	return Array.isArray(at[0]) ? (at as readonly Point[]) : [at as Point];
}
