import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readBackup, type Backup } from './backup/readBackup';
import { backupOf } from './backup/writeBackup';
import { readSequenceFile, writeSequenceFile } from './sequenceFile';
import { SCHOOLS } from '../core/school/schools';
import { applyEdit, revertEdit } from '../core/sequence/applyEdit';
import { SEQUENCE_VERSION } from '../core/sequence/format';
import { timingOf } from '../core/sequence/timing';
import { stepsOf } from '../core/sequence/walk';
import { parse } from '../core/notation/parse';
import { CONTEXT } from '../core/testing';
import { anyStore } from '../core/records/testing';
import { allKinds, kindOf, type KindId } from '../core/records/kinds';
import type { Raw, RecordKind } from '../core/records/record';
import { migrateRecord } from '../core/records/migrations/chain';
import { hashOf } from '../core/records/hash';
import fc from 'fast-check';

/** Files that earlier versions of the application wrote, as they are. */
const bytesOf = (name: string) => readFileSync(new URL(`./fixtures/${name}`, import.meta.url));
const fixture = (name: string) => bytesOf(name).toString('utf8');
const VERSIONS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17];
const backups = new Map<number, Backup>();
for (const version of VERSIONS) {
	const read = await readBackup(new Uint8Array(bytesOf(`backup-${version}.json`)));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	backups.set(version, read.value);
}
const backup = (version: number): Backup => backups.get(version)!;

describe('a sequence file of version 1', () => {
	const read = readSequenceFile(fixture('sequence-1.json'));
	test('is read, with the wider school and nothing of its steps changed', () => {
		if (!read.ok) throw new Error(JSON.stringify(read.problems));
		const old = JSON.parse(fixture('sequence-1.json')) as { phases: unknown; title: string; school: { id: string } };
		expect(read.value).toMatchObject({
			version: SEQUENCE_VERSION,
			title: old.title,
			media: [],
			links: 'hand',
			mutes: []
		});
		expect(JSON.parse(JSON.stringify(read.value.phases))).toEqual(old.phases);
		const shipped = SCHOOLS.find((s) => s.id === old.school.id)!;
		const { neckFirst, doses, others } = shipped;
		expect(read.value.school).toMatchObject({ neckFirst, doses, others });
	});
	test('and written again as it is now, it reads as the same', () => {
		if (!read.ok) throw new Error('not read');
		expect(readSequenceFile(writeSequenceFile(read.value))).toEqual(read);
	});
	test('a school that nobody knows gets the policies of one that clears the neck first', () => {
		const old = JSON.parse(fixture('sequence-1.json')) as { school: Record<string, unknown> };
		const own = readSequenceFile(
			JSON.stringify({ ...old, school: { ...old.school, id: 'own-school', title: 'Mine' } })
		);
		if (!own.ok) throw new Error(JSON.stringify(own.problems));
		expect(own.value.school).toMatchObject({ id: 'own-school', neckFirst: true, doses: {}, others: '' });
	});
});

/** Every sequence in a value, however deep. */
function sequencesIn(value: unknown): Raw[] {
	if (typeof value !== 'object' || value === null) return [];
	if ((value as Raw).format === 'soft-tide/sequence') return [value as Raw];
	return Object.values(value).flatMap(sequencesIn);
}

describe.each(VERSIONS)('a backup of version %i', (version) => {
	const read = backup(version);
	test('is read whole: no list got shorter', () => {
		const old = JSON.parse(fixture(`backup-${version}.json`)) as Record<string, unknown>;
		for (const kind of allKinds()) {
			const list = old[kind.table];
			if (Array.isArray(list)) expect(read.rows[kind.id as KindId], kind.id).toHaveLength(list.length);
		}
	});
	test('every sequence in it, wherever it is, is of the present form', () => {
		const found = sequencesIn(read.rows);
		expect(found.length).toBeGreaterThan(0);
		expect(new Set(found.map((s) => s.version))).toEqual(new Set([SEQUENCE_VERSION]));
	});
	test('a session finds what it performed, once for all that performed the same', () => {
		const old = (JSON.parse(fixture(`backup-${version}.json`)) as { sessions: { sequence: Raw | null }[] }).sessions;
		const performed = old.filter((s) => s.sequence);
		expect(performed.length).toBeGreaterThan(0);
		expect(read.rows.snapshot.length).toBe(new Set(performed.map((s) => hashOf(s.sequence))).size);
		read.rows.session.forEach((s, i) => {
			const snapshot = read.rows.snapshot.find((x) => x.id === s.sequence?.snapshot);
			expect(snapshot?.sequence.title ?? null).toBe(old[i]!.sequence?.title ?? null);
		});
	});
	test('its undo histories still run, back and forth', () => {
		for (const { sequence, history } of read.rows.sequence) {
			let at = sequence;
			for (const edit of [...history.past].reverse()) {
				const before = revertEdit(at, edit);
				expect(applyEdit(before, edit)).toEqual(at);
				at = before;
			}
			expect(stepsOf(at).length).toBeGreaterThanOrEqual(0);
		}
	});
	test('written anew and read again, it is the same', async () => {
		const again = await readBackup(await backupOf(read.exportedAt, read.rows));
		expect(again).toEqual({ ok: true, value: { ...read, bytesOf: expect.any(Function) } });
	});
});

