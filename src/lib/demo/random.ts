/** A seeded source of numbers in 0..1: the same seed gives the same demo practice (mulberry32, public domain). */
export function seeded(seed: number): () => number {
	let a = seed >>> 0;
	return () => {
		a = (a + 0x6d2b79f5) >>> 0;
		let t = a;
		t = Math.imul(t ^ (t >>> 15), t | 1);
		t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
		return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
	};
}

/** A normally distributed number (Box–Muller). */
export function normal(random: () => number, mean: number, sd: number): number {
	const u = Math.max(1e-9, random());
	return mean + sd * Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * random());
}
