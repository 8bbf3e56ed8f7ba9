import type { Trouble } from './reader';

/** Most of a text of the notation: what is more is refused before it is read. A sequence of 2,000 steps with notes has about 600,000 characters. */
export const TEXT_LIMITS = { characters: 2_000_000, lines: 12_000, lineCharacters: 20_000 } as const;

const trouble = (line: number, message: string): Trouble => ({
	line,
	column: 1,
	endColumn: 2,
	message,
	expected: ['a shorter text']
});

/** What of a text is more than is read, with the place where it begins; null where nothing is. Costs one look at each character. */
export function tooMuch(text: string): Trouble | null {
	if (text.length > TEXT_LIMITS.characters)
		return trouble(
			1,
			`The text has ${text.length.toLocaleString('en')} characters; at most ${TEXT_LIMITS.characters.toLocaleString('en')} are read.`
		);
	let [line, from] = [1, 0];
	for (let end = text.indexOf('\n'); ; end = text.indexOf('\n', from)) {
		const length = (end < 0 ? text.length : end) - from;
		if (length > TEXT_LIMITS.lineCharacters)
			return trouble(
				line,
				`This line has ${length.toLocaleString('en')} characters; at most ${TEXT_LIMITS.lineCharacters.toLocaleString('en')} are read.`
			);
		if (end < 0) return null;
		[line, from] = [line + 1, end + 1];
		if (line > TEXT_LIMITS.lines)
			return trouble(line, `At most ${TEXT_LIMITS.lines.toLocaleString('en')} lines are read.`);
	}
}
