import type { Session } from '../core/records/session';
import type { SomeRows } from '../formats/backup/backupSchema';
import { clearOutside, recallOutside, rememberOutside, type OutsideName } from './outside';
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

/**
 * Empties the browser of all that is ours: the database, its lock, a copy on which one was tried, what lies beside it, and what
 * of it is left in the files of the browser.
 * @param keep what stays known, such as that the demo was made
 * @returns whether the window has to be opened anew: its database is gone
 */
export async function deleteAll(
	repo: Repository,
	lock: Lock,
	keep: readonly OutsideName[] = ['demoMade']
): Promise<boolean> {
	const locked = lock.row !== null || lock.lost;
	if (locked) {
		repo.db.close({ disableAutoOpen: true });
		await lock.forget();
	} else {
		await repo.wipe();
		await lock.tidy();
		await lock.writeOver();
	}
	clearOutside(keep);
	return locked;
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

/** Takes what earlier versions noted of interrupted stages into the database, and out of the browser's other store. */
export async function takeOverStages(repo: Repository): Promise<void> {
	const keys = stageKeys();
	if (!keys.length) return;
	const { takeOverStage } = await import('./oldStage');
	for (const key of keys) await takeOverStage(repo, key, key.slice(STAGE_KEY.length));
}

/** Names of what an earlier version noted; none where the browser lets nobody look. */
function stageKeys(): string[] {
	try {
		return Object.keys(localStorage).filter((k) => k.startsWith(STAGE_KEY));
	} catch {
		return [];
	}
}
