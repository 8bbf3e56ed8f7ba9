import fc from 'fast-check';
import { expect, test } from 'vitest';
import { anySequence, CONTEXT, sequenceOf, step } from '../testing';
import { expand } from '../sequence/expand';
import { coverageOf, servedByZone, type Coverage } from './coverage';

const row = (zone: 'malar' | 'chin', weight: number, doses: number) =>
	({ aim: 'drain', zone, weight, doses, lightSeconds: 0, deepSeconds: 0 }) as const;
const coverage = (goal: 'under-eye' | 'jaw-contour', rows: Coverage['rows']): Coverage => ({
	goal,
	rows,
	share: 0,
	missing: []
});

test('by hand: a zone of two goals is served by the weights of both; more than a full dose counts as one', () => {
	const goals = [
		{ id: 'under-eye', weight: 3 },
		{ id: 'jaw-contour', weight: 1 }
	] as const;
	const served = servedByZone({ goals: [...goals] }, [
		coverage('under-eye', [row('malar', 1, 2)]),
		coverage('jaw-contour', [row('malar', 0.5, 0), row('chin', 0.5, 0.5)])
	]);
	// malar: 3 × 1 served of 3 × 1 + 1 × 0.5; chin: half of it
	expect(served).toEqual([
		{ zone: 'malar', share: 3 / 3.5 },
		{ zone: 'chin', share: 0.5 }
	]);
});

test('any sequence: shares lie between none and all, and nothing done serves nothing', () => {
	fc.assert(
		fc.property(anySequence, (made) => {
			const sequence = { ...made, goals: [{ id: 'under-eye' as const, weight: 0 }] };
			const of = coverageOf(sequence, expand(sequence, CONTEXT), CONTEXT.working);
			for (const { share } of servedByZone(sequence, of)) {
				expect(share).toBeGreaterThanOrEqual(0);
				expect(share).toBeLessThanOrEqual(1);
			}
		}),
		{ numRuns: 40 }
	);
	const idle = sequenceOf([step('a', ['nape'])], { goals: [{ id: 'under-eye', weight: 1 }] });
	const none = servedByZone(idle, coverageOf(idle, expand(idle, CONTEXT), CONTEXT.working));
	expect(none.length).toBeGreaterThan(3);
	expect(none.every((z) => z.share === 0)).toBe(true);
});
