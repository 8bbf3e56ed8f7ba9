import { expect, test } from 'vitest';
import { CONTEXT } from '../core/testing';
import { judge } from '../core/rules/judge';
import { sentenceOf } from '../core/rules/wording';
import { readBackup } from '../formats/backup/readBackup';
import { backupOf } from '../formats/backup/writeBackup';
import { makeDemo } from './demo';

const NOW = new Date('2026-05-20T15:00:00Z');
const demo = makeDemo(NOW);

test('is a valid backup, the same each time on the same day', async () => {
	const read = await readBackup(await backupOf(NOW.toISOString(), demo));
	expect(read.ok && read.value.rows).toMatchObject(demo);
	expect(makeDemo(NOW)).toEqual(demo);
});

test('four clients, six sequences of at least three schools, eight weeks that end on the day', () => {
	expect(demo.client).toHaveLength(4);
	expect(demo.sequence).toHaveLength(6);
	expect(new Set(demo.sequence.map((s) => s.sequence.school.id)).size).toBeGreaterThanOrEqual(3);
	const starts = demo.session.map((s) => s.startedAt.slice(0, 10)).sort();
	expect(starts.at(-1)).toBe('2026-05-20');
	expect(Date.parse(starts.at(-1)!) - Date.parse(starts[0]!)).toBeGreaterThan(52 * 86_400_000);
	expect(demo.session.length).toBeGreaterThan(35);
});

test('no session lies in the future, however early the day', () => {
	const early = makeDemo(new Date('2026-05-20T03:00:00Z'));
	for (const s of early.session)
		expect(Date.parse(s.startedAt)).toBeLessThanOrEqual(Date.parse('2026-05-20T03:00:00Z'));
});

test.each(demo.sequence.map((s) => [s.sequence.title, s.sequence] as const))(
	'%s: nothing that may hurt, few cautions, within its time',
	(_, sequence) => {
		const { findings, timing } = judge(sequence, CONTEXT);
		const grave = findings.filter((f) => f.severity !== 'advice').map((f) => sentenceOf(f).head);
		expect(grave).toEqual([]);
		expect(timing.expectedSeconds).toBeLessThanOrEqual(sequence.budgetSeconds);
		expect(timing.expectedSeconds).toBeGreaterThan(0.6 * sequence.budgetSeconds);
	}
);
