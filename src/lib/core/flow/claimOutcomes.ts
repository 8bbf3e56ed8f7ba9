import type { OutcomeId } from './outcomeIds';

/** Measures by which the worked pairs are told. */
export const CLAIM_OUTCOMES = ['all', 'face', 'eyes'] as const satisfies OutcomeId[];
export type ClaimOutcome = (typeof CLAIM_OUTCOMES)[number];
