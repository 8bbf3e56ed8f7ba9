import { expect, test } from 'vitest';
import { toyRun, toyWords, type ToyWish } from './toy';

const ALL: ToyWish[] = [true, false].flatMap((open) =>
	[true, false].flatMap((deep) => [true, false].map((along) => ({ open, deep, along })))
);
const gone = (wish: Partial<ToyWish>) => {
	const last = toyRun({ open: true, deep: false, along: true, ...wish }).at(-1)!;
	return last.returnedMl - last.filteredMl;
};

test('whatever is tried, the small model takes the same time and adds up', () => {
	for (const wish of ALL) {
		const rows = toyRun(wish);
		const sum = (r: (typeof rows)[number]) => r.cheekMl + r.jawMl + r.nodeMl + r.outletMl + r.returnedMl - r.filteredMl;
		expect(rows.at(-1)!.seconds).toBeCloseTo(170, 9);
		for (const row of rows) expect(sum(row)).toBeCloseTo(sum(rows[0]!), 9);
	}
});
test('open is more than closed, light more than deep, with the drainage more than against it', () => {
	expect(gone({})).toBeGreaterThan(gone({ open: false }));
	expect(gone({})).toBeGreaterThan(gone({ deep: true }));
	expect(gone({})).toBeGreaterThan(gone({ along: false }));
});
test('the sentence says where it went', () => {
	expect(toyWords(toyRun({ open: true, deep: false, along: true }))).toMatch(
		/^The cheek fell \(1\.9 to \d\.\d ml\), the jaw .*ml went back to the veins, 0\.\d\d ml seeped in\.$/
	);
	expect(toyWords(toyRun({ open: true, deep: false, along: false }))).toMatch(/^The cheek rose/);
});
