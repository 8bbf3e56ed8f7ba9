import { expect, test } from 'vitest';
import { PLACE_REFS } from '../atlas/places';
import { readWay, writeWay } from './placeWords';
import { Reader, tokensOf } from './reader';

test('places are written by their labels, and read back as what they are whatever the step is for', () => {
	expect(writeWay(['malar', 'zygoma:left', 'preauricular'])).toBe(
		'apple of the cheek > cheekbone:left > front of the ear'
	);
	// “Open armpit” means its nodes: the skin of the armpit keeps its id.
	expect(writeWay(['axilla'])).toBe('axilla');
	for (const aim of ['open', 'drain'] as const)
		for (const ref of PLACE_REFS) {
			const reader = new Reader(tokensOf(writeWay([ref])), 99);
			expect(readWay(reader, { cheekRoute: 'either', aim }), ref).toEqual([ref]);
			expect(reader.done).toBe(true);
		}
});
