import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { SCHOOLS } from '../school/schools';
import { SEVERITIES, type School, type Severity } from '../school/school.schema';
import { anySequence, CONTEXT, sequenceOf, step, pump } from '../testing';
import { basicTechnique } from '../technique/basics';
import { makeStep } from '../technique/makeStep';
import { checkAnswer } from './answer';
import { RULES, ruleById } from './index';
import { applyEdit } from '../sequence/applyEdit';
import { fixIn, judge } from './judge';
import { bySeverity, findingKey, graver, lighter, severityIn } from './rule';
import { fixLabel, sentenceOf } from './wording';

const RANK: Record<Severity, number> = { advice: 0, caution: 1, stop: 2 };

describe('severities', () => {
	test('whatever a school wishes, a rule stays between its floor and its ceiling', () => {
		const wish = fc.constantFrom(...SEVERITIES);
		fc.assert(
			fc.property(fc.constantFrom(...RULES), wish, fc.constantFrom(...SCHOOLS), (rule, severity, base) => {
				const school: School = { ...base, severities: { [rule.id]: severity } };
				const got = RANK[severityIn(rule, { stepIds: [] }, school)];
				expect(got).toBeGreaterThanOrEqual(RANK[rule.floor]);
				expect(got).toBeLessThanOrEqual(RANK[rule.ceiling]);
			})
		);
	});
	test('what may hurt cannot be muted by any school', () => {
		const eyes = step('e', ['lower-eyelid'], { aim: 'release', pressure: 4 });
		const neck = step('n', ['throat'], { aim: 'release', pressure: 4 });
		for (const base of SCHOOLS) {
			const severities = Object.fromEntries(RULES.map((r) => [r.id, 'advice' as const]));
			const { findings } = judge(sequenceOf([eyes, neck], { school: { ...base, severities } }), CONTEXT);
			const stops = findings.filter((f) => f.severity === 'stop').map((f) => `${f.ruleId} ${f.stepIds[0]}`);
			expect(stops.sort()).toEqual(['eye-cap e', 'neck-both-sides n', 'throat-cap n']);
		}
	});
	test('a wish beyond floor or ceiling, or for no rule, is told by name and can be let go', () => {
		const severities = { 'eye-cap': 'advice', 'tool-swaps': 'stop', 'no-glide': 'advice', invented: 'stop' } as const;
		const sequence = sequenceOf([pump('o', 'terminus')], { school: { ...SCHOOLS[0]!, severities } });
		const { findings, context } = judge(sequence, CONTEXT);
		const told = findings.find((f) => f.ruleId === 'school-floor')!;
		expect(told.params).toEqual({ rules: 'eye-cap tool-swaps invented', count: 3 });
		expect(sentenceOf(told).body).toContain('“invented”');
		const after = applyEdit(sequence, fixIn(context, told)!);
		expect(after.school.severities).toEqual({ 'no-glide': 'advice' });
		expect(judge(after, CONTEXT).findings.map((f) => f.ruleId)).not.toContain('school-floor');
	});
	test('order helpers', () => {
		expect(graver('advice', 'stop')).toBe('stop');
		expect(lighter('advice', 'stop')).toBe('advice');
		expect([{ severity: 'advice' as const }, { severity: 'stop' as const }].sort(bySeverity)[0]!.severity).toBe('stop');
	});
	test('changing the school changes severities and findings, never the steps', () => {
		fc.assert(
			fc.property(anySequence, fc.constantFrom(...SCHOOLS), (sequence, school) => {
				const other = { ...sequence, school };
				judge(other, CONTEXT);
				expect(other.phases).toBe(sequence.phases);
			}),
			{ numRuns: 40 }
		);
	});
});

describe('findings', () => {
	test('the gravest come first, keys are unique, and each names steps that exist', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				const { findings, context } = judge(sequence, CONTEXT);
				const ranks = findings.map((f) => RANK[f.severity]);
				expect(ranks).toEqual([...ranks].sort((a, b) => b - a));
				expect(new Set(findings.map((f) => f.key)).size).toBe(findings.length);
				for (const f of findings) {
					for (const id of f.stepIds) expect(context.byId.has(id)).toBe(true);
					expect(ruleById(f.ruleId)).toBeDefined();
				}
			}),
			{ numRuns: 120 }
		);
	});
	test('a key is rule, sorted steps or the sequence, place and side', () => {
		expect(findingKey('r', { stepIds: ['b', 'a'], place: 'chin', side: 'left' })).toBe('r|a+b|chin|left');
		expect(findingKey('r', { stepIds: [] })).toBe('r|sequence||');
	});
	test('an empty sequence has nothing to judge', () => {
		expect(judge(sequenceOf([]), CONTEXT).findings).toEqual([]);
	});
	test('a sequence that washes, opens, clears the neck, strokes with the drainage and closes pleases every school', () => {
		const oil = { medium: { id: 'light-oil', ml: 0.3 } };
		for (const school of SCHOOLS) {
			const nodes = [...new Set([...school.opening.nodes, 'tonsillar', 'preauricular', 'deep-cervical'])];
			const fine = sequenceOf(
				[
					makeStep(basicTechnique('clean-hands'), { id: 'wash' }),
					...nodes.map((n) => pump(n, n)),
					step('neck', ['sternocleidomastoid', 'n:deep-cervical', 'n:terminus'], oil),
					step(
						'cheek',
						['zygoma', 'preauricular', 'n:preauricular', 'n:tonsillar', 'n:deep-cervical', 'n:terminus'],
						oil
					),
					pump('end', 'terminus', { aim: 'close' })
				],
				{ school }
			);
			expect(
				judge(fine, CONTEXT).findings.map((f) => f.key),
				school.id
			).toEqual([]);
		}
	});
});

describe('the answer as data', () => {
	test('is plain JSON, and says the same as the judgement', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				const answer = checkAnswer(sequence, CONTEXT);
				const { findings, timing } = judge(sequence, CONTEXT);
				expect(JSON.parse(JSON.stringify(answer))).toEqual(JSON.parse(JSON.stringify(answer)));
				expect(answer.findings.map((f) => f.key)).toEqual(findings.map((f) => f.key));
				expect(Object.keys(answer.timing.steps).sort()).toEqual([...timing.steps.keys()].sort());
				for (const f of answer.findings) expect(f.head).toBe(sentenceOf(f).head);
			}),
			{ numRuns: 60 }
		);
	});
	test('names the fix where there is one', () => {
		const answer = checkAnswer(sequenceOf([step('a', ['jawline', 'chin'])]), CONTEXT);
		expect(answer.findings.find((f) => f.ruleId === 'against-drainage')!.fix).toBe(fixLabel('against-drainage'));
	});
});
