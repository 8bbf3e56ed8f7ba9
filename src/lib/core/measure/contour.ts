import { LuDecomposition, Matrix } from 'ml-matrix';

/** A smooth line through points that are not exact. */
export interface Spline {
	/** Its height at the points. */
	readonly fitted: readonly number[];
	/** How many free parameters it is worth. */
	readonly freedom: number;
	/** What it leaves, sum of squares. */
	readonly squares: number;
	/** Generalised cross-validation: the smaller, the better the stiffness. */
	readonly gcv: number;
	/** How each fitted height hangs on each given one: errors pass through it. */
	readonly hat: Matrix;
	readonly at: (x: number) => number;
}

/**
 * The smoothing spline: least Σ(y − f)² + λ∫f″².
 * @param x rising, 3 at least
 * @param stiffness λ ≥ 0: 0 goes through every point, large gives a straight line
 * @throws {RangeError} for fewer than three points, or x that does not rise
 * @source C. H. Reinsch, “Smoothing by spline functions”, 1967
 */
export function smoothingSpline(x: readonly number[], y: readonly number[], stiffness: number): Spline {
	const n = x.length;
	const gaps = x.slice(1).map((value, i) => value - x[i]!);
	if (n < 3 || gaps.some((g) => !(g > 0))) throw new RangeError('three points at least, from left to right');
	// Second differences: each row of three numbers is for a point that is not at an end.
	const q = gaps.slice(1).map((next, j) => [1 / gaps[j]!, -1 / gaps[j]! - 1 / next, 1 / next] as const);
	const roughness = q.map((row, j) =>
		q.map((other, k) => {
			const apart = Math.abs(j - k);
			const [upper, lower] = j < k ? [row, other] : [other, row];
			const shared = apart > 2 ? 0 : upper.slice(apart).reduce((sum, value, i) => sum + value * lower[i]!, 0);
			const r = apart === 0 ? (gaps[j]! + gaps[j + 1]!) / 3 : apart === 1 ? gaps[Math.max(j, k)]! / 6 : 0;
			return r + stiffness * shared;
		})
	);
	const left = new LuDecomposition(new Matrix(roughness));
	const bent = left
		.solve(Matrix.columnVector(q.map((row, j) => row.reduce((s, v, i) => s + v * y[j + i]!, 0))))
		.to1DArray();
	/** What a bend at a point does to the heights around it. */
	const spread = (i: number, of: (j: number) => number) =>
		[0, 1, 2].reduce((sum, k) => sum + (q[i - k]?.[k] ?? 0) * (q[i - k] ? of(i - k) : 0), 0);
	const fitted = y.map((value, i) => value - stiffness * spread(i, (j) => bent[j]!));
	const bends = [0, ...bent, 0];
	const squares = y.reduce((sum, value, i) => sum + (value - fitted[i]!) ** 2, 0);
	const at = (t: number): number => {
		let i = 0;
		while (i < n - 2 && t > x[i + 1]!) i++;
		const gap = gaps[i]!;
		const [a, b] = [(x[i + 1]! - t) / gap, (t - x[i]!) / gap];
		const bend = (a ** 3 - a) * bends[i]! + (b ** 3 - b) * bends[i + 1]!;
		return a * fitted[i]! + b * fitted[i + 1]! + (bend * gap * gap) / 6;
	};
	// Asked for seldom, and it takes longer than all the rest.
	let hat: Matrix | null = null;
	const hatOf = (): Matrix => {
		if (hat) return hat;
		const whole = new Matrix(Array.from({ length: n }, (_, i) => q.map((_, j) => q[j]![i - j] ?? 0)));
		return (hat = Matrix.sub(Matrix.eye(n), Matrix.mul(whole.mmul(left.solve(whole.transpose())), stiffness)));
	};
	return {
		fitted,
		squares,
		at,
		get hat() {
			return hatOf();
		},
		get freedom() {
			return hatOf().trace();
		},
		get gcv() {
			return (n * squares) / (n - hatOf().trace()) ** 2;
		}
	};
}

/** A contour as distances from a middle by direction, smooth; null where its points are out of order. @param angles radians, rising */
export function contourByAngle(
	angles: readonly number[],
	distances: readonly number[],
	stiffness: number
): ((angle: number) => number) | null {
	if (angles.some((angle, i) => i > 0 && !(angle > angles[i - 1]!))) return null;
	return smoothingSpline(angles, distances, stiffness).at;
}

const PANELS = 64;
/**
 * Area between two contours about a point, ½∫(r² after − r² before)dφ, by Simpson’s rule.
 * @param before, after distance from the point by angle, radians
 * @returns > 0: the contour went outwards; in the square of the distance’s unit
 */
export function signedArea(
	before: (angle: number) => number,
	after: (angle: number) => number,
	from: number,
	to: number
): number {
	const width = (to - from) / PANELS;
	let sum = 0;
	for (let i = 0; i <= PANELS; i++) {
		const angle = from + width * i;
		const weight = i === 0 || i === PANELS ? 1 : i % 2 ? 4 : 2;
		sum += weight * 0.5 * (after(angle) ** 2 - before(angle) ** 2);
	}
	return (sum * width) / 3;
}
