import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, test, vi } from 'vitest';
import { NOW } from '../../core/testing';
import { allKinds, KIND_IDS, kindOf } from '../../core/records/kinds';
import type { StoredRecord } from '../../core/records/record';
import { anyStore } from '../../core/records/testing';
import { everything } from '../backup';
import { tableOf } from '../db';
import type { Repository } from '../repository';
import { databases, readLock } from './lockRow';
import { blind, clearPart, isSealed } from './sealedRow';
import { newKey, sealBytes, wrapKey } from './sealing';
import {
	at,
	eachOnItsOwn,
	fillDemo,
	fresh,
	inOrder,
	locked,
	opened,
	PASS,
	raw,
	ROUNDS,
	rowsOf,
	window
} from './testing';
import { StoreLocked } from './vault';

eachOnItsOwn();

describe('what lies on the disk', () => {
	test('random stores: sealed and opened again they are the same, to the byte', async () => {
		await fc.assert(
			fc.asyncProperty(anyStore, async (rows) => {
				fresh();
				const db = opened();
				for (const kind of allKinds())
					await db
						.table(kind.table)
						.bulkPut((rows as unknown as Record<string, StoredRecord[]>)[kind.id]!.map((r) => kind.schema.parse(r)));
				const before = await raw();
				const { lock, db: seen } = await locked();
				expect(rowsOf(await raw()).every(isSealed)).toBe(true);
				expect(inOrder(await everything(seen))).toEqual(inOrder(before));
				await lock.takeOff(PASS);
				expect(JSON.stringify(await raw())).toBe(JSON.stringify(before));
				expect((await readLock(at.name)).row).toBeNull();
			}),
			{ numRuns: 6 }
		);
	});

	test('of the demo practice no name, no note and no answer is readable; keys are', async () => {
		await fillDemo();
		const before = await raw();
		await locked();
		const text = rowsOf(await raw())
			.map((row) => {
				const { sealed, ...clear } = row as unknown as { sealed: { data: Uint8Array } };
				return JSON.stringify(clear) + Buffer.from(sealed.data).toString('latin1');
			})
			.join('\n');
		for (const client of before.client as unknown as { id: string; name: string; note: string }[]) {
			expect(text).toContain(client.id);
			expect(text).not.toContain(client.name);
			if (client.note) expect(text).not.toContain(client.note);
		}
		expect(text).not.toContain('"zone"');
	});

	test('no two rows are sealed by the same chance: each has a nonce of its own', async () => {
		await fillDemo();
		const before = rowsOf(await raw());
		await locked();
		const nonces = rowsOf(await raw()).map((row) =>
			(row as unknown as { sealed: { iv: Uint8Array } }).sealed.iv.join()
		);
		expect(before.length).toBeGreaterThan(50);
		expect(nonces).toHaveLength(before.length);
		expect(new Set(nonces).size).toBe(nonces.length);
	});

	test('a key in the clear is only what a table is searched by', () => {
		expect(clearPart('clients', { id: 'c', revision: 3, name: 'Lamp', updatedAt: NOW, note: 'n' })).toEqual({
			id: 'c',
			revision: 3,
			updatedAt: NOW
		});
		const session = {
			id: 's',
			clientId: 'c',
			order: 4,
			startedAt: NOW,
			note: 'n',
			sequence: { id: 'q', snapshot: 'h', title: 't' }
		};
		expect(clearPart('sessions', session)).toEqual({
			id: 's',
			clientId: 'c',
			order: 4,
			startedAt: NOW,
			sequence: { id: 'q', snapshot: 'h' }
		});
		// Names that are made of content are written by a key: the same picture has another name in every practice.
		const names = new Uint8Array(32).fill(7);
		const laid = clearPart('sessions', session, names) as { sequence: { id: string; snapshot: string } };
		expect(laid.sequence.id).toBe('q');
		expect(laid.sequence.snapshot).toMatch(/^~[0-9a-f]{64}$/);
		expect(blind(names, laid.sequence.snapshot)).toBe(laid.sequence.snapshot);
		expect(blind(new Uint8Array(32).fill(8), 'h')).not.toBe(blind(names, 'h'));
		expect(clearPart('sessions', { ...session, sequence: null })).not.toHaveProperty('sequence');
	});

	test('two sealed rows cannot change places, and a changed one does not open', async () => {
		await fillDemo();
		const { db } = await locked();
		const disk = opened(undefined, db.name);
		const [a, b] = await disk.table('clients').toArray();
		await disk.table('clients').put({ ...b, id: a.id });
		await expect(db.table('clients').get(a.id)).rejects.toThrow();
		// Neither as another owner's, nor as an earlier or a later one.
		const [run] = await disk.table('sessions').toArray();
		for (const change of [{ clientId: 'demo-odile' }, { revision: 99 }, { order: 1 }, { startedAt: NOW }]) {
			await disk.table('sessions').put({ ...run, ...change });
			await expect(db.table('sessions').get(run.id), JSON.stringify(change)).rejects.toThrow(/cannot be opened/);
		}
		await disk.table('sessions').put(run);
		expect(await db.table('sessions').get(run.id)).toHaveProperty('id', run.id);
		const data = Uint8Array.from(b.sealed.data as Uint8Array);
		data[7]! ^= 1;
		await disk.table('clients').put({ ...b, sealed: { ...b.sealed, data } });
		await expect(db.table('clients').get(b.id)).rejects.toThrow();
	});
});

