/** Longest free text, characters. */
export const MAX_TEXT = 2000;
/** Longest title, characters. */
export const MAX_TITLE = 200;
/** Most places of a path; more is refused with the limit named. */
export const MAX_PLACES = 40;
/** Most parts of a repetition besides its first stroke. */
export const MAX_PARTS = 6;
