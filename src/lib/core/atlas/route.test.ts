import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { alignmentOf } from './graph';
import { isOutlet, PLACE_IDS } from './places';
import { fillPath, linkRoute, route } from './route';

const way = (from: Parameters<typeof route>[0], to: Parameters<typeof route>[1], p?: Parameters<typeof route>[2]) =>
	route(from, to, p).join(' > ');

describe('route', () => {
	test('fills the gap from the chin to below the ear', () => {
		expect(way('chin', 'n:tonsillar')).toBe('chin > jawline > under-jaw > n:submandibular > n:tonsillar');
	});
	test('takes the preferred of the two cheek routes', () => {
		expect(way('lower-eyelid', 'n:deep-cervical', 'outward')).toContain('zygoma');
		expect(way('lower-eyelid', 'n:deep-cervical', 'downward')).toMatch(/malar > (buccal|nasolabial)/);
	});
	test('the same place is a path of one', () => {
		expect(route('chin', 'chin')).toEqual(['chin']);
	});
	test('any two places: both ends, only neighbours in between, no place twice', () => {
		const place = fc.constantFrom(...PLACE_IDS);
		fc.assert(
			fc.property(place, place, (from, to) => {
				const path = route(from, to);
				expect(path[0]).toBe(from);
				expect(path.at(-1)).toBe(to);
				expect(new Set(path).size).toBe(path.length);
				path.slice(1).forEach((b, i) => expect(alignmentOf(path[i]!, b)).not.toBeNull());
			})
		);
	});
});

test('fillPath keeps neighbours and elements with their own side as they are', () => {
	expect(fillPath(['chin', 'jawline'])).toEqual(['chin', 'jawline']);
	expect(fillPath(['chin:left', 'chin:right'])).toEqual(['chin:left', 'chin:right']);
	expect(fillPath(['brow', 'preauricular'])).toEqual(['brow', 'temple', 'preauricular']);
});

test('a drain link runs over node groups to an outlet, from everywhere', () => {
	expect(linkRoute('preauricular')).toEqual(['n:preauricular', 'n:tonsillar', 'n:deep-cervical', 'n:terminus']);
	expect(linkRoute('lower-eyelid', 'downward')[0]).toBe('n:submandibular');
	expect(linkRoute('n:terminus')).toEqual([]);
	for (const place of PLACE_IDS) if (!isOutlet(place)) expect(isOutlet(linkRoute(place).at(-1)!), place).toBe(true);
});
