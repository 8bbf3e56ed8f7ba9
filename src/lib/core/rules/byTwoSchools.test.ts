import fc from 'fast-check';
import { expect, test } from 'vitest';
import { schoolById, SCHOOLS } from '../school/schools';
import { anySequence, CONTEXT, sequenceOf, step } from '../testing';
import { compareSchools } from './byTwoSchools';
import { judge } from './judge';

const [outlet, crown] = [schoolById('outlet-first'), schoolById('crown-down')];

test('fluid at level 2: one school minds, the other does not, and the policies say why', () => {
	const sequence = sequenceOf([step('a', ['malar', 'zygoma'], { pressure: 2 })]);
	const cap = compareSchools(sequence, [outlet, crown], CONTEXT).find((v) => v.finding.ruleId === 'fluid-cap')!;
	expect(cap).toMatchObject({ severities: ['caution', null], agree: false });
	expect(cap.because).toEqual(['fluid at level 1 at most', 'fluid at level 2 at most']);
});

test('a closed outlet is found by the school that opens, and by no other', () => {
	const verdicts = compareSchools(sequenceOf([step('a', ['malar', 'zygoma'])]), [outlet, crown], CONTEXT);
	expect(verdicts.find((v) => v.finding.ruleId === 'outlet-closed')!.severities).toEqual(['caution', null]);
});

test('holds all findings of both, once; a school agrees with itself; changing places changes only the columns', () => {
	const school = fc.constantFrom(...SCHOOLS);
	fc.assert(
		fc.property(anySequence, school, school, (sequence, a, b) => {
			const keys = [a, b].flatMap((s) => judge({ ...sequence, school: s }, CONTEXT).findings.map((f) => f.key));
			const verdicts = compareSchools(sequence, [a, b], CONTEXT);
			expect(new Set(verdicts.map((v) => v.key))).toEqual(new Set(keys));
			expect(verdicts).toHaveLength(new Set(keys).size);
			expect(compareSchools(sequence, [a, a], CONTEXT).every((v) => v.agree && !v.because)).toBe(true);
			const turned = new Map(compareSchools(sequence, [b, a], CONTEXT).map((v) => [v.key, v.severities]));
			for (const v of verdicts) expect(turned.get(v.key)).toEqual([v.severities[1], v.severities[0]]);
		}),
		{ numRuns: 40 }
	);
});
