/** Words in a row, as a sentence says them: "a", "a and b", "a, b and c"; empty for none. */
export const listWords = (parts: readonly string[]): string =>
	parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;
