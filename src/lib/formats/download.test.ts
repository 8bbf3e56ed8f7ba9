import fc from 'fast-check';
import { expect, test } from 'vitest';
import { CAUTION_LINE } from './caution';
import { fileName } from './download';
import { MAX_PROBLEMS, pathText, pointerText, problemsOf } from './problem';
import { z } from 'zod';

test.each([
	['Baker’s dawn, light eyes', 'baker-s-dawn-light-eyes.json'],
	['Ärmel & Äpfel', 'armel-apfel.json'],
	['///', 'untitled.json'],
	['x'.repeat(200), `${'x'.repeat(60)}.json`]
])('%s is kept as %s', (title, name) => expect(fileName(title, 'json')).toBe(name));

test('any title makes a name that any system takes', () => {
	fc.assert(
		fc.property(fc.string(), (title) => {
			expect(fileName(title, 'csv')).toMatch(/^[a-z0-9][a-z0-9-]*\.csv$/);
		})
	);
});

test('places in words and as pointers', () => {
	expect(pathText(['phases', 0, 'steps', 3, 'dose', 'min'])).toBe('phases[0].steps[3].dose.min');
	expect(pathText([])).toBe('');
	expect(pointerText(['a~b', 'c'])).toBe('/a~0b/c');
});

test('every kind of problem has a remedy, and they are not endless', () => {
	const schema = z.strictObject({ n: z.int().min(1).max(3), kind: z.enum(['a', 'b']), list: z.array(z.string()) });
	const of = (raw: unknown) => {
		const result = schema.safeParse(raw);
		return result.success ? [] : problemsOf(result.error);
	};
	const remedies = [
		of({ n: 0, kind: 'a', list: [] }),
		of({ n: 9, kind: 'a', list: [] }),
		of({ n: 1, kind: 'c', list: [] }),
		of({ n: 1, kind: 'a', list: [], extra: 1 }),
		of({ n: 'x', kind: 'a', list: [] })
	].map((list) => list[0]!.remedy);
	expect(remedies).toEqual([
		'Use a value of at least 1.',
		'Use at most 3.',
		'Use one of: a, b.',
		'Remove extra, or open the file with the version that wrote it.',
		expect.stringMatching(/^Give a value of the type/)
	]);
	const many = of({ n: 1, kind: 'a', list: Array.from({ length: 100 }, () => 0) });
	expect(many).toHaveLength(MAX_PROBLEMS + 1);
	expect(many.at(-1)!.message).toBe('80 more problems follow.');
	expect(CAUTION_LINE).toMatch(/Not medical care.*Local codes/);
});
