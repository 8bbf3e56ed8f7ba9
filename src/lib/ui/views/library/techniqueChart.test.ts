import { expect, test } from 'vitest';
import { TECHNIQUES } from '$lib/core/technique/library';
import { markField } from './techniqueChart';

test.each([640, 880, 1400])(
	'at %i px every move lies in its own water, none over another, all in the field',
	(width) => {
		const { chartMarks, waters, height } = markField(TECHNIQUES, width);
		expect(chartMarks).toHaveLength(TECHNIQUES.length);
		for (const s of chartMarks) {
			const water = waters.find((w) => w.level === s.technique.pressure.default)!;
			expect(s.y).toBeGreaterThanOrEqual(water.y);
			expect(s.y + 20).toBeLessThanOrEqual(water.y + water.height);
			expect(s.x).toBeGreaterThan(90);
			expect(s.x + 172).toBeLessThanOrEqual(width);
		}
		for (const a of chartMarks)
			for (const b of chartMarks) if (a !== b && a.y === b.y) expect(Math.abs(a.x - b.x)).toBeGreaterThanOrEqual(186);
		expect(height).toBeGreaterThan(waters.at(-1)!.y);
	}
);

test('quicker moves lie left of slower ones in one row', () => {
	const { chartMarks } = markField(TECHNIQUES, 1000);
	for (const a of chartMarks)
		for (const b of chartMarks)
			if (a.y === b.y && a.technique.paceSeconds < b.technique.paceSeconds) expect(a.x).toBeLessThan(b.x);
});
