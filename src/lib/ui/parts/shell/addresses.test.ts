import fc from 'fast-check';
import { expect, test } from 'vitest';
import { composeAt, idIn, idsIn, printAt, progressOf, tideOf } from './addresses';

const BASE = 'http://here';
/** What the router finds in the place of the id. */
const found = (address: string) => decodeURIComponent(new URL(address, BASE).pathname.split('/')[2] ?? '');

test('an id of any characters comes out of its address as it went in, and leads nowhere else', () => {
	fc.assert(
		fc.property(
			fc.oneof(fc.string({ minLength: 1 }), fc.constantFrom('a/b', '..', '.', '%', '%2F', '~', '~..', '?x#y')),
			(id) => {
				for (const address of [composeAt(id, 'a&b'), printAt(id)]) {
					const { pathname } = new URL(address, BASE);
					expect(pathname.split('/')).toHaveLength(3);
					expect(idIn(found(address))).toBe(id);
				}
				expect(new URL(composeAt(id, id), BASE).searchParams.get('step')).toBe(id);
				expect(new URL(progressOf(id), BASE).searchParams.get('client')).toBe(id);
			}
		)
	);
});

test('several ids stay apart, also where they hold commas', () => {
	fc.assert(
		fc.property(fc.array(fc.string({ minLength: 1 }), { minLength: 1, maxLength: 4 }), (ids) => {
			expect(idsIn(new URL(tideOf(ids), BASE).searchParams.get('ids'))).toEqual(ids);
		})
	);
	expect(idsIn('demo-a,demo-b')).toEqual(['demo-a', 'demo-b']);
	expect([idsIn(null), idsIn('%')]).toEqual([[], ['%']]);
});
