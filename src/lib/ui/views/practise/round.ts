import type { DrillRound } from '$lib/core/records/drillRound';

/** What a drill hands over when a round is done. */
export type Round = Pick<DrillRound, 'value' | 'count' | 'what' | 'simulated'>;
export interface DrillProps {
	readonly onround: (round: Round) => void;
}
