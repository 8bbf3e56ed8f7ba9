// Reads that fail at random under every page that shows a client: no word of another client is ever on the screen.
import { chromium } from '@playwright/test';
import { launchOptions } from '../../scripts/setup.mjs';
import { agree } from '../steps.mjs';
import { chance } from './parts.mjs';

const CLIENTS = { 'demo-odile': 'Odile K.', 'demo-radu': 'Radu P.', 'demo-svea': 'Svea L.', 'demo-l14': 'Lamp 14' };
const PAGES = [
	(id) => `/progress?client=${id}`,
	(id) => `/progress/weeks?client=${id}`,
	(id) => `/progress/photos?client=${id}`,
	(id) => `/progress/report?client=${id}`,
	(id) => `/progress/camera?client=${id}`,
	(id) => `/session?client=${id}`,
	(id) => `/clients/${id}`
];
const TABLES = ['sessions', 'clients', 'photos', 'snapshots', 'sequences'];

/** In the page: each read of these tables fails by chance. */
function injected(tables) {
	// It outlives the page: what is opened next is read on the same broken disk.
	const share = () => Number(sessionStorage.getItem('faulty-reads') ?? 0);
	for (const kind of [IDBObjectStore, IDBIndex])
		for (const method of ['get', 'getAll', 'openCursor', 'getAllKeys']) {
			const real = kind.prototype[method];
			kind.prototype[method] = function (...args) {
				const name = (this.objectStore ?? this).name;
				if (tables.includes(name) && Math.random() < share()) throw new DOMException('broken', 'ReadError');
				return real.apply(this, args);
			};
		}
}

export async function tortureReads({ base, seed, until }) {
	const dice = chance(seed);
	const faults = [];
	let [looks, failed, healed] = [0, 0, 0];
	const browser = await chromium.launch(launchOptions());
	try {
		const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
		const page = await context.newPage();
		await page.addInitScript(injected, TABLES);
		await page.goto(base);
		await agree(page);
		// Each session, and each note, says of whom it is.
		await page.evaluate(
			(db) =>
				new Promise((done) => {
					const opening = indexedDB.open(db);
					opening.onsuccess = () => {
						const tx = opening.result.transaction(['sessions', 'clients'], 'readwrite');
						for (const table of ['sessions', 'clients']) {
							const store = tx.objectStore(table);
							store.getAll().onsuccess = ({ target }) => {
								for (const row of target.result) {
									const mark = `ofclient-${row.clientId ?? row.id}`;
									store.put({ ...row, note: mark, ...(table === 'sessions' ? { sideEffects: mark, told: mark } : {}) });
								}
							};
						}
						tx.oncomplete = () => (opening.result.close(), done());
					};
				}),
			'soft-tide-demo'
		);
		const ids = Object.keys(CLIENTS);
		let id = dice.of(ids);
		await page.goto(base + dice.of(PAGES)(id));
		while (Date.now() < until || looks < 60) {
			await page.evaluate((share) => sessionStorage.setItem('faulty-reads', share), String(dice.of([0, 0.3, 0.7, 1])));
			const next = dice.of(ids);
			const chooser = page.getByRole('main').getByLabel('Client', { exact: true });
			if (dice.below(3) && (await chooser.isVisible().catch(() => false))) {
				await chooser.click();
				await page.getByRole('option', { name: CLIENTS[next] }).click();
			} else await page.goto(base + dice.of(PAGES)(next));
			id = next;
			// Looked at again and again while it is read: at no moment is there a word of another one.
			for (let n = 0; n < 12; n++) {
				looks++;
				const text = await page.evaluate(() => document.querySelector('main')?.innerText ?? '');
				const others = ids.filter((other) => other !== id && text.includes(`ofclient-${other}`));
				if (others.length) faults.push(`${page.url()}: words of ${others.join()} under ${id}`);
				if (text.includes('could not be read')) failed++;
				await page.waitForTimeout(20);
			}
			await page.evaluate(() => sessionStorage.setItem('faulty-reads', '0'));
			const again = page.getByRole('button', { name: 'Try again' }).first();
			if (await again.isVisible().catch(() => false)) {
				await again.click();
				await again.waitFor({ state: 'hidden' });
				healed++;
			}
		}
	} finally {
		await browser.close();
	}
	return { figures: { looks, 'said that it could not be read': failed, healed }, faults };
}
