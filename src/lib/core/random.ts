const STEP = 0x6d2b79f5;

/**
 * A source of numbers in [0, 1) that gives the same ones for the same seed: mulberry32.
 * @param skipped so many numbers are left out at the beginning: whole and at least 0
 */
export function seededRandom(seed: number, skipped = 0): () => number {
	let a = (seed + Math.imul(skipped, STEP)) >>> 0;
	return () => {
		a = (a + STEP) >>> 0;
		let t = Math.imul(a ^ (a >>> 15), a | 1);
		t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
		return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
	};
}
