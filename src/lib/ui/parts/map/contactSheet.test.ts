import { expect, test } from 'vitest';
import { sheetColumns } from './contactSheet';

test('few steps get large faces, many get small ones, and columns never go down with more steps', () => {
	const columns = Array.from({ length: 150 }, (_, n) => sheetColumns(n));
	expect(columns[1]).toBe(4);
	expect(columns.at(-1)).toBeGreaterThan(6);
	columns.forEach((c, i) => expect(c).toBeGreaterThanOrEqual(columns[i - 1] ?? 4));
});

test('a face is (710 - gaps) / columns wide: four columns hold four rows on the first page and four on the second', () => {
	// 4 columns: 168.5 px wide, 210 px high, 270 px with its words; 950 / 270 = 3 rows, 1040 / 270 = 3 rows.
	expect([sheetColumns(24), sheetColumns(25)]).toEqual([4, 5]);
});
