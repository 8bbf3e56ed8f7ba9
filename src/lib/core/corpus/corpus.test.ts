import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { print } from '../notation/print';
import { judge } from '../rules/judge';
import type { Finding } from '../rules/rule';
import { bySeverity } from '../rules/rule';
import { ruleById, RULES } from '../rules/index';
import { SCHOOL_IDS } from '../school/school.schema';
import { mapSteps, stepsOf } from '../sequence/walk';
import { CONTEXT } from '../testing';
import { AIMS, MOTIONS, TOOLS } from '../vocabulary/vocabulary';
import { FAULTS } from './faults';
import { filmFactsOf } from '../glide/film';
import { contextOf } from '../rules/judge';
import { findingKey, type JudgeContext } from '../rules/rule';
import { passesOf } from '../sequence/passes';
import type { Sequence } from '../sequence/sequence.schema';
import { routineOf, sequenceOfText } from './corpus';

const directory = new URL('./routines/', import.meta.url);
const ROUTINES = readdirSync(directory).map((file) =>
	routineOf(file.replace('.txt', ''), readFileSync(new URL(file, directory), 'utf8'))
);
const byId = new Map(ROUTINES.map((r) => [r.id, r]));
const findingsOf = (text: string): readonly Finding[] => judge(sequenceOfText(text), CONTEXT).findings;
const saidOf = (findings: readonly Finding[]): string[] =>
	findings.map((f) => `${f.ruleId} ${f.params.number ?? ''}`.trim()).sort();

test('forty routines and more, of every school, with every aim and tool, and nearly every motion', () => {
	expect(ROUTINES.length).toBeGreaterThanOrEqual(41);
	expect(ROUTINES.filter((r) => r.seconds !== null).length).toBeGreaterThanOrEqual(30);
	const all = ROUTINES.map((r) => sequenceOfText(r.text));
	for (const school of SCHOOL_IDS)
		expect(all.filter((s) => s.school.id === school).length, school).toBeGreaterThanOrEqual(4);
	const steps = all.flatMap(stepsOf).map((s) => s.step);
	expect(Object.keys(AIMS).filter((a) => !steps.some((s) => s.aim === a))).toEqual([]);
	expect(Object.keys(TOOLS).filter((t) => t !== 'spoon' && !steps.some((s) => s.tool?.id === t))).toEqual([]);
	const motions = new Set(steps.flatMap((s) => [s.motion, ...(s.parts ?? []).map((p) => p.motion)]));
	expect(Object.keys(MOTIONS).filter((m) => !motions.has(m as never))).toEqual([]);
	const has: Record<string, boolean> = {
		parts: steps.some((s) => s.parts),
		'an own way for a lane': steps.some((s) => s.laneWays),
		'a second path': steps.some((s) => s.beside),
		'a condition': steps.some((s) => s.onlyIf),
		'a choice': steps.some((s) => s.choice),
		'a later sitting': steps.some((s) => s.later),
		'a rising hold': steps.some((s) => s.risesTo),
		'spots and a way round': steps.some((s) => s.spots) && steps.some((s) => s.round),
		'a stroke that swells, and a quick way back': steps.some((s) => s.swellsTo && s.returnSeconds),
		'what is done otherwise': steps.some((s) => s.otherwise),
		'a pose': steps.some((s) => s.poseSeconds),
		'a phase done twice': all.some((s) => s.phases.some((p) => p.passes === 2)),
		'a named exit': all.some((s) => s.phases.some((p) => p.exitTitle)),
		'a course': all.some((s) => s.course)
	};
	expect(Object.keys(has).filter((what) => !has[what])).toEqual([]);
});

describe.each(ROUTINES.map((r) => [r.id, r] as const))('%s', (_, routine) => {
	const sequence = sequenceOfText(routine.text);
	const { findings, timing } = judge(sequence, CONTEXT);
	test('takes the time that it takes by hand, within a tenth, and no more than it has', () => {
		const byHand = routine.seconds ?? timing.expectedSeconds;
		expect(Math.abs(timing.expectedSeconds / byHand - 1)).toBeLessThanOrEqual(0.1);
		expect(timing.expectedSeconds).toBeLessThanOrEqual(sequence.budgetSeconds);
	});
	test('is judged by its own school as a master of it would: no stop, and no caution or advice but what is named', () => {
		expect(findings.filter((f) => f.severity === 'stop').map((f) => f.key)).toEqual([]);
		expect(saidOf(findings.filter((f) => f.severity === 'caution'))).toEqual(routine.cautions);
		expect(saidOf(findings.filter((f) => f.severity === 'advice'))).toEqual(routine.finds);
	});
	test('is written and read back the same', () => {
		const again = sequenceOfText(print(sequence));
		expect(print(again)).toBe(print(sequence));
		expect(judge(again, CONTEXT).timing.expectedSeconds).toBeCloseTo(timing.expectedSeconds, 6);
	});
});

