import fc from 'fast-check';
import { DATA_VERSION } from '../core/records/dataVersion';
import { describe, expect, test } from 'vitest';
import { sequenceOf, step, anySequence, NOW } from '../core/testing';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import Papa from 'papaparse';
import type { Session } from '../core/records/session';
import { anyStore } from '../core/records/testing';
import type { SomeRows } from './backup/backupSchema';
import { readBackup } from './backup/readBackup';
import { uncheckedBackup } from './backup/testing';
import { backupOf, pagesOf, writeBackup } from './backup/writeBackup';
import { observationsCsv } from './observationsCsv';
import { jsonSchemaOf } from './jsonSchema';
import { pointerText, type Parsed } from './problem';
import { readSequenceFile, writeSequenceFile } from './sequenceFile';

const sequence = sequenceOf([step('a', ['chin', 'jawline'])]);
const file = () => JSON.parse(writeSequenceFile(sequence)) as Record<string, never> & Record<string, unknown>;
const first = (parsed: Parsed<unknown>) => {
	if (parsed.ok) throw new Error('was accepted');
	return parsed.problems[0]!;
};
const withStep = (change: object) => {
	const raw = file();
	Object.assign((raw as never as typeof sequence).phases[0]!.blocks[0]!.steps[0]!, change);
	return first(readSequenceFile(JSON.stringify(raw)));
};

describe('sequence files', () => {
	test('round trip on random sequences, with caution and core version inside', () => {
		fc.assert(
			fc.property(anySequence, (any) => {
				const text = writeSequenceFile(any);
				expect(JSON.parse(text).caution).toMatch(/Not medical care/);
				expect(readSequenceFile(text)).toEqual({ ok: true, value: any });
			}),
			{ numRuns: 80 }
		);
	});
	test.each([
		['not JSON', '{"format": ', /not JSON/],
		['a list', '[]', /no object/],
		['another format', '{"format":"other/thing","version":1}', /format "other\/thing"/],
		['no version', '{"format":"soft-tide/sequence"}', /whole number/],
		['a newer version', '{"format":"soft-tide/sequence","version":99}', /up to version 3/]
	])('%s is refused in a sentence with a remedy', (_, text, message) => {
		const problem = first(readSequenceFile(text));
		expect(problem.message).toMatch(message);
		expect(problem.remedy.length).toBeGreaterThan(10);
	});
	test('a wrong field is named by its place', () => {
		expect(withStep({ aim: 'heal' })).toMatchObject({ path: 'phases[0].blocks[0].steps[0].aim' });
		expect(withStep({ places: ['knee'] }).path).toBe('phases[0].blocks[0].steps[0].places[0]');
		expect(withStep({ dose: { kind: 'reps', min: -1, target: 2, max: 3 } }).path).toMatch(/dose\.min$/);
		expect(withStep({ extra: 1 }).remedy).toMatch(/Remove extra/);
	});
	test('ten thousand steps are answered with the limit', () => {
		const raw = file();
		const block = (raw as never as typeof sequence).phases[0]!.blocks[0]! as { steps: unknown[] };
		block.steps = Array.from({ length: 10_000 }, (_, i) => ({ id: i }));
		expect(first(readSequenceFile(JSON.stringify(raw))).message).toMatch(/10000 steps; at most 2000/);
	});
	test('script in a text stays text', () => {
		const title = '<script>alert(1)</script>';
		const read = readSequenceFile(writeSequenceFile({ ...sequence, title }));
		expect(read.ok && read.value.title).toBe(title);
	});
	test('any text and any damaged file is answered, never thrown', () => {
		fc.assert(
			fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
				expect(readSequenceFile(text).ok).toBe(false);
				expect(readBackup(strToU8(text)).ok).toBe(false);
			})
		);
		const text = writeSequenceFile(sequence);
		fc.assert(
			fc.property(fc.nat(text.length), fc.nat(60), fc.string({ maxLength: 8 }), (at, length, insert) => {
				const result = readSequenceFile(text.slice(0, at) + insert + text.slice(at + length));
				expect(result.ok || result.problems[0]!.message.length > 5).toBe(true);
			})
		);
	});
	test('wrong values anywhere: each field in turn replaced by nonsense', () => {
		const paths = Object.keys(file()).filter((k) => !['core', 'caution'].includes(k));
		fc.assert(
			fc.property(fc.constantFrom(...paths), fc.constantFrom(null, -5, {}, [[]], 'x'.repeat(3000)), (key, value) => {
				const result = readSequenceFile(JSON.stringify({ ...file(), [key]: value }));
				expect(result.ok || result.problems.some((p) => p.path.startsWith(key))).toBe(true);
			})
		);
	});
});

