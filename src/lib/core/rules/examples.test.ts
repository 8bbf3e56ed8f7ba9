import { describe, expect, test } from 'vitest';
import { applyEdit } from '../sequence/applyEdit';
import { CONTEXT } from '../testing';
import { exampleGiven, exampleOf } from './examples';
import { RULES } from './index';
import { fixIn, judge } from './judge';

describe.each(RULES.map((r) => [r.id, r] as const))('%s', (id, rule) => {
	const sequence = exampleOf(id);
	const given = { ...CONTEXT, ...exampleGiven(id) };
	const { findings, context } = judge(sequence, given);
	const finding = findings.find((f) => f.ruleId === id);
	test('its example breaks it', () => expect(finding).toBeDefined());
	if (rule.fix)
		test('and its fix mends the example', () => {
			const edit = fixIn(context, finding!);
			expect(edit).not.toBeNull();
			const after = judge(applyEdit(sequence, edit!), given).findings;
			expect(after.map((f) => f.key)).not.toContain(finding!.key);
		});
});

test('more than thirty-four rules, with a fix for more than twenty', () => {
	expect(RULES.length).toBeGreaterThanOrEqual(56);
	expect(RULES.filter((r) => r.fix).length).toBeGreaterThanOrEqual(20);
});
