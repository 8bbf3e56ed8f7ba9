import { expect, test } from '@playwright/test';
import { sequenceOf, step } from '../src/lib/core/testing';
import { writeSequenceFile } from '../src/lib/formats/sequenceFile';
import { closeSession, openNewestSession } from './steps.mjs';
import { begin, beginDemo, DEMO_DB, demoURL, offer, saved, tamper } from './support';

const DAWN = '/compose/demo-bakers-dawn';

test('a stored step that asks for a day of hands opens, is said and can be removed; a history that does not fit is dropped', async ({
	page
}) => {
	await beginDemo(page, DAWN);
	await page.locator('[data-row]').first().waitFor();
	const step0 = 'sequence.phases.1.blocks.0.steps.0';
	await tamper(page, DEMO_DB, 'sequences', 'demo-bakers-dawn', [
		[`${step0}.lanes`, 12],
		[`${step0}.reverse`, true],
		[`${step0}.side`, { alternate: true, first: 'left' }],
		[`${step0}.dose`, { kind: 'reps', min: 1, target: 1000, max: 1000 }],
		[`${step0}.end`, { kind: 'none' }],
		[`${step0}.stations`, { places: ['n:terminus'], hold: { kind: 'breaths', amount: 100 } }],
		[`${step0}.places`, ['n:terminus']],
		[
			'history',
			{ past: [{ label: 'Odd', patch: [], inverse: [{ op: 'replace', path: ['id'], value: 'x' }] }], future: [] }
		]
	]);
	await page.reload();
	await expect(page.getByText(/1 edit of the history did not fit this sequence and was dropped/)).toBeVisible();
	await page.getByRole('tab', { name: /Findings/ }).click();
	const said = page.getByText(/asks for more than can be computed/).first();
	await expect(said).toBeVisible();
	await page.getByRole('button', { name: 'Lower it' }).first().click();
	await page.getByRole('group', { name: 'What the fix changes' }).getByRole('button', { name: 'Apply' }).click();
	await expect(said).toBeHidden();
	await page.keyboard.press('Control+z');
	await expect(said).toBeVisible();
	await page.locator('[data-row]').nth(0).click();
	await page.keyboard.press('Delete');
	await saved(page);
	// The same as a file is not let in, with the limit.
	await page.goto(`${demoURL}/exchange`);
	const [dose, stations] = [
		{ kind: 'reps' as const, min: 1, target: 1000, max: 1000 },
		{ places: ['chin' as const], hold: { kind: 'breaths' as const, amount: 100 } }
	];
	await offer(page, writeSequenceFile(sequenceOf([step('a', ['chin', 'jawline'], { dose, stations, lanes: 12 })])));
	await expect(page.getByRole('alert')).toContainText('at most 4,000 separate stretches');
});

test('a session that cannot be closed for want of room stays, says why, keeps the text, and closes when there is room', async ({
	page
}) => {
	await page.addInitScript(() => {
		const put = IDBObjectStore.prototype.put;
		IDBObjectStore.prototype.put = function (...args) {
			if ((window as { full?: boolean }).full && this.name === 'sessions')
				throw new DOMException('full', 'QuotaExceededError');
			return put.apply(this, args as Parameters<typeof put>);
		};
	});
	await beginDemo(page, '/progress?client=demo-odile');
	await openNewestSession(page);
	const note = page.getByLabel('Note for next time');
	await note.waitFor();
	await page.evaluate(() => ((window as { full?: boolean }).full = true));
	await note.fill('Less oil next time');
	await closeSession(page);
	await expect(page.getByRole('alert')).toContainText(/full.*Export a backup/);
	await expect(note).toHaveValue('Less oil next time');
	await page.evaluate(() => ((window as { full?: boolean }).full = false));
	await closeSession(page);
	await expect(page).toHaveURL(/progress/);
	await expect(page.getByRole('alert')).toHaveCount(0);
	await expect(page.getByText('Less oil next time')).toBeVisible();
});

test('without a store every page says so in its own place, with the cause; nothing is counted as none', async ({
	browser,
	baseURL
}) => {
	const causes = {
		'The settings of this browser forbid': () => {
			IDBFactory.prototype.open = () => {
				throw new DOMException('no', 'SecurityError');
			};
		},
		'offers no place for records': () => {
			Object.defineProperty(window, 'indexedDB', { value: undefined });
		}
	};
	for (const [words, fault] of Object.entries(causes)) {
		const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
		const page = await context.newPage();
		await page.addInitScript(fault);
		for (const path of ['/', '/clients', '/compose', '/progress', '/exchange', '/settings']) {
			await page.goto(baseURL + path);
			await expect(page.getByRole('heading', { name: /the records cannot be read/ })).toBeVisible();
			await expect(page.getByRole('main')).toContainText(words);
			await expect(page.getByRole('main')).not.toContainText(/\b0 (clients|sessions|sequences)|Nobody yet/);
		}
		await page.goto(`${baseURL}/library`);
		await expect(page.locator('[data-move]').first()).toBeVisible();
		await context.close();
	}
});

test('ids from files are safe in addresses', async ({ page }) => {
	await begin(page, '/exchange');
	for (const id of ['a/b', '..', '%', '~x?y#z']) {
		await page.goto('/exchange');
		await offer(
			page,
			writeSequenceFile({ ...sequenceOf([step('a', ['chin', 'jawline'])]), id, title: `Called ${id}` })
		);
		await page.getByRole('button', { name: 'Import' }).click();
		await expect(page.getByText('1 record is in.')).toBeVisible();
		await page.goto('/compose');
		await page
			.getByRole('link', { name: `Called ${id}` })
			.first()
			.click();
		await expect(page.getByLabel('Title of the sequence')).toHaveValue(`Called ${id}`);
		await page.reload();
		await expect(page.getByLabel('Title of the sequence')).toHaveValue(`Called ${id}`);
		await page.getByRole('link', { name: 'Print' }).click();
		await expect(page.getByRole('heading', { name: `Called ${id}` })).toBeVisible();
	}
});
