import { randomNormal } from 'd3-random';

/** A normally distributed number from a source of evenly distributed ones. */
export const normal = (random: () => number, mean: number, sd: number): number =>
	randomNormal.source(random)(mean, sd)();
