/** Words as a sentence begins with them: “Below the ear”. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
