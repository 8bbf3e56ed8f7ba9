import fc from 'fast-check';
import { expect, test } from 'vitest';
import { newAnswer } from '../client/answers';
import { exampleOf } from '../rules/examples';
import { bringsNothingGrave, fixIn, judge, type JudgeInput } from '../rules/judge';
import { mendEach, mendSafe } from '../rules/mend';
import { RULES } from '../rules/index';
import type { Finding } from '../rules/rule';
import { factsOf } from '../screening/clientFacts';
import { FLAGS } from '../screening/flags';
import type { Sequence } from '../sequence/sequence.schema';
import { edited } from '../sequence/edits';
import { stepsOf } from '../sequence/walk';
import { TEMPLATES } from '../template/templates';
import { CONTEXT, sequenceOf, step } from '../testing';
import { makeItFit } from './makeItFit';

const TODAY = '2026-03-01';
const told = (flag: string, places: readonly string[] = []) =>
	newAnswer({ flag, says: 'yes', day: TODAY, at: `${TODAY}T08:00:00Z`, since: '2026-02-20', places: places as never });
const given = (flags: readonly string[], places: readonly string[] = []): JudgeInput => ({
	...CONTEXT,
	client: factsOf(
		{ cautions: '', marks: [], clearances: [], answers: flags.map((f) => told(f, places)) } as never,
		TODAY
	)
});

/** Told by hand, and not by the code that is tested: keys of stops and cautions, set aside or not. */
const grave = (sequence: Sequence, by: JudgeInput) => {
	const { findings, muted } = judge(sequence, by);
	const all: readonly Finding[] = [...findings, ...muted.map((m) => m.finding)];
	return new Set(all.filter((f) => f.severity !== 'advice').map((f) => f.key));
};
function expectNothingNew(before: Sequence, after: Sequence, by: JudgeInput, what: string) {
	const had = grave(before, by);
	expect(
		[...grave(after, by)].filter((key) => !had.has(key)),
		what
	).toEqual([]);
}

test('a pump into the armpit over a pacemaker is offered by no fix, alone or among all that are safe', () => {
	const by = given(['pacemaker']);
	const chest = sequenceOf([
		step('chest', ['decollete', 'axilla']),
		step('jaw', ['jawline', 'under-jaw', 'n:submandibular'])
	]);
	const touches = (s: Sequence) =>
		stepsOf(s).filter(({ step: one }) => one.aim === 'open' && one.places.includes('n:axillary'));
	const { context, findings } = judge(chest, by);
	for (const finding of findings) {
		const edit = fixIn(context, finding);
		if (edit) expectNothingNew(chest, edited(chest, edit), by, finding.key);
	}
	const mending = mendSafe(chest, by);
	const after = mending ? edited(chest, mending.edit) : chest;
	expectNothingNew(chest, after, by, 'all that is safe');
	if (judge(after, by).findings.some((f) => f.ruleId.startsWith('client'))) expect(touches(after)).toEqual([]);
});

const SEQUENCES = [...TEMPLATES, ...RULES.map((r) => exampleOf(r.id))];
const clients = fc.uniqueArray(fc.constantFrom(...FLAGS.map((f) => f.id)), { maxLength: 3 });
const places = fc.constantFrom(
	[],
	['chin:left'],
	['malar:right', 'masseter:left'],
	['axilla:left'],
	['sternocleidomastoid:right']
);

test('no fix, no group of fixes and no fit brings a stop or a caution that was not there: ready sequences and examples, random clients', () => {
	const seen = { fixes: 0, groups: 0, safe: 0, fits: 0 };
	fc.assert(
		fc.property(fc.constantFrom(...SEQUENCES), clients, places, fc.nat(), (sequence, flags, where, nth) => {
			const by = given(flags, where);
			const { context, findings } = judge(sequence, by);
			const fixable = findings.filter((f) => f.fixable);
			const one = fixable[nth % Math.max(1, fixable.length)];
			const edit = one && fixIn(context, one);
			if (edit) {
				seen.fixes++;
				expectNothingNew(sequence, edited(sequence, edit), by, `fix of ${one.key}`);
				expect(bringsNothingGrave(sequence, edited(sequence, edit), by)).toBe(true);
			}
			const group = one && mendEach(sequence, by, (f) => f.ruleId === one.ruleId);
			if (group) {
				seen.groups++;
				expectNothingNew(sequence, edited(sequence, group.edit), by, `fixes of ${one.ruleId}`);
			}
			const safe = nth % 3 === 0 ? mendSafe(sequence, by) : null;
			if (safe) {
				seen.safe++;
				expectNothingNew(sequence, edited(sequence, safe.edit), by, 'all that is safe');
			}
			const fit = flags.length ? makeItFit(sequence, by) : null;
			if (fit?.edit) {
				seen.fits++;
				expectNothingNew(sequence, fit.sequence, by, `fit for ${flags.join()}`);
			}
		}),
		{ numRuns: 150 }
	);
	expect(Math.min(...Object.values(seen)), JSON.stringify(seen)).toBeGreaterThan(15);
});
