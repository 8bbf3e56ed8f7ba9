import type { Step } from './step.schema';

/** One side on purpose: it says why, so that it is no slip. */
export const isMeantOneSided = ({ side, reason }: Pick<Step, 'side' | 'reason'>): boolean =>
	Boolean(reason?.trim()) && (side === 'left' || side === 'right');
