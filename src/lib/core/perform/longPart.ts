/** A part of a repetition, or a stop on its way, that lasts so long has a clock and words of its own, seconds. Working value. */
export const LONG_PART_SECONDS = 6;
