import { expect, test } from 'vitest';
import { emptyAssessment, valueAt } from '../core/assess/assessment';
import type { Assessment } from '../core/assess/assessment.schema';
import { NOW } from '../core/testing';
import { tapeTargets, Taping } from './taping.svelte';

function taping(all = false, unit: 'mm' | 'inch' = 'mm') {
	let assessment: Assessment = emptyAssessment(NOW);
	const t = new Taping({
		assessment: () => assessment,
		usual: () => null,
		unit: () => unit,
		targets: tapeTargets(all),
		onchange: (a) => (assessment = a)
	});
	const type = (text: string) => [...text].forEach((sign) => t.press(sign));
	return { t, type, now: () => assessment };
}

test('left, right, neck: typed and taken by keys alone, one after the other', () => {
	expect(tapeTargets(false)).toHaveLength(8);
	expect(tapeTargets(true)).toHaveLength(17);
	const { t, type, now } = taping();
	expect(t.target).toEqual({ id: 'tragus-mouth-corner', spot: { side: 'left' } });
	for (const mm of ['114', '92.5', '97']) {
		type(mm);
		t.enter();
	}
	expect(t.target).toEqual({ id: 'tragus-mouth-corner', spot: { side: 'right' } });
	expect(valueAt(now(), 'composite', { side: 'left' })).toBe(303.5);
	expect(t.done).toBe(3);
});

test('a second round is blind, and says how far apart both are once it has both', () => {
	const { t, type } = taping();
	type('114');
	t.enter();
	t.setTake(2);
	expect(t.shown(t.target)).toBe('');
	expect(t.apart(t.targets[0]!)).toBeNull();
	type('115.5');
	t.enter();
	expect(t.apart(t.targets[0]!)).toBe('1.5');
	expect(t.shown(t.targets[0]!, 1)).toBe('114.0');
});

test('centimetres are asked about: taken as meant, or kept as typed', () => {
	const { t, type, now } = taping();
	type('11.4');
	t.enter();
	expect(t.refusal).toMatch(/11\.4/);
	expect(t.question?.instead?.label).toMatch(/114/);
	t.instead();
	expect(valueAt(now(), 'tragus-mouth-corner', { side: 'left' })).toBe(114);
	// Possible, and still unusual: asked once, then kept.
	type('150');
	t.enter();
	expect(t.question).not.toBeNull();
	t.keep();
	expect(valueAt(now(), 'jaw-angle-nose-wing', { side: 'left' })).toBe(150);
});

test('signs that are no number are passed over, and what is empty goes on', () => {
	const { t, type } = taping();
	t.type('9a1,5');
	expect(t.typed).toBe('91.5');
	t.type('');
	type('1.2.3');
	expect(t.typed).toBe('1.23');
	for (let i = 0; i < 9; i++) t.press('back');
	expect(t.typed).toBe('');
	t.enter();
	expect(t.at).toBe(1);
	t.choose(99);
	expect(t.at).toBe(7);
});
