import type { Pixel } from './landmarks';

export const DEGREES = 180 / Math.PI;
export const minus = (a: Pixel, b: Pixel): Pixel => [a[0] - b[0], a[1] - b[1]];
export const dot = (a: Pixel, b: Pixel): number => a[0] * b[0] + a[1] * b[1];
export const length = (a: Pixel): number => Math.hypot(a[0], a[1]);
/** Unit vector along a line, and the one across it. */
export function axesAlong(line: Pixel): { readonly u: Pixel; readonly v: Pixel } {
	const u: Pixel = [line[0] / length(line), line[1] / length(line)];
	return { u, v: [-u[1], u[0]] };
}
export const centre = (points: readonly Pixel[]): Pixel => [
	points.reduce((s, p) => s + p[0], 0) / points.length,
	points.reduce((s, p) => s + p[1], 0) / points.length
];
