/** Grades are steps of an order: they are counted and ranked, never averaged. */

export interface GradeThreshold {
	/** The smallest difference of one pair, in grades, that error alone gives no oftener than α. */
	readonly steps: number;
	/** How often error alone gives so much. */
	readonly share: number;
}
/** What is known of repeat gradings before there are own ones: how often they differ by 0, 1, 2, 3, 4. Working values. */
const KNOWN_DIFFERENCES = [6, 3.4, 0.5, 0.08, 0.02];

/** @param counts how often two gradings of the same state differed by 0 to 4 */
export function gradeThreshold(counts: readonly number[], alpha = 0.05): GradeThreshold {
	const all = KNOWN_DIFFERENCES.map((known, i) => known + (counts[i] ?? 0));
	const total = all.reduce((a, b) => a + b, 0);
	let tail = 0;
	for (let steps = all.length - 1; steps >= 1; steps--) {
		const here = all[steps]! / total;
		if (tail + here > alpha) return { steps: steps + 1, share: tail };
		tail += here;
	}
	return { steps: 1, share: tail };
}

export interface SignTest {
	/** Two-sided. */
	readonly p: number;
	readonly higher: number;
	readonly lower: number;
}
/** How often so many of one sign come by chance. Differences of 0 say nothing. */
export function signTest(differences: readonly number[]): SignTest {
	const higher = differences.filter((d) => d > 0).length;
	const lower = differences.filter((d) => d < 0).length;
	const n = higher + lower;
	let [sum, ways] = [0, 1];
	for (let i = 0; i <= Math.min(higher, lower); i++) {
		sum += ways;
		ways = (ways * (n - i)) / (i + 1);
	}
	return { p: n ? Math.min(1, (2 * sum) / 2 ** n) : 1, higher, lower };
}

export interface SignFlip {
	/** For each zone alone. */
	readonly p: readonly number[];
	/** For each zone, so that the chance of any false yes among them stays below α. */
	readonly pFamily: readonly number[];
	/** Whether all ways were tried, or a sample of them. */
	readonly exact: boolean;
}
const EXACT_TO_SESSIONS = 11;

/**
 * Several zones over several sessions: the signs of whole sessions are flipped, which keeps what zones have in common.
 * @param differences by session, then by zone: after less before
 * @param random numbers in 0..1, used from 12 sessions on
 * @param draws how many flips are tried then
 * @throws {RangeError} without a session, or where sessions differ in their zones
 */
export function signFlip(differences: readonly (readonly number[])[], random: () => number, draws = 2000): SignFlip {
	const n = differences.length;
	const zones = differences[0]?.length ?? 0;
	if (!n || differences.some((d) => d.length !== zones)) throw new RangeError('no sessions, or not the same zones');
	const scale = Array.from({ length: zones }, (_, j) =>
		Math.sqrt(differences.reduce((sum, d) => sum + d[j]! ** 2, 0) || 1)
	);
	const strength = (sign: (session: number) => number): number[] =>
		scale.map((s, j) => Math.abs(differences.reduce((sum, d, i) => sum + sign(i) * d[j]!, 0)) / s);
	const seen = strength(() => 1);
	const exact = n <= EXACT_TO_SESSIONS;
	const tries = exact ? 2 ** (n - 1) : draws;
	const [alone, any] = [seen.map(() => 0), seen.map(() => 0)];
	for (let t = 0; t < tries; t++) {
		const signs = differences.map((_, i) =>
			exact ? (i === 0 || (t >> (i - 1)) & 1 ? 1 : -1) : random() < 0.5 ? 1 : -1
		);
		const flipped = strength((i) => signs[i]!);
		const most = Math.max(...flipped);
		for (const [j, least] of seen.entries()) {
			if (flipped[j]! >= least - 1e-12) alone[j]!++;
			if (most >= least - 1e-12) any[j]!++;
		}
	}
	// What was seen is one of the ways, also where only a sample of them is tried.
	const add = exact ? 0 : 1;
	const share = (count: number) => (count + add) / (tries + add);
	return { p: alone.map(share), pFamily: any.map(share), exact };
}
