/** Modelled faces over which a step is weighed: one face alone gives no advice. */
export const WORTH_DRAWS = 200;
/** Steps up to which all of them are weighed over so many faces; what it takes grows with their square. */
const STEPS_IN_FULL = 60;
/** Fewest faces from which anything is said of all steps. */
const FEWEST = 16;

/**
 * Faces over which every step of a sequence is weighed: fewer where there are many steps, so that it takes no longer than sixty
 * do (working value). The spread that is told with each figure grows by itself.
 */
export const worthDrawsFor = (steps: number): number =>
	Math.max(FEWEST, Math.min(WORTH_DRAWS, Math.floor(WORTH_DRAWS * (STEPS_IN_FULL / Math.max(1, steps)) ** 2)));
