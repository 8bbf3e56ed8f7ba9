import { expect, test } from 'vitest';
import { CELLS, LARGE, READ_BEFORE } from './cells';
import { SLOT_IDS } from './slots';

test('everything that is told has one place on the stage', () => {
	expect([...LARGE, ...READ_BEFORE, ...CELLS.flat()].sort()).toEqual([...SLOT_IDS].sort());
	expect(CELLS).toHaveLength(9);
});
