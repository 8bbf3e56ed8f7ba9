import fc from 'fast-check';
import { expect, test } from 'vitest';
import { ownSideOf, PLACE_IDS, type PlaceRef } from '$lib/core/atlas/places';
import { doseAtOf } from '$lib/core/step/doseAt';
import { stepsOf } from '$lib/core/sequence/walk';
import { TEMPLATES } from '$lib/core/template/templates';
import { placeMarks, placeState } from './placeMarks';
import { anchorOf } from './strokeShape';

const seen = (refs: readonly PlaceRef[]) => refs.filter((ref) => anchorOf('front', ref)).length;
const distance = (a: readonly [number, number], b: readonly [number, number]) => Math.hypot(a[0] - b[0], a[1] - b[1]);

const several = TEMPLATES.flatMap((s) => stepsOf(s).map(({ step }) => ({ title: s.title, step }))).filter(
	({ step }) => doseAtOf(step) === 'each-place'
);

test('each of several places of a ready sequence has a mark of its own, apart from every other', () => {
	expect(several.length).toBeGreaterThan(5);
	for (const { title, step } of several)
		for (let atHand = 0; atHand < step.places.length; atHand++) {
			const marks = placeMarks('front', step.places, 'left', atHand);
			expect(marks.length, `${title} ${step.id}`).toBe(seen(step.places));
			for (const [i, a] of marks.entries())
				for (const b of marks.slice(i + 1))
					expect(distance(a.at, b.at), `${title} ${step.places.join()}`).toBeGreaterThan(9);
		}
});

test('an opening of seven groups has seven marks; the one at hand stands where it lies', () => {
	const seven = (
		['terminus', 'deep-cervical', 'tonsillar', 'postauricular', 'preauricular', 'submandibular', 'submental'] as const
	).map((id): PlaceRef => `n:${id}`);
	for (let atHand = 0; atHand < 7; atHand++) {
		const marks = placeMarks('front', seven, 'right', atHand);
		expect(marks.map((m) => m.index)).toEqual([0, 1, 2, 3, 4, 5, 6].filter((i) => anchorOf('front', seven[i]!)));
		const free = placeMarks('front', seven.slice(atHand, atHand + 1), 'right');
		if (atHand === 0) expect(marks[0]!.at).toEqual(free[0]!.at);
	}
	expect([0, 1, 2, 3].map((i) => placeState(i, 1))).toEqual(['done', 'at-hand', 'next', 'to-come']);
});

test('however many there are, and wherever: none is merged with another, none is dropped', () => {
	fc.assert(
		fc.property(
			fc.uniqueArray(fc.constantFrom(...PLACE_IDS), { minLength: 2, maxLength: 8 }),
			fc.nat({ max: 7 }),
			(refs, n) => {
				const marks = placeMarks('front', refs, 'left', n);
				expect(marks.length).toBe(seen(refs));
				expect(new Set(marks.map((m) => m.index)).size).toBe(marks.length);
				expect(refs.every((ref) => ownSideOf(ref) === null)).toBe(true);
			}
		)
	);
});
