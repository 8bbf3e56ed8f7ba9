import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { SIDED_ZONES } from '../client/sidedZone';
import type { Answer } from '../client/answer.schema';
import { newAnswer } from '../client/answers';
import { judge } from '../rules/judge';
import { isOfClient } from '../rules/rule';
import { sentenceOf } from '../rules/wording';
import { FLAGS } from '../screening/flags';
import { limitsOn } from '../screening/limits';
import { applyEdit, revertEdit } from '../sequence/applyEdit';
import { TEMPLATES } from '../template/templates';
import { anySequence, CONTEXT } from '../testing';
import { makeItFit } from './makeItFit';

const TODAY = '2026-03-01';
const answer = (flag: string, change: Partial<Answer> = {}): Answer =>
	newAnswer({
		flag,
		says: 'yes',
		day: TODAY,
		at: `${TODAY}T08:00:00Z`,
		...change
	});
const given = (answers: readonly Answer[]) => ({
	...CONTEXT,
	client: { cautions: '', wishes: null, limits: limitsOn({ answers: [...answers], marks: [], clearances: [] }, TODAY) }
});
const ENDS = ['client-refer', 'client-clearance'];

const anyAnswer = fc
	.record({
		flag: fc.constantFrom(...FLAGS.map((f) => f.id)),
		places: fc.uniqueArray(fc.constantFrom(...SIDED_ZONES), { maxLength: 4 }),
		since: fc.constantFrom(null, '2026-02-20', '2026-02-28')
	})
	.map(({ flag, ...rest }) => answer(flag, rest));
const anySick = fc.uniqueArray(anyAnswer, { minLength: 1, maxLength: 4, selector: (a) => a.flag });
const anyPlan = fc.oneof(anySequence, fc.constantFrom(...TEMPLATES));

describe('whatever the plan and whatever she answers', () => {
	test('nothing that she must not have is left, no new stop comes, sides stay even, the drain stays whole or is said', () => {
		fc.assert(
			fc.property(anyPlan, anySick, (plan, answers) => {
				const context = given(answers);
				const fitted = makeItFit(plan, context);
				const before = judge(plan, context);
				const after = judge(fitted.sequence, context);
				// Hygiene and soaking are never shortened: what is too long by these alone is said.
				const tooLong = fitted.unsaved.some((u) => u.what.startsWith('The time'));
				const left = after.findings.filter(
					(f) => isOfClient(f) && !ENDS.includes(f.ruleId) && !(tooLong && f.ruleId === 'client-minutes')
				);
				expect(left.map((f) => sentenceOf(f).head)).toEqual([]);
				const had = new Set(before.findings.map((f) => f.key));
				const isNew = (id: string) => after.findings.filter((f) => f.ruleId === id && !had.has(f.key));
				expect(after.findings.filter((f) => f.severity === 'stop' && !had.has(f.key)).map((f) => f.key)).toEqual([]);
				expect(isNew('uneven-sides').map((f) => sentenceOf(f).head)).toEqual([]);
				const drainSaid = fitted.unsaved.some((u) => u.what.startsWith('The drain'));
				if (!drainSaid)
					expect(
						isNew('stranded')
							.filter(
								(f) => !before.findings.some((b) => b.ruleId === f.ruleId && b.place === f.place && b.side === f.side)
							)
							.map((f) => sentenceOf(f).head)
					).toEqual([]);
			}),
			{ numRuns: 150 }
		);
	});

	test('it is one edit, taken back as one', () => {
		fc.assert(
			fc.property(anyPlan, anySick, (plan, answers) => {
				const { edit, sequence } = makeItFit(plan, given(answers));
				if (!edit) {
					expect(sequence).toBe(plan);
					return;
				}
				expect(applyEdit(plan, edit)).toEqual(sequence);
				expect(revertEdit(sequence, edit)).toEqual(plan);
			}),
			{ numRuns: 40 }
		);
	});
});
