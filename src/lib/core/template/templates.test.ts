import { describe, expect, test } from 'vitest';
import { judge } from '../rules/judge';
import { sentenceOf } from '../rules/wording';
import { SCHOOL_IDS } from '../school/school.schema';
import { stepsOf } from '../sequence/walk';
import { CONTEXT } from '../testing';
import { TEMPLATES } from './templates';

describe.each(TEMPLATES.map((s) => [s.title, s] as const))('%s', (_, sequence) => {
	const { findings, timing } = judge(sequence, CONTEXT);
	test('passes its own school without stop or caution', () => {
		const grave = findings.filter((f) => f.severity !== 'advice');
		expect(grave.map((f) => `${f.ruleId}: ${sentenceOf(f).head}`)).toEqual([]);
	});
	test('keeps its time and fills it', () => {
		expect(timing.expectedSeconds).toBeLessThanOrEqual(sequence.budgetSeconds);
		expect(timing.expectedSeconds).toBeGreaterThan(0.8 * sequence.budgetSeconds);
	});
	test('gives no more than a little advice', () => {
		expect(findings.map((f) => sentenceOf(f).head).slice(5)).toEqual([]);
	});
});

test('at least sixteen: all schools, 3 to 30 minutes, hands and tools, oil and dry, client and oneself', () => {
	expect(TEMPLATES.length).toBeGreaterThanOrEqual(16);
	const all = <T>(of: (s: (typeof TEMPLATES)[number]) => T) => new Set(TEMPLATES.map(of));
	expect(all((s) => s.school.id)).toEqual(new Set(SCHOOL_IDS));
	expect(all((s) => s.performer).size).toBe(2);
	const minutes = TEMPLATES.map((s) => s.budgetSeconds / 60);
	expect([Math.min(...minutes) <= 4, Math.max(...minutes)]).toEqual([true, 30]);
	const steps = TEMPLATES.map((s) => stepsOf(s).map((x) => x.step));
	expect(steps.some((list) => list.some((s) => s.tool?.id === 'stone-plate'))).toBe(true);
	expect(steps.some((list) => list.every((s) => !s.tool || s.tool.id === 'cloth'))).toBe(true);
	expect(new Set(TEMPLATES.flatMap((s) => s.goals.map((g) => g.id))).size).toBeGreaterThanOrEqual(15);
	expect(new Set(TEMPLATES.map((s) => s.id)).size).toBe(TEMPLATES.length);
});
