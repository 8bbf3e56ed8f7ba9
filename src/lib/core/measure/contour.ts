import { inverse, Matrix } from 'ml-matrix';

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
	const q = Matrix.zeros(n, n - 2);
	const r = Matrix.zeros(n - 2, n - 2);
	for (let j = 0; j < n - 2; j++) {
		const [here, next] = [gaps[j]!, gaps[j + 1]!];
		q.set(j, j, 1 / here);
		q.set(j + 1, j, -1 / here - 1 / next);
		q.set(j + 2, j, 1 / next);
		r.set(j, j, (here + next) / 3);
		if (j + 1 < n - 2) {
			r.set(j, j + 1, next / 6);
			r.set(j + 1, j, next / 6);
		}
	}
	const solved = inverse(Matrix.add(r, Matrix.mul(q.transpose().mmul(q), stiffness))).mmul(q.transpose());
	const hat = Matrix.sub(Matrix.eye(n), Matrix.mul(q.mmul(solved), stiffness));
	const given = Matrix.columnVector([...y]);
	const fitted = hat.mmul(given).to1DArray();
	const bends = [0, ...solved.mmul(given).to1DArray(), 0];
	const squares = y.reduce((sum, value, i) => sum + (value - fitted[i]!) ** 2, 0);
	const freedom = hat.trace();
	const at = (t: number): number => {
		let i = 0;
		while (i < n - 2 && t > x[i + 1]!) i++;
		const gap = gaps[i]!;
		const [a, b] = [(x[i + 1]! - t) / gap, (t - x[i]!) / gap];
		const bend = (a ** 3 - a) * bends[i]! + (b ** 3 - b) * bends[i + 1]!;
		return a * fitted[i]! + b * fitted[i + 1]! + (bend * gap * gap) / 6;
	};
	return { fitted, freedom, squares, gcv: (n * squares) / (n - freedom) ** 2, hat, at };
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
