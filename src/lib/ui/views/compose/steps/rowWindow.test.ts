import fc from 'fast-check';
import { expect, test } from 'vitest';
import { pump, sequenceOf } from '$lib/core/testing';
import { ROW_PX, rowsInSight, rowsOf } from './rowWindow';

const steps = Array.from({ length: 500 }, (_, i) => pump(`s${i}`, 'terminus'));
const SEQUENCE = sequenceOf(steps);

test('each line stands under the one before it; a closed phase is its head only', () => {
	const { rows, height } = rowsOf(SEQUENCE, new Set());
	expect(height).toBe(ROW_PX.phase + 500 * ROW_PX.step);
	expect(rows.slice(0, 3).map((r) => [r.kind, r.top])).toEqual([
		['phase', 0],
		['step', 27],
		['step', 52]
	]);
	expect(rowsOf(SEQUENCE, new Set(['p1'])).height).toBe(ROW_PX.phase);
	const each = { ...SEQUENCE.phases[0]!.blocks[0]!, sides: { each: true as const, first: 'left' as const }, steps: [] };
	const block = rowsOf({ ...SEQUENCE, phases: [{ ...SEQUENCE.phases[0]!, blocks: [each] }] }, new Set());
	expect(block.rows.map((r) => r.kind)).toEqual(['phase', 'block']);
});

test('whatever is in sight is drawn, and not much more', () => {
	const { rows, height } = rowsOf(SEQUENCE, new Set());
	fc.assert(
		fc.property(fc.integer({ min: 0, max: height }), fc.integer({ min: 50, max: 1200 }), (scrollTop, view) => {
			const drawn = rowsInSight(rows, scrollTop, view);
			const seen = rows.filter((r) => r.top + ROW_PX.step > scrollTop && r.top < scrollTop + view);
			for (const row of seen) expect(drawn).toContain(row);
			expect(drawn.length).toBeLessThanOrEqual((view + 800) / ROW_PX.step + 3);
		})
	);
});
