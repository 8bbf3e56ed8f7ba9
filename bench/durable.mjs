// What strict durability costs: a record of 4 kB stored again and again, waiting for the disk and not.
import { chromium } from '@playwright/test';
import { createServer } from 'node:http';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { launchOptions } from '../scripts/setup.mjs';

const SAVES = 150;
const server = createServer((_, answer) => answer.setHeader('content-type', 'text/html').end('<p>empty')).listen(0);
const directory = mkdtempSync(join(tmpdir(), 'soft-tide-durable-'));
const context = await chromium.launchPersistentContext(directory, launchOptions());
const page = await context.newPage();
await page.goto(`http://127.0.0.1:${server.address().port}/`);
const times = await page.evaluate(async (saves) => {
	const opening = indexedDB.open('durable', 1);
	opening.onupgradeneeded = () => opening.result.createObjectStore('rows', { keyPath: 'id' });
	const db = await new Promise((done) => (opening.onsuccess = () => done(opening.result)));
	const save = (id, durability) =>
		new Promise((done) => {
			const tx = db.transaction('rows', 'readwrite', { durability });
			tx.objectStore('rows').put({ id, text: 'x'.repeat(4000) });
			tx.oncomplete = done;
		});
	const all = { relaxed: [], strict: [] };
	// By turns, so that whatever else goes on meets both.
	for (let i = 0; i < saves; i++)
		for (const durability of Object.keys(all)) {
			const from = performance.now();
			await save(`${durability}${i}`, durability);
			all[durability].push(performance.now() - from);
		}
	return all;
}, SAVES);
for (const [durability, list] of Object.entries(times)) {
	const sorted = list.sort((a, b) => a - b);
	const at = (share) => `${sorted[Math.floor(share * (sorted.length - 1))].toFixed(1)} ms`;
	console.log(`${durability}: middle ${at(0.5)}, 95 of 100 within ${at(0.95)}, longest ${at(1)}`);
}
await context.close();
server.close();
rmSync(directory, { recursive: true, force: true });
