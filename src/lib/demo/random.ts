/** A normally distributed number (Box–Muller). */
export function normal(random: () => number, mean: number, sd: number): number {
	const u = Math.max(1e-9, random());
	return mean + sd * Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * random());
}
