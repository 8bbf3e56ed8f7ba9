import { expect, test } from 'vitest';
import { withKind, withRange, withTarget } from './dose';

const reps = { kind: 'reps', min: 3, target: 7, max: 10 } as const;

test('counted another way, by hand: 7 strokes of 2.5 s are 18 s or 2 breaths', () => {
	expect(withKind(reps, 'seconds', 2.5, 10)).toEqual({ kind: 'seconds', min: 8, target: 18, max: 25 });
	expect(withKind(reps, 'breaths', 2.5, 10)).toEqual({ kind: 'breaths', min: 1, target: 2, max: 3 });
	expect(withKind(reps, 'reps', 2.5, 10)).toBe(reps);
});

test('another range keeps the target inside; a target outside widens the range', () => {
	expect(withRange(reps, 8, 12)).toEqual({ kind: 'reps', min: 8, target: 8, max: 12 });
	expect(withRange(reps, 5, 2)).toEqual({ kind: 'reps', min: 5, target: 5, max: 5 });
	expect(withTarget(reps, 12)).toEqual({ kind: 'reps', min: 3, target: 12, max: 12 });
});
