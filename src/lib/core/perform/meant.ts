import type { Working } from '../working/working.schema';

/**
 * Whether a signal is meant: a switch bounces, a key that is held says it again and again, and what leaves work out is not asked
 * for twice within a second.
 * @param sinceMs since the same signal came last; Infinity where it did not
 */
export const isMeant = (
	sinceMs: number,
	leavesOut: boolean,
	{ signalRestSeconds, onceSeconds }: Pick<Working, 'signalRestSeconds' | 'onceSeconds'>
): boolean => sinceMs >= 1000 * (leavesOut ? onceSeconds : signalRestSeconds);

/**
 * Whether a time in which nobody looked is a halt: longer than a gap, and not heard either.
 * @param unseenMs since the clock was last read
 * @param heardMs how much of that was heard
 */
export const isGap = (unseenMs: number, heardMs: number, { gapSeconds }: Pick<Working, 'gapSeconds'>): boolean =>
	unseenMs - heardMs > 1000 * gapSeconds;