test('more than fifty faults; each rule that can be broken by a line is', () => {
	expect(FAULTS.length).toBeGreaterThanOrEqual(40);
	const broken = new Set(FAULTS.map((f) => f.rule));
	// An edge, a tilt and what asks for too much have their own tests; a licence is said each time, tape may be left out by a school; where a short version ends, and a school's wishes, are no lines.
	// What comes from a client, her wishes and the licence is no line of a sequence.
	const OF_A_PERSON: readonly string[] = ['client', 'wish', 'licence'];
	const elsewhere = [
		'edge-cap',
		'steep-tilt',
		'too-much-work',
		'inside-licence',
		'tape-in-school',
		'tool-swaps',
		'exit-open',
		'exit-after-neck',
		'school-floor'
	];
	expect(
		RULES.filter((r) => !OF_A_PERSON.includes(r.kind))
			.map((r) => r.id)
			.filter((id) => !broken.has(id) && !elsewhere.includes(id))
	).toEqual([]);
});

describe.each(FAULTS.map((f) => [f.rule, f.in, f] as const))('%s in %s', (_rule, _in, fault) => {
	const routine = byId.get(fault.in)!;
	const [from, to] = fault.change;
	test('is found by its rule, and by none that is graver', () => {
		expect(routine.text.split(from).length, `“${from}” stands in the routine`).toBeGreaterThan(1);
		const before = new Set(saidOf(findingsOf(routine.text)).map((s) => s.split(' ')[0]));
		const after = findingsOf(routine.text.replace(from, to));
		const mine = after.filter((f) => f.ruleId === fault.rule);
		expect(saidOf(after).map((s) => s.split(' ')[0])).toContain(fault.rule);
		const graver = after.filter(
			(f) => !before.has(f.ruleId) && !fault.also?.includes(f.ruleId) && bySeverity(f, mine[0]!) < 0
		);
		expect(saidOf(graver)).toEqual([]);
	});
});

/** A rule as it would be, were it broken: what it is given to look at lacks something. */
type Mutant = (sequence: Sequence) => JudgeContext;
const whole: Mutant = (sequence) => contextOf(sequence, CONTEXT);
/** Of each step the first side only. */
const firstSide: Mutant = (sequence) => {
	const context = whole(sequence);
	const first = new Map<string, string>();
	for (const { stepId, side, kind } of context.events)
		if (kind !== 'transition' && !first.has(stepId)) first.set(stepId, side);
	const events = context.events
		.filter((e) => first.get(e.stepId) === e.side)
		.map((e) => (e.side === 'both' ? { ...e, side: 'left' as const } : e));
	return {
		...context,
		events,
		passes: passesOf(events),
		film: filmFactsOf(sequence, events, context.byId, CONTEXT.working)
	};
};
/** Neither the second path of a step nor the hand that holds. */
const onePath: Mutant = (sequence) =>
	whole(mapSteps(sequence, ({ beside: _beside, support: _support, ...step }) => step));
const noticed = (rule: string, mutant: Mutant): boolean =>
	FAULTS.some((fault) => {
		if (fault.rule !== rule) return false;
		const sequence = sequenceOfText(byId.get(fault.in)!.text.replace(...fault.change));
		const keys = (context: JudgeContext) =>
			ruleById(rule)!
				.check(context)
				.map((raw) => findingKey(rule, raw));
		const found = new Set(keys(mutant(sequence)));
		return keys(whole(sequence)).some((key) => !found.has(key));
	});
test.each(['no-glide', 'tape-on-oil', 'stranded'])(
	'were %s to look at the first side only, a fault would be missed',
	(rule) => expect(noticed(rule, firstSide)).toBe(true)
);
test.each(['neck-both-sides', 'throat-cap'])('were %s to look at one path only, a fault would be missed', (rule) =>
	expect(noticed(rule, onePath)).toBe(true)
);
test('were any of them never to fire, a fault would be missed', () => {
	const nothing: Mutant = (sequence) => contextOf({ ...sequence, phases: [], medium: null }, CONTEXT);
	const rules = [...new Set(FAULTS.map((f) => f.rule))];
	expect(rules.filter((rule) => !noticed(rule, nothing))).toEqual([]);
});