describe('work on sealed records', () => {
	/** A morning: everything that pages ask of the store and write to it. */
	async function morning(repo: Repository) {
		const [client] = await repo.clients();
		const known = await repo.sequences();
		await repo.saveClient({ ...client!, note: 'Warm hands.' });
		await repo.changeClient(client!.id, { cautions: 'No oil.' });
		// From an older revision: a second version.
		await repo.saveClient({ ...client!, note: 'Cold hands.' });
		await repo.saveSequence({ ...known[0]!.sequence, title: 'Other' });
		await repo.archive(known[1]!.id, true);
		await repo.makeFor(known[1]!.id, client!.id);
		const bin = await repo.removeSequence(known[2]!.id);
		const kept = await repo.keepVersion(known[1]!, 'as it was');
		const last = await repo.lastSessionOf(client!.id);
		const draft = {
			...last!,
			id: 'morning',
			revision: 0,
			order: undefined,
			startedAt: at.now.toISOString(),
			endedAt: null
		};
		await repo.startSession(draft as never, known[0]!.sequence);
		await repo.logRun('morning', { kind: 'go', seconds: 3, atMs: 5 });
		await repo.removeClient((await repo.clients()).at(-1)!.id);
		await repo.saveSettings({ theme: 'evening' });
		return {
			clients: (await repo.clients()).map((c) => [c.name, c.note, c.cautions]),
			sequences: (await repo.sequences()).map((s) => [s.id, s.archived]).sort(),
			visits: [...(await repo.visits())],
			last: [...(await repo.lastVisits())],
			since: (await repo.sessionsSince('2026-01-01T00:00:00.000Z')).map((s) => s.id),
			used: [...(await repo.lastUsed())],
			open: (await repo.openSessions()).map((s) => s.id),
			run: await repo.run('morning'),
			performed: await repo.performed((await repo.session('morning'))!),
			bin: [bin!.sequenceId, (await repo.bin()).length],
			versions: [kept.name, (await repo.versionsOf(known[1]!.id)).length],
			seconds: (await repo.secondVersionsOf(client!.id)).length,
			own: await repo.customLibrary(),
			settings: await repo.settings(),
			counts: await repo.counts()
		};
	}
	/** New ids are of no interest, and are as many here as there. */
	const withoutIds = (value: unknown) => JSON.parse(JSON.stringify(value).replace(/new-\d+/g, 'new')) as unknown;

	test('is the same as on plain ones', async () => {
		await fillDemo();
		const plain = await morning(window().records().repo);
		fresh();
		await fillDemo();
		const { repo } = await locked();
		expect(withoutIds(await morning(repo))).toEqual(withoutIds(plain));
		expect(rowsOf(await raw()).every(isSealed)).toBe(true);
	});

	test('lists follow what is written', async () => {
		await fillDemo();
		const { repo } = await locked();
		const seen: string[][] = [];
		const subscription = Dexie.liveQuery(() => repo.clients()).subscribe((c) => seen.push(c.map((x) => x.note)));
		await vi.waitFor(() => expect(seen.length).toBe(1));
		const [client] = await repo.clients();
		await repo.saveClient({ ...client!, note: 'Warm hands.' });
		await vi.waitFor(() => expect(seen.at(-1)).toContain('Warm hands.'));
		subscription.unsubscribe();
	});

	test('without the key nothing is read, and nothing is written', async () => {
		await fillDemo();
		await locked();
		const { lock, records } = window();
		const before = await raw();
		await lock.look();
		const { repo } = records();
		await expect(repo.clients()).rejects.toThrow(StoreLocked);
		await expect(repo.sequences()).rejects.toThrow(StoreLocked);
		await expect(repo.lastVisits()).rejects.toThrow(StoreLocked);
		await expect(repo.saveSettings({ theme: 'day' })).rejects.toThrow(StoreLocked);
		await expect(repo.wipe()).rejects.toThrow(StoreLocked);
		expect(await raw()).toEqual(before);
		await lock.open(PASS);
		expect((await repo.clients()).length).toBeGreaterThan(3);
	});

	test('a lock of an earlier version opens: its records get a database of their own, in the form of today', async () => {
		const backup = JSON.parse(
			readFileSync(new URL('../../formats/fixtures/backup-8.json', import.meta.url), 'utf8')
		) as Record<string, StoredRecord[]>;
		const old = new Dexie(at.name);
		const stores: Record<string, string> = {};
		for (let version = 1; version <= 8; version++)
			for (const kind of allKinds()) if (kind.indexes[version]) stores[kind.table] = kind.indexes[version]!;
		old.version(8).stores(stores);
		const key = await newKey();
		const wrapped = await wrapKey(key, PASS, ROUNDS);
		for (const table of Object.keys(stores))
			for (const row of backup[table] ?? []) {
				const text = new TextEncoder().encode(JSON.stringify(row));
				const bytes = new Uint8Array([...new Uint8Array(new Uint32Array([text.length]).buffer).reverse(), ...text]);
				const sealed = await sealBytes(key, bytes, `${table} ${row.id}`);
				await old.table(table).put({ ...clearPart(table, { ...row }), id: row.id, sealed });
			}
		old.close();
		const locks = new Dexie('soft-tide-lock');
		locks.version(1).stores({ locks: 'id' });
		const use = { id: at.name, since: NOW, idleMinutes: 10, failed: 0, failedAt: null };
		await locks.table('locks').put({ ...use, state: 'sealed', wrapped });
		locks.close();
		const { lock, records } = window();
		await lock.look();
		await lock.open(PASS);
		expect(lock.unfinished).toBe(false);
		const { db } = records();
		for (const id of KIND_IDS)
			for (const record of await db.table(kindOf(id).table).toArray()) {
				const checked = kindOf(id).schema.safeParse(record);
				expect(checked.success ? [] : checked.error.issues, id).toEqual([]);
			}
		expect(await tableOf(db, 'client').count()).toBe(backup.clients!.length);
		const laid = rowsOf(await raw());
		expect(laid.every((row) => isSealed(row) && row.sealed.form === 2)).toBe(true);
		expect(await databases()).not.toContain(at.name);
	});
});

