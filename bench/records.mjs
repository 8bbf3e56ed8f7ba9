// Measures a full practice in a real Chromium: 200 clients and 5,000 sessions of 24 steps. Lists, one client's Progress,
// export and import; then the same lists under a lock. Run `npm run bench:records`; the figures go into docs/performance.md.
import { chromium } from '@playwright/test';
import { launchOptions, serveDemo } from '../scripts/setup.mjs';

const CLIENTS = 200;
const SESSIONS = 5000;
const { base, stop } = await serveDemo();
const browser = await chromium.launch(launchOptions());

async function open() {
	const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, acceptDownloads: true });
	const page = await context.newPage();
	await page.addInitScript(() => {
		window.longTasks = [];
		new PerformanceObserver((list) => window.longTasks.push(...list.getEntries().map((e) => e.duration))).observe({
			type: 'longtask',
			buffered: true
		});
	});
	await page.goto(`${base}/settings`);
	await page.getByRole('button', { name: 'I have read this' }).click();
	return page;
}
/** The longest task of the page's thread since the last question, ms. */
const longest = (page) => page.evaluate(() => Math.max(0, ...window.longTasks.splice(0)));

/** The demo's clients and sessions, again and again, with sessions spread over two years. */
const fill = (page) =>
	page.evaluate(
		async ({ clients, sessions }) => {
			const opening = indexedDB.open('soft-tide-demo');
			await new Promise((done) => (opening.onsuccess = done));
			const all = (table) =>
				new Promise((done) => {
					const asked = opening.result.transaction(table).objectStore(table).getAll();
					asked.onsuccess = () => done(asked.result);
				});
			const [client] = await all('clients');
			const known = (await all('sessions')).filter((s) => s.sequence.steps >= 20);
			const [settings] = await all('settings');
			const tx = opening.result.transaction(['clients', 'sessions', 'settings'], 'readwrite');
			tx.objectStore('settings').put({ ...settings, currentClientId: 'c3' });
			for (let i = 0; i < clients; i++)
				tx.objectStore('clients').put({ ...client, id: `c${i}`, name: `Client ${String(i).padStart(3, '0')}` });
			const now = Date.now();
			for (let i = 0; i < sessions; i++) {
				const startedAt = new Date(now - (i / sessions) * 730 * 86_400_000).toISOString();
				tx.objectStore('sessions').put({
					...known[i % known.length],
					id: `s${i}`,
					clientId: `c${i % clients}`,
					startedAt
				});
			}
			await new Promise((done) => (tx.oncomplete = done));
			opening.result.close();
		},
		{ clients: CLIENTS, sessions: SESSIONS }
	);

/** From the click to the data on the page, ms: the middle of five. */
async function timed(page, link, selector) {
	const times = [];
	let task = 0;
	for (let i = 0; i < 5; i++) {
		await page.locator('nav a[href="/settings"]').click();
		await page.locator('#about').waitFor();
		await page.waitForTimeout(400);
		await longest(page);
		times.push(
			await page.evaluate(
				async ({ link, selector }) => {
					const from = performance.now();
					document.querySelector(`nav a[href="${link}"]`).click();
					while (!document.querySelector(selector)) await new Promise((done) => requestAnimationFrame(done));
					return performance.now() - from;
				},
				{ link, selector }
			)
		);
		await page.waitForTimeout(400);
		task = Math.max(task, await longest(page));
	}
	times.sort((a, b) => a - b);
	return `${times[2].toFixed(0)} ms (longest task ${task.toFixed(0)} ms)`;
}

async function lists(page) {
	console.log('Today   ', await timed(page, '/', 'section[aria-label="Others"] li:nth-child(150) .water'));
	console.log('Clients ', await timed(page, '/clients', '[aria-label="Client 000"] li, main li:nth-child(150)'));
	console.log('Progress', await timed(page, '/progress', '[aria-label="Sessions"] button:nth-child(20)'));
}

/** Puts a lock on as a user does. */
async function lock(page) {
	const words = 'linseed oil by candlelight';
	await page.goto(`${base}/settings/lock`);
	await page.getByLabel('I have read it').click();
	await page.getByLabel('Passphrase, 10 signs or more').fill(words);
	await page.getByLabel('The same again').fill(words);
	await page.getByRole('button', { name: 'Try it on a copy' }).click();
	await page.getByLabel('Passphrase of the copy').fill(words);
	await page.getByRole('button', { name: 'Open the copy' }).click();
	const button = page.getByRole('button', { name: 'Lock the records' });
	await button.waitFor({ timeout: 300_000 });
	let from = Date.now();
	await button.click();
	await page.getByText('every record in this browser').waitFor({ timeout: 300_000 });
	console.log('locking ', `${Date.now() - from} ms`);
	await page.reload();
	await page.getByLabel('Passphrase', { exact: true }).fill(words);
	from = Date.now();
	await page.getByRole('button', { name: 'Open', exact: true }).click();
	await page.getByText('every record in this browser').waitFor();
	console.log('opening ', `${Date.now() - from} ms`);
}

try {
	const page = await open();
	await fill(page);
	await page.reload();
	await page.locator('#about').waitFor();
	await lists(page);
	await page.goto(`${base}/exchange`);
	await page.getByText(`${CLIENTS + 4} clients`).waitFor();
	await longest(page);
	let from = Date.now();
	const waiting = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Export all' }).click();
	const download = await waiting;
	const path = await download.path();
	console.log('export  ', `${Date.now() - from} ms (longest task ${(await longest(page)).toFixed(0)} ms)`);
	const other = await open();
	await other.goto(`${base}/exchange`);
	await longest(other);
	from = Date.now();
	await other.locator('input[type=file]').setInputFiles(path);
	await other.getByRole('button', { name: 'Import' }).click({ timeout: 120_000 });
	const read = Date.now() - from;
	await other.getByText('records are in').waitFor({ timeout: 120_000 });
	console.log(
		'import  ',
		`${Date.now() - from} ms, of it ${read} ms to the preview (longest task ${(await longest(other)).toFixed(0)} ms)`
	);
	await lock(page);
	await lists(page);
} finally {
	await browser.close();
	stop();
}