describe('backups', () => {
	const bytes = (rows: SomeRows) => backupOf(NOW, rows);
	const json = async (rows: SomeRows, change: (raw: Record<string, unknown>) => void) => {
		const raw = JSON.parse(strFromU8(unzipSync(await bytes(rows))['backup.json']!)) as Record<string, unknown>;
		change(raw);
		return readBackup(strToU8(JSON.stringify(raw)));
	};
	const [sample] = fc.sample(anyStore, { numRuns: 1, seed: 5 });
	const store = sample!;
	test('round trip of random full stores, every kind of record and every byte', async () => {
		await fc.assert(
			fc.asyncProperty(anyStore, async (rows) => {
				expect(readBackup(await bytes(rows))).toEqual({ ok: true, value: { exportedAt: NOW, rows, leftOut: [] } });
			}),
			{ numRuns: 15 }
		);
	});
	test('a record that points to what is not there, and an id that stands twice, are named', async () => {
		const [client] = store.client;
		const session = {
			...fc.sample(anyStore, { seed: 9, numRuns: 20 }).flatMap((s) => s.session)[0]!,
			clientId: 'nobody',
			sequence: null
		};
		expect(first(readBackup(uncheckedBackup({ session: [session] })))).toMatchObject({
			path: 'sessions[0].clientId',
			message: expect.stringContaining('nobody')
		});
		expect(first(readBackup(uncheckedBackup({ client: [client!, client!] }))).path).toBe('clients[1].id');
	});
	test('a file with faults is mended: what cannot be read is left out and listed, and what hangs on it; the rest is a good backup', async () => {
		const full = fc
			.sample(anyStore, { seed: 4, numRuns: 40 })
			.find((s) => s['run-entry'].length && s.client.length > 1)!;
		const owner = full.session.find((s) => s.id === full['run-entry'][0]!.sessionId)!.clientId;
		const faulty = {
			...full,
			client: full.client.map((c) => (c.id === owner ? { ...c, name: '' } : c)),
			binary: [],
			photo: []
		};
		const file = uncheckedBackup(faulty as SomeRows);
		expect(readBackup(file)).toMatchObject({ ok: false, mendable: true });
		const mended = readBackup(file, { mend: true });
		if (!mended.ok) throw new Error('not mended');
		const { rows, leftOut } = mended.value;
		expect(rows.client).toHaveLength(full.client.length - 1);
		expect(rows.session.every((s) => s.clientId !== owner)).toBe(true);
		expect(rows['run-entry'].every((r) => rows.session.some((s) => s.id === r.sessionId))).toBe(true);
		const gone = full.session.length - rows.session.length + full['run-entry'].length - rows['run-entry'].length;
		expect(leftOut.filter((p) => !p.path.startsWith('secondVersions')).length).toBe(1 + gone);
		expect(readBackup(await bytes(rows))).toMatchObject({ ok: true });
		expect(readBackup(strToU8('{"format":"soft-tide/backup","version":99}'))).toMatchObject({ mendable: false });
	});
	test('no backup is written that its own import refuses: what would be is left out and named', async () => {
		const full = fc.sample(anyStore, { seed: 4, numRuns: 40 }).find((s) => s['run-entry'].length)!;
		const written: Uint8Array[] = [];
		const orphaned = { ...full, client: full.client.map((c, i) => (i ? c : { ...c, id: 'another' })) };
		const leftOut = await writeBackup(NOW, pagesOf(orphaned), (chunk) => written.push(chunk));
		expect(leftOut.length).toBeGreaterThan(0);
		expect(leftOut[0]!.message).toMatch(/no client of the file has this id/);
		const read = readBackup(Uint8Array.from(written.flatMap((c) => [...c])));
		expect(read).toMatchObject({ ok: true, value: { leftOut: [] } });
	});
	test('a binary file that is missing or damaged is named, and nothing is read', async () => {
		const files = unzipSync(await bytes({ client: store.client, binary: store.binary }));
		const name = Object.keys(files).find((n) => n.startsWith('files/'))!;
		const without = zipSync(Object.fromEntries(Object.entries(files).filter(([n]) => n !== name)));
		expect(first(readBackup(without)).message).toContain(name);
		expect(first(readBackup(zipSync({ ...files, [name]: new Uint8Array([1, 2]) }))).message).toMatch(/damaged/);
	});
	test('a snapshot whose content was changed no longer fits its id', async () => {
		const kept = fc.sample(anyStore, { seed: 4, numRuns: 30 }).find((s) => s.snapshot.length)!;
		const snapshot = kept.snapshot.map((s) => ({ ...s, sequence: { ...s.sequence, title: 'Changed' } }));
		expect(first(readBackup(uncheckedBackup({ ...kept, snapshot }))).message).toMatch(/not the hash/);
	});
	test('a wrong field of a record is named by its place, a wrong list too', async () => {
		const wrong = await json({ client: store.client }, (raw) => ((raw.clients as { name: string }[])[0]!.name = ''));
		expect(first(wrong).path).toBe('clients[0].name');
		expect(first(await json({}, (raw) => (raw.sessions = 'none'))).path).toBe('sessions');
		expect(first(await json({}, (raw) => (raw.extra = []))).remedy).toMatch(/Remove extra/);
		expect(first(await json({}, (raw) => (raw.version = 99))).message).toContain(`up to version ${DATA_VERSION}`);
	});
	test('a sequence file is no backup, an archive of something else neither, and both say so', () => {
		expect(first(readBackup(strToU8(writeSequenceFile(sequence)))).message).toMatch(/one sequence/);
		expect(first(readBackup(zipSync({ 'notes.txt': strToU8('x') }))).message).toMatch(/holds no backup.json/);
		expect(first(readBackup(strToU8('PK but not really'))).message).toMatch(/cannot be opened/);
	});
});

