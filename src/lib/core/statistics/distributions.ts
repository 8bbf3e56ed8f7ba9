/**
 * Normal, t and χ² distributions, to about 1e-12. Small packages that are at hand stop at 1e-7, which is not enough for the
 * tails of an adjusted p.
 * @source log Γ by Lanczos (g 7, 9 terms); incomplete Γ and B by series and continued fractions (Lentz); inverses by halving
 */
const LANCZOS = [
	0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
	12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7
];
const MOST_TERMS = 500;
const TINY = 1e-300;
const ENOUGH = 1e-15;

function logGamma(x: number): number {
	if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
	const y = x - 1;
	const t = y + 7.5;
	const sum = LANCZOS.reduce((s, g, i) => (i ? s + g / (y + i) : g), 0);
	return 0.5 * Math.log(2 * Math.PI) + (y + 0.5) * Math.log(t) - t + Math.log(sum);
}

const notNought = (x: number): number => (Math.abs(x) < TINY ? TINY : x);

/** Regularised incomplete Γ from below. */
function gammaBelow(a: number, x: number): number {
	if (x <= 0) return 0;
	const front = Math.exp(-x + a * Math.log(x) - logGamma(a));
	if (x < a + 1) {
		let [sum, term] = [1 / a, 1 / a];
		for (let n = 1; n < MOST_TERMS && Math.abs(term) >= ENOUGH * 0.1 * Math.abs(sum); n++) {
			term *= x / (a + n);
			sum += term;
		}
		return sum * front;
	}
	let b = x + 1 - a;
	let c = 1 / TINY;
	let d = 1 / b;
	let h = d;
	for (let n = 1; n < MOST_TERMS; n++) {
		const an = -n * (n - a);
		b += 2;
		d = 1 / notNought(an * d + b);
		c = notNought(b + an / c);
		const step = c * d;
		h *= step;
		if (Math.abs(step - 1) < ENOUGH) break;
	}
	return 1 - front * h;
}

function betaFraction(x: number, a: number, b: number): number {
	let c = 1;
	let d = 1 / notNought(1 - ((a + b) * x) / (a + 1));
	let h = d;
	for (let m = 1; m < MOST_TERMS; m++) {
		const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
		d = 1 / notNought(1 + even * d);
		c = notNought(1 + even / c);
		h *= c * d;
		const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
		d = 1 / notNought(1 + odd * d);
		c = notNought(1 + odd / c);
		h *= c * d;
		if (Math.abs(c * d - 1) < ENOUGH) break;
	}
	return h;
}

/** Regularised incomplete B from below. */
function betaBelow(x: number, a: number, b: number): number {
	if (x <= 0) return 0;
	if (x >= 1) return 1;
	const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log(1 - x));
	return x < (a + 1) / (a + b + 2) ? (front * betaFraction(x, a, b)) / a : 1 - (front * betaFraction(1 - x, b, a)) / b;
}

/** Share of the normal distribution below z. */
export function normalBelow(z: number): number {
	const share = gammaBelow(0.5, (z * z) / 2);
	return z < 0 ? 0.5 * (1 - share) : 0.5 * (1 + share);
}
/** Share of the t distribution below t. @param df degrees of freedom, > 0 */
export function tBelow(t: number, df: number): number {
	if (df > 1e6) return normalBelow(t);
	const tail = 0.5 * betaBelow(df / (df + t * t), df / 2, 0.5);
	return t > 0 ? 1 - tail : tail;
}
const chiSquareBelow = (x: number, df: number): number => gammaBelow(df / 2, x / 2);

function inverse(share: (x: number) => number, p: number, from: number, to: number): number {
	let [low, high] = [from, to];
	for (let i = 0; i < 200 && high - low > 0; i++) {
		const middle = (low + high) / 2;
		if (share(middle) < p) low = middle;
		else high = middle;
	}
	return (low + high) / 2;
}
/** Asked for again and again with the same degrees of freedom: each is worked out once. */
const known = new Map<string, number>();
function once(key: string, work: () => number): number {
	const value = known.get(key) ?? work();
	known.set(key, value);
	return value;
}

/** z below which a share p of the normal distribution lies. @param p 0..1, neither end */
export const normalQuantile = (p: number): number => once(`n${p}`, () => inverse(normalBelow, p, -40, 40));
/** t below which a share p lies. @param p 0..1, neither end @param df > 0 */
export const tQuantile = (p: number, df: number): number =>
	once(`t${p}|${df}`, () => inverse((t) => tBelow(t, df), p, -400, 400));
/** χ² below which a share p lies. @param p 0..1, neither end @param df > 0 */
export const chiSquareQuantile = (p: number, df: number): number =>
	once(`c${p}|${df}`, () => inverse((x) => chiSquareBelow(x, df), p, 0, 20 * df + 200));
/** Twice the share of the t distribution beyond t. */
export const tTwoSided = (t: number, df: number): number => 2 * (1 - tBelow(Math.abs(t), df));
/** Twice the share of the normal distribution beyond z. */
export const normalTwoSided = (z: number): number => 2 * (1 - normalBelow(Math.abs(z)));
