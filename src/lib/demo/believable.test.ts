import { describe, expect, test } from 'vitest';
import { valueAt } from '../core/assess/assessment';
import { changesOf } from '../core/assess/change';
import { MEASURED_IDS } from '../core/assess/registry';
import { comparableSessions } from '../core/assess/sessions';
import { stepsOf } from '../core/sequence/walk';
import { DEFAULT_WORKING } from '../core/working/defaultWorking';
import { makeDemo } from './demo';
import { seededRandom } from '../core/random';
import { normal } from './random';

const demo = makeDemo(new Date('2026-05-20T15:00:00Z'));
const of = (clientId: string) => demo.session.filter((s) => s.clientId === clientId);
const mean = (list: readonly number[]) => list.reduce((a, b) => a + b, 0) / list.length;
const falls = (clientId: string) =>
	of(clientId).flatMap((s) =>
		changesOf('puffiness', s.before, s.after, DEFAULT_WORKING)
			.map((c) => c.delta)
			.filter((d): d is number => d !== null)
	);

describe('the source of numbers', () => {
	test('the same seed, the same numbers; between 0 and 1; about even', () => {
		const [a, b] = [seededRandom(7), seededRandom(7)];
		const list = Array.from({ length: 2000 }, a);
		expect(Array.from({ length: 2000 }, b)).toEqual(list);
		expect(Math.min(...list)).toBeGreaterThanOrEqual(0);
		expect(Math.max(...list)).toBeLessThan(1);
		expect(mean(list)).toBeCloseTo(0.5, 1);
	});
	test('normal: mean and spread as asked', () => {
		const random = seededRandom(3);
		const list = Array.from({ length: 4000 }, () => normal(random, 10, 2));
		expect(mean(list)).toBeCloseTo(10, 0);
		expect(Math.sqrt(mean(list.map((x) => (x - 10) ** 2)))).toBeCloseTo(2, 0);
	});
});

describe('the records are such as a practice would have', () => {
	test('a session mostly takes some swelling off, and now and then nothing', () => {
		for (const client of demo.client) {
			const list = falls(client.id);
			expect(mean(list)).toBeLessThan(-0.3);
			expect(mean(list)).toBeGreaterThan(-2.2);
			expect(list.some((d) => d === 0)).toBe(true);
		}
	});
	test('the baker’s lids get better over the weeks, a long night aside, the translator’s chin hardly', () => {
		const lids = of('demo-odile').map((s) => valueAt(s.before, 'puffiness', { place: 'lower-eyelid', side: 'left' })!);
		expect(mean(lids.slice(0, 5)) - mean(lids.slice(-6, -1))).toBeGreaterThan(0.5);
		const chin = of('demo-l14').map((s) => valueAt(s.before, 'puffiness', { place: 'submental', side: 'left' })!);
		expect(Math.abs(mean(chin.slice(0, 3)) - mean(chin.slice(-3)))).toBeLessThan(1.1);
	});
	test('distances lie where faces have them, and read in half millimetres', () => {
		for (const { before, after } of demo.session)
			for (const { value } of [...before.entries, ...(after?.entries ?? [])].filter((e) => !e.place)) {
				expect(value).toBeGreaterThan(70);
				expect(value).toBeLessThan(125);
				expect((Number(value) * 2) % 1).toBe(0);
			}
	});
	test('some changes stand clear of measuring error, most do not', () => {
		const verdicts = demo.session.flatMap((s) =>
			MEASURED_IDS.flatMap((id) => changesOf(id, s.before, s.after, DEFAULT_WORKING).map((c) => c.verdict))
		);
		const changed = verdicts.filter((v) => v === 'changed').length / verdicts.length;
		expect(changed).toBeGreaterThan(0.03);
		expect(changed).toBeLessThan(0.5);
	});
	test('visits of one client come at about the same hour, so that they can be compared', () => {
		for (const client of demo.client) {
			const [first, ...rest] = of(client.id);
			const alike = rest.filter((s) => comparableSessions(first!, s, DEFAULT_WORKING)).length;
			expect(alike / rest.length).toBeGreaterThan(0.9);
		}
	});
	test('what was done belongs to what was planned; a session broken off has skipped steps', () => {
		for (const s of demo.session) {
			const known = new Set(
				stepsOf(demo.snapshot.find((x) => x.id === s.sequence!.snapshot)!.sequence).map((x) => x.step.id)
			);
			for (const d of s.done) expect(known.has(d.stepId)).toBe(true);
			expect(Date.parse(s.endedAt!)).toBeGreaterThan(Date.parse(s.startedAt));
		}
		expect(demo.session.some((s) => s.done.some((d) => d.skipped))).toBe(true);
		expect(demo.session.some((s) => s.done.every((d) => !d.skipped))).toBe(true);
		expect(demo.session.some((s) => s.haltedSeconds > 0)).toBe(true);
	});
});
