import { z } from 'zod';
import type { Session } from '../core/records/session';
import type { SomeRows } from '../formats/backup/backupSchema';
import type { RunEvent } from '../core/records/runEntry';
import { clearOutside, recallOutside, rememberOutside } from './outside';
import { DB_NAME, DEMO_DB_NAME, makeDb, type OnUpgrade } from './db';
import type { Lock } from './lock/lock';
import type { Vault } from './lock/vault';
import { Repository } from './repository';

/** The database of this browser: the user's own, or one for the demo practice. */
export const databaseOf = (demo: boolean): string => (demo ? DEMO_DB_NAME : DB_NAME);

/**
 * The repository of this browser.
 * @param vault what is known of its lock
 * @param onupgrade hears how far an older store is being brought up to date
 */
export function openRepository(demo: boolean, vault: Vault, onupgrade?: OnUpgrade): Repository {
	return new Repository(
		makeDb(databaseOf(demo), onupgrade, vault),
		() => new Date(),
		() => crypto.randomUUID()
	);
}

/** Empties the browser of all that is ours: the database, and what lies beside it. That the demo was made stays known. */
export async function wipeAll(repo: Repository, lock: Lock): Promise<void> {
	await repo.wipe();
	if (lock.row) await lock.forget();
	clearOutside(['demoMade']);
}

/** Deletes what cannot be opened any more, with its lock, so that one can begin anew. */
export async function beginAnew(repo: Repository, lock: Lock): Promise<void> {
	repo.db.close();
	await repo.db.delete();
	await lock.forget();
	clearOutside([]);
}

export async function fillWithDemo(repo: Repository): Promise<void> {
	// Fetched only by those who want it.
	const [{ makeDemo }, { applyImport, planImport }] = await Promise.all([
		import('../demo/demo'),
		import('./importPlan')
	]);
	const rows = makeDemo(new Date());
	const plan = await planImport(repo.db, { ...rows, ...(await photosOf(rows.session)) });
	await applyImport(repo.db, plan, repo.stamp());
	await repo.saveSettings({ currentClientId: 'demo-odile' });
	rememberOutside('demoMade', new Date().toISOString());
}

/** The photographs of the demo; where their pictures cannot be fetched, it does without. */
async function photosOf(sessions: readonly Session[]): Promise<Pick<SomeRows, 'photo' | 'binary'>> {
	const { demoPhotoRows } = await import('../demo/photoRows');
	try {
		return await demoPhotoRows(sessions, async (address) => {
			const answer = await fetch(address);
			if (!answer.ok) throw new Error(`${address} is not there`);
			return new Uint8Array(await answer.arrayBuffer());
		});
	} catch {
		return {};
	}
}

/** Makes the demo practice once; what the user then changes or wipes stays as it is. */
export async function makeDemoOnce(repo: Repository): Promise<void> {
	if (!recallOutside('demoMade')) await fillWithDemo(repo);
}

/** Earlier versions noted the place of a stage outside of the database, under this name and the session's id. */
const STAGE_KEY = 'soft-tide-stage-';
const OldStageSchema = z.object({
	seconds: z.number().min(0),
	haltedSeconds: z.number().min(0).default(0),
	played: z.array(z.object({ from: z.number().min(0), to: z.number().min(0) })).default([])
});

/** The log that says of an old stage what was noted of it. */
function logOf({ seconds, played, haltedSeconds }: z.infer<typeof OldStageSchema>, atMs: number): RunEvent[] {
	const events = played.flatMap(({ from, to }, i): RunEvent[] => [
		{ kind: 'jump', seconds: from, from: i ? played[i - 1]!.to : 0, atMs },
		// All of its halt lies before the last stretch: only the sum was known.
		{ kind: 'go', seconds: from, atMs: atMs + (i && i === played.length - 1 ? 1000 * haltedSeconds : 0) },
		{ kind: 'pause', seconds: to, atMs }
	]);
	return [...events, { kind: 'jump', seconds, from: played.at(-1)?.to ?? 0, atMs }];
}

/** Takes what earlier versions noted of interrupted stages into the database, and out of the browser's other store. */
export async function takeOverStages(repo: Repository): Promise<void> {
	for (const key of stageKeys()) {
		const id = key.slice(STAGE_KEY.length);
		const old = OldStageSchema.safeParse(parsed(localStorage.getItem(key)));
		const session = await repo.session(id);
		if (old.success && session && session.endedAt === null)
			for (const event of logOf(old.data, Date.parse(session.updatedAt))) await repo.logRun(id, event);
		localStorage.removeItem(key);
	}
}

/** Names of what an earlier version noted; none where the browser lets nobody look. */
function stageKeys(): string[] {
	try {
		return Object.keys(localStorage).filter((k) => k.startsWith(STAGE_KEY));
	} catch {
		return [];
	}
}

function parsed(text: string | null): unknown {
	try {
		return JSON.parse(text ?? '');
	} catch {
		return null;
	}
}
