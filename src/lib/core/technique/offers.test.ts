import { expect, test } from 'vitest';
import type { PlaceRef } from '../atlas/places';
import { TECHNIQUES, techniquesFor } from './library';
import { inDirection } from './offers';

const offered = (...way: PlaceRef[]) => inDirection(techniquesFor(way as never), way).map((t) => t.aim);

test('along the drainage a drain is offered first, upwards and against it a lift, downwards no lift before the rest', () => {
	expect(offered('lower-eyelid', 'malar', 'zygoma', 'preauricular')[0]).toBe('drain');
	expect(offered('jawline', 'buccal', 'malar')[0]).toBe('lift');
	const down = offered('malar', 'nasolabial', 'buccal', 'jawline');
	expect(down.indexOf('lift')).toBeGreaterThan(down.lastIndexOf('drain'));
});
test('nothing is left out, and one place keeps the order of the library', () => {
	const moves = TECHNIQUES.slice(0, 40);
	expect(inDirection(moves, ['malar'])).toEqual(moves);
	expect(new Set(inDirection(moves, ['chin', 'malar']))).toEqual(new Set(moves));
});
