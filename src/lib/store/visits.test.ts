import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { emptyAssessment } from '../core/assess/assessment';
import { NOW } from '../core/testing';
import { makeDb } from './db';
import { Repository } from './repository';

const CLIENTS = ['a', 'b', 'c'] as const;
const DAY_MS = 86_400_000;
/** A session: whose, how many days ago, and whether it was interrupted. */
const someSession = fc.record({
	clientId: fc.constantFrom(...CLIENTS.slice(0, 2)),
	daysAgo: fc.integer({ min: 0, max: 60 }),
	interrupted: fc.boolean()
});
let n = 0;

test('how often each was here and when last, whatever was interrupted: as counted by hand', async () => {
	const held = fc.asyncProperty(fc.array(someSession, { maxLength: 7 }), async (sessions) => {
		const db = makeDb(`visits-${n++}`);
		const repo = new Repository(
			db,
			() => new Date(NOW),
			() => `id-${n++}`
		);
		for (const id of CLIENTS) await repo.saveClient({ id, revision: 0, updatedAt: NOW, name: id });
		for (const [i, { clientId, daysAgo, interrupted }] of sessions.entries()) {
			const startedAt = new Date(Date.parse(NOW) - daysAgo * DAY_MS).toISOString();
			const endedAt = interrupted ? null : startedAt;
			const before = emptyAssessment(NOW);
			await repo.saveSession({ id: `s${i}`, revision: 0, updatedAt: NOW, clientId, startedAt, endedAt, before });
			if (interrupted) await repo.logRun(`s${i}`, { kind: 'go', seconds: 3, atMs: 5 });
		}
		const [visits, lasts] = [await repo.visits(), await repo.lastVisits()];
		for (const id of CLIENTS) {
			const whole = (await repo.sessionsOf(id)).filter((s) => !sessions[Number(s.id.slice(1))]!.interrupted);
			const last = whole.at(-1);
			expect(visits.get(id)).toEqual(
				last && { count: whole.length, lastOrder: last.order, lastAt: new Date(last.order).toISOString() }
			);
			expect(lasts.get(id)).toEqual(last);
			expect(await repo.lastVisitOf(id)).toEqual(last);
		}
		await db.delete();
	});
	await fc.assert(held, { numRuns: 25 });
});
