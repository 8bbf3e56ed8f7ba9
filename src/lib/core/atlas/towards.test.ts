import { expect, test } from 'vitest';
import { towards } from './towards';

test('a short stroke inside one place leads on to the neighbour that lies that way', () => {
	expect(towards('profile', 'nape', [0, -10])).toBe('n:occipital');
	expect(towards('front', 'malar', [10, -1])).toBe('zygoma');
	expect(towards('front', 'forehead-medial', [0, -8])).toBe('hairline');
	expect(towards('front', 'forehead-medial', [9, 0])).toBe('forehead-lateral');
	expect(towards('front', 'chin', [8, 3])).toBe('jawline');
});
test('where nothing lies that way, or the view does not show it, there is none', () => {
	expect(towards('front', 'hairline', [0, -10])).toBeNull();
	expect(towards('front', 'nape', [0, -10])).toBeNull();
	expect(towards('front', 'malar', [0, 0])).toBeNull();
});
