import fc from 'fast-check';
import { expect, test } from 'vitest';
import { parse } from './parse';
import { TEXT_LIMITS, tooMuch } from './price';
import { tokensOf } from './reader';

/** How often a text is looked into, as the copies of it that are made: a reader that copies the rest of a line for each word makes as many as it has words. */
function copiesMadeBy(work: () => void): number {
	const real = String.prototype.slice;
	let copied = 0;
	String.prototype.slice = function (this: string, ...args: [number?, number?]) {
		const part = real.apply(this, args);
		copied += part.length;
		return part;
	};
	try {
		work();
	} finally {
		String.prototype.slice = real;
	}
	return copied;
}

test('a line of many quoted texts costs as much as it is long, and no more', () => {
	for (const text of ['"a"'.repeat(1000), '“a”'.repeat(1000), 'drain '.repeat(1000), '1 '.repeat(1500)])
		expect(copiesMadeBy(() => tokensOf(text))).toBeLessThan(4 * text.length);
});

test('what is more than is read is refused before it is read, with its line and how much is allowed', () => {
	expect(parse('"a"'.repeat(70_000)).troubles[0]!.message).toMatch(/210,000 characters; at most 20,000/);
	expect(parse('x'.repeat(TEXT_LIMITS.characters + 1)).troubles).toHaveLength(1);
	expect(parse('drain chin > jawline\n'.repeat(TEXT_LIMITS.lines)).troubles[0]!.message).toMatch(
		/At most 12,000 lines/
	);
	expect(parse('+'.repeat(5000)).troubles[0]!.message).toMatch(/At most 4000 words and signs/);
	expect(tooMuch('drain chin > jawline\r\n')).toBeNull();
});

test('lines of comments and of media are read one by one, however many there are', () => {
	const comments = parse(Array.from({ length: 5000 }, () => `# ${'word '.repeat(60)}`).join('\n'));
	expect(comments.troubles[0]!.message).toMatch(/characters are allowed in a comment/);
});

test('tokens say where they stand, whatever the line holds', () => {
	fc.assert(
		fc.property(
			fc.array(fc.constantFrom('drain', '12', '“a b”', '"c, d"', '>', ',', ' ', '→', '«e»', '„f“')),
			(parts) => {
				const line = parts.join(' ');
				const tokens = tokensOf(line);
				expect(tokens).toHaveLength(parts.filter((p) => p !== ' ').length);
				for (const t of tokens) {
					const written = line.slice(t.column - 1, t.endColumn - 1);
					expect(t.kind === 'text' ? written.slice(1, -1) : written.replace('→', '>')).toBe(t.value);
				}
			}
		)
	);
});
