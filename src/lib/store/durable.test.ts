import 'fake-indexeddb/auto';
import { expect, test, vi } from 'vitest';
import { NOW } from '../core/testing';
import { makeDb } from './db';
import { Repository } from './repository';

test('what nobody can write once more waits for the disk; the place of a stage and a draft do not', async () => {
	const asked: [string[], unknown][] = [];
	const real = IDBDatabase.prototype.transaction;
	const spy = vi.spyOn(IDBDatabase.prototype, 'transaction').mockImplementation(function (
		this: IDBDatabase,
		tables,
		mode,
		options
	) {
		if (mode === 'readwrite') asked.push([[tables].flat() as string[], options?.durability]);
		return real.call(this, tables, mode, options);
	});
	const db = makeDb('durable');
	const repo = new Repository(
		db,
		() => new Date(NOW),
		() => 'new'
	);
	const durabilityOf = async (work: () => Promise<unknown>) => {
		asked.length = 0;
		await work().catch(() => {});
		return [...new Set(asked.map(([, durability]) => durability))];
	};
	expect(await durabilityOf(() => repo.addClient({ id: 'c', name: 'Lamp 14' }))).toEqual(['strict']);
	expect(await durabilityOf(() => repo.saveClient({ id: 'c', revision: 1, updatedAt: NOW, name: 'Lamp' }))).toEqual([
		'strict'
	]);
	expect(await durabilityOf(() => repo.saveSettings({ theme: 'day' }))).not.toContain('strict');
	expect(await durabilityOf(() => repo.logRun('s', { kind: 'go', seconds: 1, atMs: 1 }))).not.toContain('strict');
	spy.mockRestore();
	db.close();
});
