/** Version of the sequence format. Any new field bumps it. */
export const SEQUENCE_VERSION = 4;
/** Limits of a sequence; more is refused with the limit named. */
export const MAX_STEPS = 2000;
/** Edits kept for undo. */
export const MAX_HISTORY = 500;
