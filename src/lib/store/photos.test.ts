import 'fake-indexeddb/auto';
import { afterEach, expect, test } from 'vitest';
import { NOW } from '../core/testing';
import { readBackup } from '../formats/backup/readBackup';
import { backupOf } from '../formats/backup/writeBackup';
import { everything } from './backup';
import { makeDb, type SoftTideDb } from './db';
import { applyImport, planImport } from './importPlan';
import type { NewPhoto, PictureFile } from './photos';
import { Repository } from './repository';

let db: SoftTideDb;
let n = 0;
function repository(): Repository {
	db = makeDb(`photos-${n++}`);
	return new Repository(
		db,
		() => new Date(NOW),
		() => `id-${n++}`
	);
}
afterEach(() => db.delete());

const picture = (byte: number): PictureFile => ({ type: 'image/jpeg', bytes: new Uint8Array([byte, 2, 3]) });
const taken = (change: Partial<NewPhoto> = {}): NewPhoto => ({
	clientId: 'c',
	sessionId: null,
	when: 'before',
	view: 'front',
	takenAt: NOW,
	source: 'file',
	widthPx: 600,
	heightPx: 800,
	points: {},
	suggested: {},
	truth: null,
	scale: { kind: 'none' },
	distanceMm: null,
	note: '',
	...change
});
const client = { id: 'c', revision: 0, updatedAt: NOW, name: 'Bo' };

test('a photograph is kept with its files, goes with them, and goes with its client', async () => {
	const repo = repository();
	await repo.saveClient(client);
	const later = await repo.photos.add(taken({ takenAt: '2026-12-01T08:00:00.000Z' }), picture(1), picture(2));
	const first = await repo.photos.add(taken(), picture(1), picture(3));
	expect((await repo.photos.of('c')).map((p) => p.id)).toEqual([first.id, later.id]);
	expect(later.fileId).toBe(first.fileId);
	expect((await repo.photos.file(first.thumbId))?.bytes).toEqual(picture(3).bytes);

	await repo.photos.remove(first.id);
	expect(await repo.photos.file(first.thumbId)).toBeUndefined();
	// The other one has the same picture still.
	expect(await repo.photos.file(later.fileId)).toBeDefined();

	await repo.removeClient('c');
	expect(await db.table('photos').count()).toBe(0);
	expect(await db.table('binaries').count()).toBe(0);
});

test('points that are placed are saved; a save that cannot be leaves what was there', async () => {
	const repo = repository();
	await repo.saveClient(client);
	const photo = await repo.photos.add(taken(), picture(1), picture(2));
	const { record } = await repo.photos.save({ ...photo, points: { exL: [10, 20] } });
	expect(record.revision).toBe(2);
	await expect(repo.photos.save({ ...record, points: { exL: [1e9, 0] } })).rejects.toThrow(/exL/);
	expect((await repo.photos.get(photo.id))?.points).toEqual({ exL: [10, 20] });
});

test('nothing of a photograph without its client is stored', async () => {
	const repo = repository();
	await expect(repo.photos.add(taken(), picture(1), picture(2))).rejects.toThrow();
	expect(await db.table('binaries').count()).toBe(0);
});

test('a backup holds pictures and points, and reads as the same', async () => {
	const repo = repository();
	await repo.saveClient(client);
	await repo.photos.add(taken({ points: { prn: [1.5, 2] } }), picture(1), picture(2));
	const rows = await everything(db);
	const read = await readBackup(await backupOf(NOW, rows));
	expect(read.ok && read.value.rows.photo).toEqual(rows.photo);
	expect(read.ok && read.value.rows.binary).toEqual(rows.binary);
});

test('an import whose files cannot all be read leaves none of them, and nothing else', async () => {
	const repo = repository();
	await repo.saveClient(client);
	for (const n of [1, 2, 3, 4, 5]) await repo.photos.add(taken(), picture(10 + n), picture(20 + n));
	const read = await readBackup(await backupOf(NOW, await everything(db)), { letGo: true });
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	await db.delete();
	await db.open();
	const { rows, bytesOf } = read.value;
	let asked = 0;
	// The first page of files is written before the one that cannot be read.
	const broken = (id: string) => (++asked > 9 ? Promise.reject(new Error('damaged')) : bytesOf(id));
	const stamp = { now: NOW, newId: () => 'new' };
	await expect(applyImport(db, await planImport(db, rows, () => {}, broken), stamp)).rejects.toThrow('damaged');
	expect(asked).toBe(10);
	for (const table of ['binaries', 'photos', 'clients']) expect(await db.table(table).count(), table).toBe(0);
	await applyImport(db, await planImport(db, rows, () => {}, bytesOf), stamp);
	expect((await everything(db)).binary!.every((b) => b.bytes.length > 0)).toBe(true);
	expect(await db.table('binaries').count()).toBe(10);
});
