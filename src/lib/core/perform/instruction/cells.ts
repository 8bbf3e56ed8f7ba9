import type { SlotId } from './slots';

/** What is large on the stage, or stands with it. */
export const LARGE: readonly SlotId[] = ['ready', 'what', 'place', 'side', 'phase', 'way', 'beside', 'tape'];
/** What is read before, not while the hands work. */
export const READ_BEFORE: readonly SlotId[] = ['why'];
/**
 * The rest, in nine places that are always the same: column by column the hand, how much and how deep, and what to mind.
 */
export const CELLS: readonly (readonly SlotId[])[] = [
	['hand'],
	['lane', 'direction', 'round'],
	['support'],
	['level', 'point'],
	['count', 'amount'],
	['pace', 'stops', 'then', 'end'],
	['until', 'breath'],
	['condition', 'around', 'by', 'exit'],
	['ended', 'body', 'note']
];
