/** Words as a sentence begins with them: “Below the ear”. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** A name in the middle of a sentence. */
export const lowered = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