test('one row that cannot be opened takes no other with it: it is absent from every list, named once, and an error by itself', async () => {
	await fillDemo();
	const told: string[] = [];
	const { repo, db, vault } = await locked();
	vault.ondamaged = ({ table, id }) => told.push(`${table} ${id}`);
	const before = { clients: await repo.clients(), sessions: await repo.sessionsOf('demo-odile') };
	const outside = new Dexie(db.name);
	await outside.open();
	for (const [table, id] of [
		['clients', 'demo-odile'],
		['sessions', before.sessions[1]!.id]
	] as const) {
		const row = (await outside.table(table).get(id)) as { sealed: { data: Uint8Array } };
		const data = row.sealed.data.slice();
		data[20]! ^= 1;
		await outside.table(table).put({ ...row, sealed: { ...row.sealed, data } });
	}
	outside.close();
	const names = (list: readonly { id: string }[]) => list.map((r) => r.id);
	expect(names(await repo.clients())).toEqual(names(before.clients).filter((id) => id !== 'demo-odile'));
	const left = names(before.sessions).filter((id) => id !== before.sessions[1]!.id);
	expect(names(await repo.sessionsOf('demo-odile'))).toEqual(left);
	expect((await tableOf(db, 'session').bulkGet(names(before.sessions))).filter(Boolean)).toHaveLength(left.length);
	const walked: string[] = [];
	await tableOf(db, 'client').each((c) => void walked.push(c.id));
	expect(walked.sort()).toEqual(names(await repo.clients()).sort());
	await expect(repo.client('demo-odile')).rejects.toThrow(/cannot be opened: demo-odile/);
	expect(told.sort()).toEqual(['clients demo-odile', `sessions ${before.sessions[1]!.id}`]);
});