test('nobody was screened before version 9: clients have no answers and no marks, sessions say so, no licence is noted', () => {
	const { client, session, settings } = backup(8).rows;
	expect(client[0]).toMatchObject({ name: 'Bo', cautions: 'No nut oils.', answers: [], marks: [], clearances: [] });
	expect(session.map((s) => s.screened)).toEqual(session.map(() => null));
	expect(settings.map((s) => s.licence)).toEqual([[]]);
});

test('an exchange of the school in the history of version 1 brings back a school of the present form', () => {
	const exchanges = backup(1).rows.sequence.flatMap(({ history }) =>
		history.past.filter((e) => e.patch.some((p) => p.path[0] === 'school'))
	);
	expect(exchanges.length).toBeGreaterThan(0);
});

describe('what version 6 meant', () => {
	const { rows } = backup(6);
	const old = rows.sequence.find((s) => s.id === 'old-ways')!.sequence;
	const byId = new Map(stepsOf(old).map(({ step }) => [step.id, step]));
	test('a count over several places is of all together, a time is at each: as the files were reckoned with', () => {
		expect(['circles', 'hold', 'soak'].map((id) => [id, byId.get(id)!.doseAt])).toEqual([
			['circles', 'over-all'],
			['hold', undefined],
			['soak', 'each-place']
		]);
		const { steps } = timingOf(old, CONTEXT);
		const span = (id: string) => {
			const { minSeconds, expectedSeconds, maxSeconds } = steps.get(id)!;
			return [minSeconds, expectedSeconds, maxSeconds];
		};
		// By the application of that time.
		expect(['circles', 'hold', 'soak'].map(span)).toEqual([
			[6, 10, 16],
			[10, 20, 40],
			[120, 240, 600]
		]);
	});
	test('a sign is one of a list, also in a move of one’s own and where undo brings it back', () => {
		expect(byId.get('waits')!.until).toEqual({ signs: ['softer'], capSeconds: 40 });
		expect(rows.technique.find((t) => t.id === 'own-scoop')!.item.until).toEqual({ signs: ['pink'], capSeconds: 40 });
		const { history } = rows.sequence.find((s) => s.id === 'old-ways')!;
		const before = history.past.slice(-2).reduceRight((s, edit) => revertEdit(s, edit), old);
		expect(stepsOf(before).find((s) => s.step.id === 'waits')!.step.until!.signs).toEqual(['pink']);
	});
	test('what takes another time now is named, once', () => {
		expect(old.changed).toHaveLength(3);
		expect(old.changed!.join(' ')).toMatch(/breath.*Gloves.*cap/);
		expect(read6Again().changed).toEqual(old.changed);
	});
	test('the first notation means the same as the file of its time, step by step', () => {
		const parsed = parse(fixture('notation-1.txt'));
		expect(parsed.troubles).toEqual([]);
		const drafts = parsed.phases.flatMap((p) => p.blocks.flatMap((b) => b.steps.map((s) => s.step)));
		expect(drafts).toEqual(stepsOf(old).map(({ step: { id: _id, ...rest } }) => rest));
	});
	const read6Again = () => {
		const again = readSequenceFile(writeSequenceFile(old));
		if (!again.ok) throw new Error(JSON.stringify(again.problems));
		return again.value;
	};
});

