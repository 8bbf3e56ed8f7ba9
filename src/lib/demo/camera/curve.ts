// Small functions of which the made-up head is built. All lengths are mm.

/** The smaller of two, rounded over a width. */
export function softMin(a: number, b: number, width: number): number {
	const h = width - Math.abs(a - b);
	return Math.min(a, b) - (h > 0 ? (h * h) / (4 * width) : 0);
}
/** The greater of two, rounded over a width. */
export const softMax = (a: number, b: number, width: number): number => -softMin(-a, -b, width);
/** From 0 at `from` to 1 at `to`, with no corner at either end. */
export function ramp(from: number, to: number, x: number): number {
	const t = Math.min(1, Math.max(0, (x - from) / (to - from)));
	return t * t * (3 - 2 * t);
}
export const bell = (x: number): number => Math.exp(-x * x);
/** A round hill: 1 in its middle, nothing far away. */
export function hill(x: number, y: number, atX: number, atY: number, wideX: number, wideY: number): number {
	const [a, b] = [(x - atX) / wideX, (y - atY) / wideY];
	const e = a * a + b * b;
	return e > 12 ? 0 : Math.exp(-e);
}

export type Knots = readonly (readonly [at: number, value: number])[];
/** A cubic through knots whose slope is that of their neighbours; level beyond the ends. */
function cubicThrough(knots: Knots): (x: number) => number {
	const slopes = knots.map((_, i) => {
		const [a, b] = [knots[Math.max(0, i - 1)]!, knots[Math.min(knots.length - 1, i + 1)]!];
		return (b[1] - a[1]) / (b[0] - a[0]);
	});
	return (x) => {
		const i = Math.min(
			knots.length - 2,
			Math.max(
				0,
				knots.findLastIndex(([at]) => at < x)
			)
		);
		const [[x0, y0], [x1, y1]] = [knots[i]!, knots[i + 1]!];
		if (x <= x0) return y0;
		if (x >= x1) return y1;
		const [h, t] = [x1 - x0, (x - x0) / (x1 - x0)];
		const [t2, t3] = [t * t, t * t * t];
		return (
			(2 * t3 - 3 * t2 + 1) * y0 +
			(t3 - 2 * t2 + t) * h * slopes[i]! +
			(3 * t2 - 2 * t3) * y1 +
			(t3 - t2) * h * slopes[i + 1]!
		);
	};
}

interface Sampling {
	readonly from: number;
	readonly to: number;
	readonly step: number;
	/** Standard deviation of the smoothing: without it the knots show as lines in the skin. */
	readonly smooth: number;
}
/** A smoothed curve through knots, looked up in a table. */
export function curve(knots: Knots, { from, to, step, smooth }: Sampling): (x: number) => number {
	const at = cubicThrough(knots);
	const count = Math.round((to - from) / step) + 1;
	const raw = Float64Array.from({ length: count + 1 }, (_, i) => at(from + i * step));
	const reach = Math.round((smooth * 3) / step);
	const kernel = Array.from({ length: 2 * reach + 1 }, (_, k) => Math.exp(-0.5 * (((k - reach) * step) / smooth) ** 2));
	const total = kernel.reduce((a, b) => a + b, 0);
	const table = raw.map((_, i) => {
		let sum = 0;
		for (let k = -reach; k <= reach; k++) sum += raw[Math.max(0, Math.min(count, i + k))]! * kernel[k + reach]!;
		return sum / total;
	});
	return (x) => {
		const u = Math.min(count - 1, Math.max(0, (x - from) / step));
		const i = Math.trunc(u);
		return table[i]! + (table[i + 1]! - table[i]!) * (u - i);
	};
}
