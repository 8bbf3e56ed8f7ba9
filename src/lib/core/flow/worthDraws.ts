/** Modelled faces over which a step is weighed: one face alone gives no advice. */
export const WORTH_DRAWS = 200;