describe('what version 4 kept in other words', () => {
	const { rows } = backup(4);
	const old = JSON.parse(fixture('backup-4.json')) as {
		sessions: { before: { grades: unknown[]; distances: unknown[] }; context: { also: string[] } }[];
		comparisons: { result: { verdicts: { all: { measure: string }[] } } }[];
		settings: unknown;
	};
	test('grades, distances and what was told are entries of one list', () => {
		const [first] = rows.session;
		expect(first!.before.entries).toEqual([
			{ observation: 'puffiness', place: 'malar', side: 'left', value: 3 },
			{ observation: 'puffiness', place: 'malar', side: 'right', value: 1 },
			{ observation: 'tension', place: 'masseter', side: 'left', value: 4 },
			{ observation: 'tragus-mouth-corner', side: 'left', value: 104.5 }
		]);
		expect(first!.context.map((e) => [e.observation, e.value])).toEqual([
			['sleep', 'under-5'],
			['salt', 'much'],
			['also', 'alcohol'],
			['also', 'flight']
		]);
		expect(rows.session.map((s) => s.before.entries.length)).toEqual(
			old.sessions.map((s) => s.before.grades.length + s.before.distances.length)
		);
	});
	test('a stage that was not over has the first line of its log', () => {
		expect(rows['run-entry'].map((r) => [r.sessionId, r.kind])).toEqual([['x2', 'begin']]);
	});
	test('what was compared is an outcome, and settings stand in a list like all else', () => {
		expect(rows.comparison[0]!.result.verdicts.all.map((v) => v.outcome)).toEqual(
			old.comparisons[0]!.result.verdicts.all.map((v) => v.measure)
		);
		expect(rows.settings).toEqual([
			{
				...(old.settings as object),
				licence: [],
				exportedAt: null,
				voice: 'none',
				voiceRate: 1,
				volume: 1,
				stageDistanceM: 1.5,
				waits: 'signs',
				gradesBlind: false,
				findsFaces: false,
				place: null,
				listens: false
			}
		]);
		expect(rows.sequence.map((s) => [s.id, s.archived])).toEqual([['s1', true]]);
	});
});

test('who had each step wait before version 12 has it still', () => {
	expect(backup(11).rows.settings.map((s) => [s.waits, s.place])).toEqual([['always', null]]);
});

describe('what version 7 kept in other words', () => {
	test('a comparison counts faces; two that did the same are a tie, what was not kept is not made up', () => {
		const old = JSON.parse(fixture('backup-7.json')) as {
			comparisons: { result: { draws: number; verdicts: { all: { share: number; ofStart: unknown }[] } } }[];
		};
		const { result } = backup(7).rows.comparison[0]!;
		expect(old.comparisons[0]!.result.verdicts.all[0]!.share).toBe(0);
		expect(result.verdicts.all[0]).toMatchObject({ lessIn: 0, moreIn: 0 });
		expect(result.verdicts.all[0]!.ofHeld).toEqual(old.comparisons[0]!.result.verdicts.all[0]!.ofStart);
		expect(result.verdicts.face[0]!.ofHeld).toBeNull();
		expect([result.where, result.matrix, result.holdsMl]).toEqual([null, null, null]);
	});
	test('a share becomes faces, and what a lead hangs on speaks of the winner', () => {
		const ml = { median: -1, p5: -2, p95: 0.5 };
		const verdict = { outcome: 'all', share: 0.2, shownPercent: 20, ml, ofStart: ml, practical: true };
		const raw = {
			result: { draws: 50, verdicts: { all: [{ ...verdict, hangsOn: [{ parameter: 'fX', rho: -0.4 }] }] } }
		};
		const now = migrateRecord('comparison', raw, 7, () => {}) as { result: { verdicts: { all: unknown[] } } };
		expect(now.result.verdicts.all[0]).toEqual({
			outcome: 'all',
			lessIn: 10,
			moreIn: 40,
			ml,
			ofHeld: ml,
			practical: true,
			hangsOn: [{ parameter: 'fX', rho: 0.4 }]
		});
	});
});

/** Whether a schema holds the sequence schema somewhere inside: found by the format that only a sequence has. */
const embedsSequence = (kind: RecordKind, record: unknown): boolean =>
	kind.id !== 'second-version' && sequencesIn(record).length > 0;

test('every kind that embeds a sequence declares where: its lens visits each of them, and puts back what comes of it', () => {
	const seen = new Set<string>();
	fc.assert(
		fc.property(anyStore, (rows) => {
			for (const kind of allKinds())
				for (const record of rows[kind.id as KindId] as readonly unknown[]) {
					const inside = sequencesIn(record);
					if (!inside.length) continue;
					if (embedsSequence(kind, record)) seen.add(kind.id);
					expect(kindOf(kind.id as KindId).sequences, `${kind.id} embeds a sequence and declares no lens`).toBeTypeOf(
						'function'
					);
					const visited: unknown[] = [];
					const marked = kind.sequences!(record as Raw, {
						sequence: (s) => (visited.push(s), { ...(s as Raw), marked: true }),
						history: (h) => h
					});
					expect(visited).toHaveLength(inside.length);
					expect(sequencesIn(marked).every((s) => s.marked)).toBe(true);
				}
		}),
		{ numRuns: 30 }
	);
	expect([...seen].sort()).toEqual(['comparison', 'kept', 'sequence', 'snapshot']);
});
