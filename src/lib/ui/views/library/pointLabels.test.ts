import { expect, test } from 'vitest';
import { POINTS } from '$lib/core/point/points';
import { labelSpot } from './pointLabels';

const width = (letters: number) => letters * 10.4;

test('the label of no point covers another one, in both views', () => {
	for (const point of POINTS) {
		const others = POINTS.filter((p) => p.view === point.view && p.code !== point.code).map((p) => p.at);
		const text = `${point.code} ${point.name}`;
		const { x, y, anchor } = labelSpot(point.at, text.length, others);
		const x0 = anchor === 'start' ? x : anchor === 'end' ? x - width(text.length) : x - width(text.length) / 2;
		const hit = others.filter(([ox, oy]) => ox > x0 && ox < x0 + width(text.length) && oy > y - 14 && oy < y + 4);
		expect(hit, text).toEqual([]);
	}
});
test('with nothing near it stands to the right', () => {
	expect(labelSpot([100, 100], 4, [])).toEqual({ x: 116, y: 106, anchor: 'start' });
});
