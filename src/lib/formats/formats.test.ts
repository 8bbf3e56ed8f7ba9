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
		['a newer version', '{"format":"soft-tide/sequence","version":99}', /up to version 4/]
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
	test('any text and any damaged file is answered, never thrown', async () => {
		await fc.assert(
			fc.asyncProperty(fc.oneof(fc.string(), fc.json()), async (text) => {
				expect(readSequenceFile(text).ok).toBe(false);
				expect((await readBackup(strToU8(text))).ok).toBe(false);
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
		return await readBackup(strToU8(JSON.stringify(raw)));
	};
	const [sample] = fc.sample(anyStore, { numRuns: 1, seed: 5 });
	const store = sample!;
	test('round trip of random full stores, every kind of record and every byte', async () => {
		await fc.assert(
			fc.asyncProperty(anyStore, async (rows) => {
				const read = await readBackup(await bytes(rows));
				expect(read).toEqual({
					ok: true,
					value: { exportedAt: NOW, rows, leftOut: [], bytesOf: expect.any(Function) }
				});
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
		expect(first(await readBackup(uncheckedBackup({ session: [session] })))).toMatchObject({
			path: 'sessions[0].clientId',
			message: expect.stringContaining('nobody')
		});
		expect(first(await readBackup(uncheckedBackup({ client: [client!, client!] }))).path).toBe('clients[1].id');
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
		expect(await readBackup(file)).toMatchObject({ ok: false, mendable: true });
		const mended = await readBackup(file, { mend: true });
		if (!mended.ok) throw new Error('not mended');
		const { rows, leftOut } = mended.value;
		expect(rows.client).toHaveLength(full.client.length - 1);
		expect(rows.session.every((s) => s.clientId !== owner)).toBe(true);
		expect(rows['run-entry'].every((r) => rows.session.some((s) => s.id === r.sessionId))).toBe(true);
		const gone = full.session.length - rows.session.length + full['run-entry'].length - rows['run-entry'].length;
		expect(leftOut.filter((p) => !p.path.startsWith('secondVersions')).length).toBe(1 + gone);
		expect(await readBackup(await bytes(rows))).toMatchObject({ ok: true });
		expect(await readBackup(strToU8('{"format":"soft-tide/backup","version":99}'))).toMatchObject({ mendable: false });
	});
	test('no backup is written that its own import refuses: what would be is left out and named', async () => {
		const full = fc.sample(anyStore, { seed: 4, numRuns: 40 }).find((s) => s['run-entry'].length)!;
		const written: Uint8Array[] = [];
		const orphaned = { ...full, client: full.client.map((c, i) => (i ? c : { ...c, id: 'another' })) };
		const leftOut = await writeBackup(NOW, pagesOf(orphaned), (chunk) => written.push(chunk));
		expect(leftOut.length).toBeGreaterThan(0);
		expect(leftOut[0]!.message).toMatch(/no client of the file has this id/);
		const read = await readBackup(Uint8Array.from(written.flatMap((c) => [...c])));
		expect(read).toMatchObject({ ok: true, value: { leftOut: [] } });
	});
	test('a binary file that is missing or damaged is named, and nothing is read', async () => {
		const files = unzipSync(await bytes({ client: store.client, binary: store.binary }));
		const name = Object.keys(files).find((n) => n.startsWith('files/'))!;
		const without = zipSync(Object.fromEntries(Object.entries(files).filter(([n]) => n !== name)));
		expect(first(await readBackup(without)).message).toContain(name);
		expect(first(await readBackup(zipSync({ ...files, [name]: new Uint8Array([1, 2]) }))).message).toMatch(/damaged/);
	});
	test('one flipped bit anywhere is found; what it touches is named, and the rest can be brought in', async () => {
		const small = { client: store.client, binary: store.binary.slice(0, 1), session: store.session.slice(0, 2) };
		const whole = await bytes(small);
		expect((await readBackup(whole)).ok).toBe(true);
		const flipped = (bit: number) => {
			const other = whole.slice();
			other[bit >> 3]! ^= 1 << (bit & 7);
			return other;
		};
		await fc.assert(
			fc.asyncProperty(fc.nat(whole.length * 8 - 1), async (bit) => {
				expect((await readBackup(flipped(bit))).ok).toBe(false);
			}),
			{ numRuns: 300 }
		);
		// In a part of the archive that holds no record: said, and mended without losing one.
		const mended = await readBackup(flipped(8 * (whole.length - 3)), { mend: true });
		expect(mended.ok && mended.value.leftOut[0]!.message).toMatch(/at least one bit/);
		expect(mended.ok && mended.value.rows.client).toEqual(store.client);
	});
	test('an archive that is encrypted, holds what no backup holds, or one file twice, is refused by name', async () => {
		const files = unzipSync(await bytes({ client: store.client }));
		const foreign = zipSync({ ...files, 'extra.txt': strToU8('x') });
		expect(first(await readBackup(foreign)).message).toBe('The archive holds extra.txt, which is no part of a backup.');
		const twice = zipSync({ ...files, 'files/a': strToU8('x'), 'files/b': strToU8('y') });
		const text = Buffer.from(twice).toString('latin1').replaceAll('files/b', 'files/a');
		expect(first(await readBackup(Buffer.from(text, 'latin1'))).message).toBe('The archive holds files/a twice.');
		const marked = zipSync({ 'backup.json': files['backup.json']! });
		// The bit of encryption, in the entry and in the list at the end.
		const at = Buffer.from(marked).indexOf(Buffer.from([0x50, 0x4b, 1, 2]));
		for (const place of [6, at + 8]) marked[place]! |= 1;
		expect(first(await readBackup(marked)).message).toBe('backup.json is encrypted.');
	});
	test('pictures are not held: each is read when it is checked, and once more when it is written', async () => {
		const read = await readBackup(await bytes({ client: store.client, binary: store.binary }), { letGo: true });
		if (!read.ok) throw new Error(JSON.stringify(read.problems));
		expect(read.value.rows.binary.every((b) => b.bytes.length === 0)).toBe(true);
		for (const { id, bytes: were } of store.binary) expect(await read.value.bytesOf(id)).toEqual(were);
	});
	test('more records than an import reads are not written: the rest is named', async () => {
		const settings = { ...store.settings[0]!, id: 'settings' as const };
		const leftOut = await writeBackup(NOW, pagesOf({ settings: [settings, settings] }), () => {});
		expect(leftOut[0]!.message).toMatch(/at most 1 settings are read/);
	});
	test('a snapshot whose content was changed no longer fits its id', async () => {
		const kept = fc.sample(anyStore, { seed: 4, numRuns: 30 }).find((s) => s.snapshot.length)!;
		const snapshot = kept.snapshot.map((s) => ({ ...s, sequence: { ...s.sequence, title: 'Changed' } }));
		expect(first(await readBackup(uncheckedBackup({ ...kept, snapshot }))).message).toMatch(/not the hash/);
	});
	test('a wrong field of a record is named by its place, a wrong list too', async () => {
		const wrong = await json({ client: store.client }, (raw) => ((raw.clients as { name: string }[])[0]!.name = ''));
		expect(first(wrong).path).toBe('clients[0].name');
		expect(first(await json({}, (raw) => (raw.sessions = 'none'))).path).toBe('sessions');
		expect(first(await json({}, (raw) => (raw.extra = []))).remedy).toMatch(/Remove extra/);
		expect(first(await json({}, (raw) => (raw.version = 99))).message).toContain(`up to version ${DATA_VERSION}`);
	});
	test('a sequence file is no backup, an archive of something else neither, and both say so', async () => {
		expect(first(await readBackup(strToU8(writeSequenceFile(sequence)))).message).toMatch(/one sequence/);
		expect(first(await readBackup(zipSync({ 'notes.txt': strToU8('x') }))).message).toMatch(/holds no backup.json/);
		expect(first(await readBackup(strToU8('PK but not really'))).message).toMatch(/cannot be opened/);
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
