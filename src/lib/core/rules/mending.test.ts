import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { otherSide } from '../atlas/places';
import { applyEdit, revertEdit } from '../sequence/applyEdit';
import { mirroredPlace, mirroredSequence } from '../sequence/mirror';
import { anySequence, CONTEXT, sequenceOf, step } from '../testing';
import { fixIn, judge } from './judge';
import { mendEach, mendSafe } from './mend';
import { muteFinding, unmuteFinding } from './mutes';
import { findingKey } from './rule';

const firm = sequenceOf([step('a', ['malar', 'lower-eyelid'], { aim: 'lift', pressure: 3 })]);
const of = (sequence: typeof firm, ruleId: string) =>
	judge(sequence, CONTEXT).findings.find((f) => f.ruleId === ruleId);

describe('all safe fixes at once', () => {
	test('nothing safe is left that could be mended, no new stop appears, and one undo takes it all back', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				const before = judge(sequence, CONTEXT);
				const mending = mendSafe(sequence, CONTEXT);
				if (!mending) {
					expect(before.findings.some((f) => f.safe && f.severity === 'stop')).toBe(false);
					return;
				}
				const mended = applyEdit(sequence, mending.edit);
				const { findings } = judge(mended, CONTEXT);
				const stops = (list: readonly { severity: string }[]) => list.filter((f) => f.severity === 'stop').length;
				expect(stops(findings)).toBeLessThanOrEqual(stops(before.findings));
				expect(revertEdit(mended, mending.edit)).toEqual(sequence);
				expect(mending.edit.label.length).toBeGreaterThan(5);
			}),
			{ numRuns: 25 }
		);
	});
	test('by hand: a firm stroke over the lid is lowered, glided, drained and closed', () => {
		const { edit, mended } = mendSafe(firm, CONTEXT)!;
		expect(mended.map((f) => f.ruleId)).toEqual(expect.arrayContaining(['eye-cap', 'no-glide', 'hands-clean']));
		expect(judge(applyEdit(firm, edit), CONTEXT).findings.filter((f) => f.severity !== 'advice')).toEqual([]);
	});
});

test('one fix for a rule on many steps: all of it is gone, nothing of another rule is touched', () => {
	const sequence = sequenceOf([
		step('a', ['malar', 'zygoma'], { pressure: 3 }),
		step('b', ['chin', 'jawline', 'under-jaw', 'n:submandibular'], { pressure: 4 })
	]);
	const { edit, mended } = mendEach(sequence, CONTEXT, (f) => f.ruleId === 'fluid-cap')!;
	expect(mended.map((f) => f.stepIds[0]).sort()).toEqual(['a', 'b']);
	const left = judge(applyEdit(sequence, edit), CONTEXT).findings.map((f) => f.ruleId);
	expect(left).not.toContain('fluid-cap');
	expect(left).toContain('hands-clean');
	expect(edit.label).toBe('Fix 2 findings');
});

test('at the limit of steps a fix that would add one is none, and nothing is thrown', () => {
	const full = sequenceOf(Array.from({ length: 2000 }, (_, i) => step(`s${i}`, ['chin', 'jawline'])));
	const { findings, context } = judge(full, CONTEXT);
	const missing = findings.find((f) => f.ruleId === 'opening-missing')!;
	expect(fixIn(context, missing)).toBeNull();
});

describe('setting a finding aside', () => {
	test('takes it out of the findings, with its reason in the file, and back again', () => {
		const finding = of(firm, 'no-glide')!;
		const muted = applyEdit(firm, muteFinding(firm, finding, 'No oil', ' oil is on already '));
		expect(of(muted, 'no-glide')).toBeUndefined();
		expect(judge(muted, CONTEXT).muted.map((m) => [m.finding.key, m.reason])).toEqual([
			[finding.key, 'oil is on already']
		]);
		expect(muted.mutes).toHaveLength(1);
		expect(of(applyEdit(muted, unmuteFinding(muted, finding.key)), 'no-glide')).toBeDefined();
	});
	test('wants a reason, and never a stop', () => {
		expect(() => muteFinding(firm, of(firm, 'no-glide')!, 'No oil', '  ')).toThrow(/reason/);
		const stop = of(firm, 'eye-cap')!;
		expect(stop.severity).toBe('stop');
		expect(() => muteFinding(firm, stop, 'A stop', 'I know')).toThrow(/cannot be set aside/);
		// Nor through a file that says so.
		const forged = { ...firm, mutes: [{ key: stop.key, reason: 'I know' }] };
		expect(of(forged, 'eye-cap')).toBeDefined();
	});
});

test('the mirror image of a sequence has the mirror images of its findings', () => {
	fc.assert(
		fc.property(anySequence, (sequence) => {
			const keys = (list: ReturnType<typeof judge>['findings']) => list.map((f) => `${f.severity} ${f.key}`).sort();
			const image = judge(sequence, CONTEXT).findings.map((f) => ({
				...f,
				key: findingKey(f.ruleId, {
					stepIds: f.stepIds,
					...(f.place ? { place: mirroredPlace(f.place) } : {}),
					...(f.side ? { side: otherSide(f.side) } : {})
				})
			}));
			expect(keys(judge(mirroredSequence(sequence), CONTEXT).findings)).toEqual(keys(image));
			expect(mirroredSequence(mirroredSequence(sequence))).toEqual(sequence);
		}),
		{ numRuns: 120 }
	);
});