test('observations as CSV: a line each, readable by any spreadsheet, and no words that would run there', () => {
	const value = '=HYPERLINK("x"), "quoted"';
	const session = {
		...fc.sample(anyStore, { seed: 9, numRuns: 20 }).flatMap((s) => s.session)[0]!,
		before: { takenAt: NOW, entries: [{ observation: 'puffiness', place: 'malar', side: 'left', value: 3 }] },
		after: { takenAt: NOW, entries: [{ observation: 'neck-upper', value: 341.5, retake: 2 }] }
	} as Session;
	const rows = Papa.parse<Record<string, string>>(
		observationsCsv([session], () => value),
		{ header: true }
	).data;
	expect(rows.map((r) => [r.moment, r.observation, r.place, r.side, r.value, r.unit, r.retake])).toEqual([
		['day', 'sleep', '', '', 'over-7', '', ''],
		['before', 'puffiness', 'malar', 'left', '3', '', ''],
		['after', 'neck-upper', '', '', '341.5', 'mm', '2']
	]);
	expect(new Set(rows.map((r) => r.client))).toEqual(new Set([`'${value}`]));
});

test('the JSON Schema is made from the Zod schema: it knows the ids and the limits', () => {
	const text = JSON.stringify(jsonSchemaOf('sequence'));
	for (const word of ['n:submandibular', 'cold-globes', 'soft-tide/sequence', '"additionalProperties":false'])
		expect(text).toContain(word);
	expect(JSON.stringify(jsonSchemaOf('backup'))).toContain('tragus-mouth-corner');
	expect(pointerText(['a/b', 0])).toBe('/a~1b/0');
});
