import fc from 'fast-check';
import { expect, test } from 'vitest';
import { judge } from '../rules/judge';
import { stepsOf } from '../sequence/walk';
import { TEMPLATES } from '../template/templates';
import { anySequence, CONTEXT, sequenceOf, step } from '../testing';
import { forOneself } from './forOneself';

test('knuckles on the nape become finger pads; two hands a side become one side and then the other; a pushed head is left out', () => {
	const plan = sequenceOf([
		step('nape', ['nape'], { aim: 'release', contact: 'knuckles', motion: 'knead' }),
		step('pull', ['jawline'], { motion: 'opposed-stretch', side: 'both' }),
		step('push', ['nape'], { aim: 'release', support: { stays: false, head: 'pushed' } as never }),
		step('easy', ['malar'])
	]);
	const { sequence, changes } = forOneself(plan, CONTEXT);
	expect(sequence).toMatchObject({ performer: 'self', orientation: 'mirror' });
	const after = new Map(stepsOf(sequence).map((s) => [s.step.id, s.step]));
	expect(after.get('nape')!.contact).toBe('pads-3');
	expect(after.get('pull')!.side).toEqual({ each: true, first: 'left' });
	expect(after.has('push')).toBe(false);
	expect(after.get('easy')).toEqual(stepsOf(plan)[3]!.step);
	expect(changes).toHaveLength(3);
	expect(changes[0]).toMatch(/^3\. .*left out, it needs somebody else’s hands$/);
});

test('whatever the sequence: nothing is left that two hands of one’s own cannot do, and every other step stays', () => {
	fc.assert(
		fc.property(fc.oneof(anySequence, fc.constantFrom(...TEMPLATES)), (plan) => {
			const { sequence, changes } = forOneself(plan, CONTEXT);
			const found = judge(sequence, CONTEXT).findings.filter((f) => ['two-hands', 'self-reach'].includes(f.ruleId));
			expect(found).toEqual([]);
			const was = new Map(stepsOf(plan).map((s) => [s.step.id, s.step]));
			const same = stepsOf(sequence).filter(
				(s) => was.get(s.step.id) === s.step || JSON.stringify(was.get(s.step.id)) === JSON.stringify(s.step)
			);
			expect(same.length + new Set(changes.map((c) => c.split('.')[0])).size).toBeGreaterThanOrEqual(was.size);
		}),
		{ numRuns: 60 }
	);
});
