import { describe, expect, test } from 'vitest';
import { schoolById } from '../school/schools';
import { applyEdit } from '../sequence/applyEdit';
import type { Step } from '../step/step.schema';
import { stepsOf } from '../sequence/walk';
import { CONTEXT, sequenceOf, step } from '../testing';
import { fixIn, judge } from './judge';
import { sentenceOf } from './wording';

const slide = (change: Partial<Step> = {}) => step('s', ['malar', 'zygoma'], { aim: 'lift', ...change });
const serum = step('oil', [], {
	aim: 'prepare',
	motion: 'sweep',
	medium: { id: 'serum', ml: 0.7 },
	dose: { kind: 'seconds', min: 1, target: 1, max: 1 }
});
const wait = step('w', ['nape'], { aim: 'release', dose: { kind: 'seconds', min: 900, target: 900, max: 900 } });
const found = (steps: Step[], school = 'outlet-first') =>
	judge(sequenceOf(steps, { school: schoolById(school), budgetSeconds: 7200 }), CONTEXT).findings.filter((f) =>
		['no-glide', 'film-spent'].includes(f.ruleId)
	);

describe('sliding', () => {
	test('on bare skin is a caution; advice where the school works dry', () => {
		expect(found([slide()]).map((f) => [f.ruleId, f.severity])).toEqual([['no-glide', 'caution']]);
		expect(found([slide()], 'release-then-drain').map((f) => f.severity)).toEqual(['advice']);
	});
	test('after the film is spent is a caution, with the time and how much to take', () => {
		const [finding] = found([serum, wait, slide()]);
		expect([finding!.ruleId, finding!.severity]).toEqual(['film-spent', 'caution']);
		const { head, body } = sentenceOf(finding!);
		expect(head).toBe('3 runs dry on the apple of the cheek.');
		expect(body).toMatch(/used up by 15:01.*Take 1 drop more/);
	});
	test('the fix takes enough for the step, of the medium of the sequence', () => {
		// Laid on later, so that nothing lies on the skin yet.
		const later = step('p', [], { aim: 'prepare', motion: 'sweep', contact: 'flat-hand', pressure: 0 });
		const sequence = sequenceOf([slide(), later], { medium: { id: 'balm', ml: 0.5 } });
		const { findings, context } = judge(sequence, CONTEXT);
		const finding = findings.find((f) => f.ruleId === 'no-glide')!;
		const edit = fixIn(context, finding)!;
		expect(edit.label).toBe('Take 1 drop before step 1');
		const after = applyEdit(sequence, edit);
		expect(stepsOf(after)[0]!.step.medium).toEqual({ id: 'balm', ml: 0.05 });
		expect(judge(after, CONTEXT).findings.map((f) => f.ruleId)).not.toContain('no-glide');
		expect(judge(after, CONTEXT).timing.expectedSeconds).toBe(judge(sequence, CONTEXT).timing.expectedSeconds + 20);
	});
	test('pinned moves, holds and taps ask for nothing', () => {
		for (const motion of ['pinned-circle', 'press-hold', 'tap', 'knead', 'vibrate'] as const)
			expect(found([step('p', ['malar'], { aim: 'release', motion })])).toEqual([]);
	});
});
