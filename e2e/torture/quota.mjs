// The disk is full at the n-th write, for every n: it is said, nothing is half written, and the next save goes through.
import { chromium } from '@playwright/test';
import { launchOptions } from '../../scripts/setup.mjs';
import { ACTIONS, Model } from './actions.mjs';
import { agree } from '../steps.mjs';
import { chance, everything, faultsIn } from './parts.mjs';

/** What is done while one write fails; without leaving the page by address, so that the counter lives. */
const SCENARIO = ['note', 'title', 'keep', 'medium', 'working', 'afterSession'];

/** How long an action may take before it counts as one that could not be stored, ms. */
const PATIENCE_MS = 7000;

/** Counts writes over all pages of a window, and lets one of them fail. */
function failing(n) {
	// What is said may be well again a moment later: it is noted when it is there.
	setInterval(() => {
		for (const alert of document.querySelectorAll('[role="alert"]'))
			if (/is full/.test(alert.textContent)) sessionStorage.setItem('said', '1');
	}, 30);
	const writes = () => Number(sessionStorage.getItem('writes') ?? 0);
	for (const name of ['put', 'add']) {
		const real = IDBObjectStore.prototype[name];
		IDBObjectStore.prototype[name] = function (...args) {
			if (sessionStorage.getItem('armed')) {
				sessionStorage.setItem('writes', String(writes() + 1));
				if (writes() === n) throw new DOMException('no room', 'QuotaExceededError');
			}
			return real.apply(this, args);
		};
	}
}

async function round(browser, base, n, faults) {
	const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
	const page = await context.newPage();
	await page.addInitScript(failing, n);
	await page.goto(base);
	await agree(page);
	await page.evaluate(() => sessionStorage.setItem('armed', '1'));
	const model = new Model();
	for (const [i, name] of SCENARIO.entries()) {
		page.setDefaultTimeout(PATIENCE_MS);
		const went = await ACTIONS[name](page, base, model, `q${n}-${i}`, chance(n)).then(
			() => true,
			() => false
		);
		// What could not be stored is said, and done once more it goes through.
		if (went) continue;
		page.setDefaultTimeout(4 * PATIENCE_MS);
		await ACTIONS[name](page, base, model, `q${n}-${i}-again`, chance(n)).catch((e) =>
			faults.push(`write ${n}, ${name}: ${String(e).split('\n')[0]}`)
		);
	}
	const said = await page.evaluate(() => sessionStorage.getItem('said') === '1');
	const tables = await everything(page);
	const writes = await page.evaluate(() => Number(sessionStorage.getItem('writes')));
	for (const lost of model.lost(tables)) faults.push(`write ${n}, lost ${lost}`);
	for (const fault of faultsIn(tables)) faults.push(`write ${n}, ${fault}`);
	if (n > 0 && n <= writes && !said) faults.push(`write ${n} failed in silence`);
	await context.close();
	return { writes, said };
}

export async function tortureByQuota({ base, until }) {
	const faults = [];
	const browser = await chromium.launch(launchOptions());
	const tried = { total: 0, failed: 0 };
	try {
		tried.total = (await round(browser, base, 0, faults)).writes;
		while (tried.failed < tried.total && (Date.now() < until || !tried.failed))
			await round(browser, base, ++tried.failed, faults);
	} finally {
		await browser.close();
	}
	return { figures: { 'writes of the scenario': tried.total, 'of them failed once each': tried.failed }, faults };
}
