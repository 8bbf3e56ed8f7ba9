// Two and three windows on the same records, at once and in any order: nothing that was told to be stored is nowhere.
import { chromium } from '@playwright/test';
import { launchOptions } from '../../scripts/setup.mjs';
import { agree } from '../steps.mjs';
import { chance, everything, exportAndRead, faultsIn } from './parts.mjs';

const DAWN = 'demo-bakers-dawn';
const quiet = (work) => work.catch(() => {});

/** What a window does: each returns a text that must be found somewhere in the store afterwards, or null. */
const MOVES = {
	async title(page, base, text) {
		if (!page.url().includes(DAWN)) await page.goto(`${base}/compose/${DAWN}`);
		const field = page.getByLabel('Title of the sequence');
		await field.fill(text, { timeout: 3000 });
		await page.waitForTimeout(650);
		return (await page.getByText(/^Saved /).isVisible()) ? text : null;
	},
	async note(page, base, text) {
		await page.goto(`${base}/clients`);
		await page.getByRole('button', { name: /Odile K\./ }).click({ timeout: 3000 });
		await page.getByLabel('Note', { exact: true }).fill(text);
		await page.waitForTimeout(650);
		return null;
	},
	async visit(page, base, text) {
		await page.goto(`${base}/progress?client=demo-odile`);
		await page.getByRole('link', { name: 'open to complete or correct' }).click({ timeout: 3000 });
		await page.getByLabel('Note for next time').fill(text);
		await page.waitForTimeout(650);
		return null;
	},
	async removeAndBack(page, base) {
		await page.goto(`${base}/compose`);
		await page
			.getByRole('button', { name: /^More for / })
			.first()
			.click({ timeout: 3000 });
		await page.getByRole('menuitem', { name: 'Remove' }).click();
		await quiet(page.getByRole('button', { name: 'Put it back' }).first().click({ timeout: 2000 }));
		return null;
	},
	async settle(page) {
		for (const name of ['Keep both as two sequences', 'Keep it as a new one', 'Go on with the other'])
			await quiet(page.getByRole('button', { name }).first().click({ timeout: 250 }));
		return null;
	}
};

export async function tortureByTabs({ base, seed, until }) {
	const dice = chance(seed);
	const faults = [];
	let [moves, rounds, told] = [0, 0, 0];
	const browser = await chromium.launch(launchOptions());
	try {
		while (Date.now() < until || !rounds) {
			const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
			const pages = [await context.newPage()];
			await pages[0].goto(base);
			await agree(pages[0]);
			for (let i = 0; i < 1 + (rounds % 2); i++) pages.push(await context.newPage());
			for (const page of pages) await page.goto(`${base}/compose/${DAWN}`);
			/** By window: who types on in a field replaces her own words, and nobody else’s. */
			const texts = new Map();
			for (let i = 0; i < 6; i++) {
				const asked = pages.map(async (page, w) => {
					const name = dice.of(Object.keys(MOVES));
					moves++;
					return MOVES[name](page, base, `w${w}-${seed}-${rounds}-${i}`).catch(() => null);
				});
				(await Promise.all(asked)).forEach((text, w) => text && texts.set(w, text));
			}
			const tables = await everything(pages[0]);
			const all = JSON.stringify(tables);
			told += texts.size;
			for (const text of texts.values())
				if (!all.includes(text)) faults.push(`round ${rounds}: ${text} was told to be stored and is nowhere`);
			for (const fault of faultsIn(tables)) faults.push(`round ${rounds}: ${fault}`);
			const wrong = await exportAndRead(pages[0], base);
			if (wrong) faults.push(`round ${rounds}, export: ${wrong}`);
			await context.close();
			rounds++;
		}
	} finally {
		await browser.close();
	}
	return { figures: { rounds, moves, 'texts told to be stored': told }, faults };
}
