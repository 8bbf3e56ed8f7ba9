import { describe, expect, test } from 'vitest';
import { fitTo } from '../fit/fit';
import { coverageOf } from '../goal/coverage';
import { cuesOf } from '../perform/cues';
import { doneCounts, positionAt } from '../perform/position';
import { judge } from '../rules/judge';
import { sentenceOf } from '../rules/wording';
import { SCHOOL_IDS } from '../school/school.schema';
import { stepsOf } from '../sequence/walk';
import { CONTEXT } from '../testing';
import { aimRow } from '../vocabulary/vocabulary';
import { TEMPLATES } from './templates';

describe.each(TEMPLATES.map((s) => [s.title, s] as const))('%s', (_, sequence) => {
	const { findings, timing, events, context } = judge(sequence, CONTEXT);
	const steps = stepsOf(sequence);
	test('passes its own school without stop or caution, and with little advice', () => {
		const grave = findings.filter((f) => f.severity !== 'advice');
		expect(grave.map((f) => `${f.ruleId}: ${sentenceOf(f).head}`)).toEqual([]);
		expect(findings.map((f) => sentenceOf(f).head).slice(2)).toEqual([]);
	});
	test('keeps its time and fills it, three quarters of it and more with the work itself', () => {
		expect(timing.expectedSeconds).toBeLessThanOrEqual(sequence.budgetSeconds);
		expect(timing.expectedSeconds).toBeGreaterThan(0.8 * sequence.budgetSeconds);
		const hygiene = steps
			.filter(({ step }) => step.aim === 'cleanse' || step.aim === 'prepare')
			.reduce((sum, { step }) => sum + timing.steps.get(step.id)!.expectedSeconds, 0);
		expect(hygiene / timing.expectedSeconds).toBeLessThanOrEqual(0.25);
	});
	test('serves each goal that it names by three fifths and more', () => {
		const low = coverageOf(sequence, events, CONTEXT.working).filter((c) => c.share < 0.6);
		expect(low.map((c) => `${c.goal} ${c.share.toFixed(2)}`)).toEqual([]);
	});
	test('can be made half as long', () => {
		expect(fitTo(sequence, sequence.budgetSeconds / 2, CONTEXT)).toMatchObject({ fits: true });
	});
	test('says minutes and counts in its title as they are', () => {
		const words: Record<string, number> = { three: 3, five: 5, eight: 8 };
		const minutes = /^(\w+) minutes/i.exec(sequence.title)?.[1]?.toLowerCase();
		if (minutes) expect(words[minutes]! * 60).toBe(sequence.budgetSeconds);
		const times = /^(\w+) times/i.exec(sequence.title)?.[1]?.toLowerCase();
		const lifts = steps.filter(({ step }) => step.aim === 'lift' && step.dose.kind === 'reps');
		if (times) expect(new Set(lifts.map(({ step }) => step.dose.target))).toEqual(new Set([words[times]]));
	});
	test('performed at full length: each second has its place, each side its count, and it ends', () => {
		const end = timing.expectedSeconds;
		for (let second = 0; second < end; second++) expect(positionAt(events, second).event).not.toBeNull();
		expect(positionAt(events, end).done).toBe(true);
		const cues = cuesOf(events, context.byId, CONTEXT.working);
		expect(cues.at(-1)).toMatchObject({ kind: 'end', atSeconds: end });
		const done = doneCounts(events, [{ from: 0, to: end }]);
		expect(done.filter((d) => d.skipped).map((d) => d.stepId)).toEqual([]);
		for (const d of done) expect(d.leftReps, d.stepId).toBe(d.rightReps);
	});
});

test('two dozen: all schools, 3 to 30 minutes, hands and tools, oil and dry, tape, level 4, client and oneself', () => {
	expect(TEMPLATES.length).toBeGreaterThanOrEqual(24);
	const all = <T>(of: (s: (typeof TEMPLATES)[number]) => T) => new Set(TEMPLATES.map(of));
	expect(all((s) => s.school.id)).toEqual(new Set(SCHOOL_IDS));
	expect(all((s) => s.performer).size).toBe(2);
	const minutes = TEMPLATES.map((s) => s.budgetSeconds / 60);
	expect([Math.min(...minutes) <= 4, Math.max(...minutes)]).toEqual([true, 30]);
	expect(minutes.filter((m) => m === 5).length).toBeGreaterThanOrEqual(3);
	const steps = TEMPLATES.flatMap((s) => stepsOf(s).map((x) => x.step));
	for (const tool of ['stone-plate', 'cold-globes', 'spoon', 'tape', 'gloves'])
		expect(
			steps.some((s) => s.tool?.id === tool),
			tool
		).toBe(true);
	expect(steps.some((s) => s.pressure === 4)).toBe(true);
	expect(steps.some((s) => s.levels && new Set(s.levels).size > 1)).toBe(true);
	expect(TEMPLATES.some((s) => s.phases.some((p) => p.blocks.some((b) => b.sides !== 'asSteps')))).toBe(true);
	expect(TEMPLATES.some((s) => s.phases.some((p) => p.exitAfter))).toBe(true);
	expect(new Set(TEMPLATES.flatMap((s) => s.goals.map((g) => g.id))).size).toBeGreaterThanOrEqual(15);
	expect(new Set(TEMPLATES.map((s) => s.id)).size).toBe(TEMPLATES.length);
});

test('no two share more than half of their steps', () => {
	const movesOf = TEMPLATES.map((s) => stepsOf(s).map(({ step }) => `${step.techniqueId} ${step.places.join('>')}`));
	const alike = TEMPLATES.flatMap((a, i) =>
		TEMPLATES.slice(i + 1).flatMap((b, j) => {
			const [mine, other] = [movesOf[i]!, movesOf[i + 1 + j]!];
			const common = mine.filter((m) => other.includes(m)).length;
			return common / Math.max(mine.length, other.length) > 0.5 ? [`${a.title} and ${b.title}`] : [];
		})
	);
	expect(alike).toEqual([]);
});

test('every gentle one is gentle: no points, nothing deep, light on muscle', () => {
	const gentle = TEMPLATES.find((s) => s.id === 'ready-quiet-cove')!;
	const steps = stepsOf(gentle).map((s) => s.step);
	expect(steps.filter((s) => s.aim === 'point' || s.point)).toEqual([]);
	expect(steps.filter((s) => aimRow(s.aim).cap === 'muscle' && (s.pressure ?? 0) > 1)).toEqual([]);
});
