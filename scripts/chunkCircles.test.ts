import { expect, test } from 'vitest';
import { circleOf } from './chunkCirclesPlugin.ts';

const chunks = (imports: Readonly<Record<string, readonly string[]>>) =>
	new Map(Object.entries(imports).map(([fileName, of]) => [fileName, { fileName, imports: of }]));

test('files that wait for one another are told, whatever else leads to them', () => {
	expect(circleOf(chunks({ page: ['a', 'b'], a: ['b'], b: ['c'], c: ['a'] }))).toEqual(['a', 'b', 'c', 'a']);
	expect(circleOf(chunks({ page: ['self'], self: ['self'] }))).toEqual(['self', 'self']);
});

test('what is shared by several, or lies outside, is no circle', () => {
	expect(circleOf(chunks({ page: ['a', 'b'], a: ['c'], b: ['c'], c: ['elsewhere'] }))).toBeNull();
});
