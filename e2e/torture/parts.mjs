// What the parts of the torture share: a seeded chance, the built server, a browser that can be killed, the database as it lies.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { launchOptions } from '../../scripts/setup.mjs';
import { agree } from '../steps.mjs';

/** A chance that is the same for the same seed (mulberry32). */
export function chance(seed) {
	let a = seed >>> 0;
	const next = () => {
		a = (a + 0x6d2b79f5) | 0;
		let t = Math.imul(a ^ (a >>> 15), 1 | a);
		t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
		return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
	};
	const below = (n) => Math.floor(next() * n);
	return { next, below, of: (list) => list[below(list.length)] };
}

/** A Chromium with a directory of its own, which a kill leaves behind as a power cut would. */
export async function browserWithPast() {
	const directory = mkdtempSync(join(tmpdir(), 'soft-tide-torture-'));
	const open = async () => {
		const context = await chromium.launchPersistentContext(directory, {
			...launchOptions(),
			viewport: { width: 1280, height: 800 }
		});
		return { context, page: context.pages()[0] ?? (await context.newPage()) };
	};
	/** Ends every process of this browser at once. */
	const kill = async (context) => {
		const closed = new Promise((done) => context.once('close', done));
		await new Promise((done) => {
			const killer = spawn('pkill', ['-KILL', '-f', directory], { stdio: 'ignore' });
			killer.on('exit', done);
			killer.on('error', done);
		});
		await Promise.race([closed, new Promise((done) => setTimeout(done, 3000))]);
	};
	/** What a killed browser still holds may take a moment; what cannot be taken away is left to the system. */
	const forget = () => {
		try {
			rmSync(directory, { recursive: true, force: true, maxRetries: 10, retryDelay: 300 });
		} catch {
			// It lies where temporary files do.
		}
	};
	return { directory, open, kill, forget };
}

/** All records as they lie in the database, by table; bytes as their length and SHA-256. */
export const everything = (page, name = 'soft-tide-demo') =>
	page.evaluate(async (db) => {
		const told = async (value) => {
			if (value instanceof Uint8Array) {
				const digest = new Uint8Array(await crypto.subtle.digest('SHA-256', value));
				return `${value.length} bytes ${Array.from(digest, (b) => b.toString(16).padStart(2, '0')).join('')}`;
			}
			if (Array.isArray(value)) return Promise.all(value.map(told));
			if (typeof value !== 'object' || value === null) return value;
			const entries = Object.keys(value)
				.sort()
				.map(async (key) => [key, await told(value[key])]);
			return Object.fromEntries(await Promise.all(entries));
		};
		const tables = await new Promise((done, fail) => {
			const opening = indexedDB.open(db);
			opening.onerror = () => fail(opening.error);
			opening.onsuccess = () => {
				const names = [...opening.result.objectStoreNames];
				const tx = opening.result.transaction(names);
				const asked = names.map((n) => tx.objectStore(n).getAll());
				tx.oncomplete = () => {
					opening.result.close();
					done(Object.fromEntries(names.map((n, i) => [n, asked[i].result])));
				};
			};
		});
		return told(tables);
	}, name);

/** What is wrong with a store: a record without what it belongs to, a session whose sequence is not there, a log with gaps. */
export function faultsIn(tables) {
	const ids = Object.fromEntries(Object.entries(tables).map(([name, rows]) => [name, new Set(rows.map((r) => r.id))]));
	const faults = [];
	for (const s of tables.sessions) {
		if (!ids.clients.has(s.clientId)) faults.push(`session ${s.id} without client ${s.clientId}`);
		if (s.sequence && !ids.snapshots.has(s.sequence.snapshot)) faults.push(`session ${s.id} without its sequence`);
	}
	for (const r of tables.runs) if (!ids.sessions.has(r.sessionId)) faults.push(`line ${r.id} without session`);
	for (const id of new Set(tables.runs.map((r) => r.sessionId))) {
		const log = tables.runs.filter((r) => r.sessionId === id).map((r) => r.n);
		if (log.sort((a, b) => a - b).some((n, i) => n !== i)) faults.push(`log of ${id} has a gap`);
	}
	for (const s of tables.sequences) if (s.id !== s.sequence.id) faults.push(`sequence ${s.id} is not itself`);
	return faults;
}

/** Exports everything. Returns where the file lies. */
export async function exportAll(page, base) {
	await page.goto(`${base}/exchange`);
	await page.getByText(/^In this browser/).waitFor();
	const waiting = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Export all' }).click();
	return (await waiting).path();
}

/** What belongs to one browser, and is in no backup. */
const OF_THIS_BROWSER = ['locks', 'settings'];

/**
 * Exports everything and brings it into a browser that has nothing: every table is the same there, digest by digest, the bytes of pictures
 * with it. Returns what is wrong, or an empty text.
 * @param empty address of a server without the demo practice
 */
export async function restoreElsewhere(page, base, empty) {
	const file = await exportAll(page, base);
	const here = await everything(page);
	const browser = await chromium.launch(launchOptions());
	try {
		const other = await browser.newPage();
		await other.goto(`${empty}/exchange`);
		await agree(other);
		await other.locator('input[type=file]').setInputFiles(file);
		const preview = other.getByRole('region', { name: 'What the file would do' });
		await preview.or(other.getByRole('alert')).first().waitFor();
		if (!(await preview.isVisible())) return `refused: ${await other.getByRole('alert').innerText()}`;
		await preview.getByRole('button', { name: /^Import/ }).click();
		await other.getByText(/records? (is|are) in\./).waitFor();
		const there = await everything(other, 'soft-tide');
		const digest = (rows = []) =>
			createHash('sha256')
				.update(JSON.stringify(rows.toSorted((a, b) => (a.id < b.id ? -1 : 1))))
				.digest('hex');
		const differ = Object.keys(here).filter(
			(t) => !OF_THIS_BROWSER.includes(t) && digest(here[t]) !== digest(there[t])
		);
		return differ.map((t) => `${t}: ${here[t].length} here, ${there[t]?.length} there, not the same`).join('; ');
	} finally {
		await browser.close();
	}
}

/** Exports everything, and reads the file again: what is exported can be imported. Returns what is wrong, or an empty text. */
export async function exportAndRead(page, base) {
	const path = await exportAll(page, base);
	await page.locator('input[type=file]').setInputFiles(path);
	const preview = page.getByRole('region', { name: 'What the file would do' });
	await preview.or(page.getByRole('alert')).first().waitFor();
	if (!(await preview.isVisible())) return `refused: ${await page.getByRole('alert').innerText()}`;
	return (await preview.getByRole('button', { name: 'Nothing to import' }).isVisible())
		? ''
		: 'it is not the same as what is here';
}
