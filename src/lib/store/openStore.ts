import { DB_NAME, DEMO_DB_NAME, makeDb } from './db';
import { Repository } from './repository';

const DEMO_MADE = 'soft-tide-demo-made';

/** The repository of this browser: the user's own database, or the demo practice in one of its own. */
export function openRepository(demo: boolean): Repository {
	return new Repository(
		makeDb(demo ? DEMO_DB_NAME : DB_NAME),
		() => new Date(),
		() => crypto.randomUUID()
	);
}

export async function fillWithDemo(repo: Repository): Promise<void> {
	// Fetched only by those who want it.
	const [{ makeDemo }, { applyImport, planImport }] = await Promise.all([
		import('../demo/demo'),
		import('./importPlan')
	]);
	const plan = await planImport(repo.db, makeDemo(new Date()));
	await applyImport(repo.db, plan, repo.stamp());
	await repo.saveSettings({ currentClientId: 'demo-odile' });
	localStorage.setItem(DEMO_MADE, new Date().toISOString());
}

/** Makes the demo practice once; what the user then changes or wipes stays as it is. */
export async function makeDemoOnce(repo: Repository): Promise<void> {
	if (!localStorage.getItem(DEMO_MADE)) await fillWithDemo(repo);
}
