import { expect, test, type Page } from '@playwright/test';
import { changePassphrase, prepareLock, unlock } from './steps.mjs';
import { beginDemo, DEMO_DB, demoURL, expectAccessible, recordsIn } from './support';

const PASS = 'linseed oil by candlelight';
const OTHER = 'four green apples';
async function shut(page: Page) {
	await expect(page.getByRole('heading', { name: 'The records are locked' })).toBeVisible();
	// Until the window is opened anew there is no field.
	await expect(page.getByLabel('Passphrase', { exact: true })).toBeVisible();
}
/** Databases in which records of the demo practice lie. */
const laid = (page: Page) =>
	page.evaluate(
		async (base) => (await indexedDB.databases()).map((d) => d.name ?? '').filter((name) => name.startsWith(base)),
		DEMO_DB
	);
/** What can be read of a table without the key. */
const readable = async (page: Page, table: string) => {
	const names = await laid(page);
	expect(names).toHaveLength(1);
	return JSON.stringify(await recordsIn(page, names[0]!, table));
};
const here = (page: Page) => expect(page.getByRole('heading', { name: 'Lamp 14' })).toBeVisible();

test('a lock: read what it means, tried on a copy, put on, locked and opened, changed and taken off', async ({
	page,
	context
}) => {
	await beginDemo(page, '/settings/lock');
	const before = await recordsIn(page, DEMO_DB, 'clients');
	expect(JSON.stringify(before)).toContain('Lamp 14');
	await expectAccessible(page);
	await page.getByLabel('I have read it').click();
	await page.getByLabel('Passphrase, 10 signs or more').fill('short');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('alert')).toContainText('5 signs; use at least 10');
	await page.getByLabel('Passphrase, 10 signs or more').fill(PASS);
	await page.getByLabel('The same again').fill(PASS);
	await page.keyboard.press('Enter');
	await page.getByLabel('Passphrase of the copy').fill('not this one');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('alert')).toContainText('does not open the records');
	await page.getByLabel('Passphrase of the copy').fill(PASS);
	await page.keyboard.press('Enter');
	await expect(page.getByText(/records came back exactly as they were/)).toBeVisible();
	expect(JSON.stringify(await recordsIn(page, DEMO_DB, 'clients'))).toContain('Lamp 14');
	await page.getByRole('button', { name: 'Lock the records' }).click();
	// They are taken into a database of their own, and the window is opened anew.
	await expect(page.getByRole('heading', { name: 'The records are moving' })).toBeVisible();
	await shut(page);
	await unlock(page, PASS);
	await expect(page.getByText('every record in this browser')).toBeVisible();
	// What lies on the disk says nothing of anybody, in no table; the pages say what they said.
	for (const table of ['clients', 'sessions', 'sequences', 'settings'])
		expect(await readable(page, table)).not.toMatch(/Lamp|Odile|note|grade/);
	expect(await recordsIn(page, (await laid(page))[0]!, 'clients')).toHaveLength(before.length);
	await expectAccessible(page);

	// A second window is opened by the first; a touch of the keys locks both, wherever one is.
	await page.goto(`${demoURL}/clients/demo-l14`);
	await shut(page);
	await unlock(page, PASS);
	await here(page);
	const second = await context.newPage();
	await second.goto(`${demoURL}/clients`);
	await expect(second.getByRole('link', { name: 'Lamp 14' })).toBeVisible();
	await page.keyboard.press('Alt+Shift+L');
	await shut(page);
	await shut(second);
	await expect(page.getByText('Lamp 14')).toBeHidden();
	await second.close();

	// A wrong passphrase: said, counted, and slower each time, after a reload too. The right one opens what was there.
	await expectAccessible(page);
	await unlock(page, 'not this one');
	await expect(page.getByRole('alert')).toContainText('Tries without success: 1');
	await expect(page.getByRole('button', { name: 'Open', exact: true })).toBeVisible();
	await unlock(page, 'nor this one');
	await expect(page.getByRole('alert')).toContainText('Tries without success: 2');
	await page.reload();
	await expect(page.getByRole('button', { name: 'Open', exact: true })).toBeVisible();
	await unlock(page, 'nor that one');
	await expect(page.getByRole('alert')).toContainText('Tries without success: 3');
	await expect(page.getByRole('button', { name: 'Open', exact: true })).toBeVisible();
	await unlock(page, PASS);
	await here(page);

	// What is written under the lock is there after it, and a backup holds all of it, readable.
	await page.goto(`${demoURL}/exchange`);
	await shut(page);
	await unlock(page, PASS);
	const download = page.waitForEvent('download');
	await page
		.getByRole('button', { name: /^Export/ })
		.first()
		.click();
	expect((await (await download).createReadStream()).readable).toBe(true);

	// Idle: it says so, and locks.
	await page.getByRole('link', { name: 'Settings' }).click();
	await page.getByRole('link', { name: 'Sealed by your passphrase' }).click();
	await page.getByRole('radio', { name: '2 min' }).click();
	await changePassphrase(page, PASS, OTHER);
	await shut(page);
	await unlock(page, PASS);
	await expect(page.getByRole('alert')).toContainText('does not open the records');
	await page.clock.install();
	await page.reload();
	await expect(page.getByRole('button', { name: 'Open', exact: true })).toBeVisible();
	await unlock(page, OTHER);
	await expect(page.getByText('every record in this browser')).toBeVisible();
	await page.clock.runFor(102_000);
	await expect(page.getByText(/The records lock in \d+ s/)).toBeVisible();
	await page.clock.runFor(25_000);
	await shut(page);
	await page.clock.resume();

	await unlock(page, OTHER);
	await page.getByLabel('Passphrase to take it off').fill(OTHER);
	await page.getByRole('button', { name: 'Take it off' }).click();
	await expect(page.getByText('Whoever can use this browser can read the records')).toBeVisible();
	expect(await laid(page)).toEqual([DEMO_DB]);
	expect(await recordsIn(page, DEMO_DB, 'clients')).toEqual(before);
	await page.goto(`${demoURL}/clients/demo-l14`);
	await here(page);
});

test('a passphrase that is forgotten: it is said what that means, and one begins anew', async ({ page }) => {
	await beginDemo(page, '/settings/lock');
	await prepareLock(page, PASS);
	await page.getByRole('button', { name: 'Lock the records' }).click();
	await shut(page);
	await page.getByText('I have forgotten it').click();
	await expect(page.getByText(/Nobody can open these records without the passphrase/)).toBeVisible();
	const all = page.getByRole('button', { name: 'Delete all' });
	await expect(all).toBeDisabled();
	await page.getByLabel(/Type “delete all”/).fill('delete all');
	await all.click();
	// The demo practice is made anew: everything before it is gone, and so is the lock.
	await page.getByRole('button', { name: 'I have read this' }).click();
	await expect(page.getByRole('heading', { name: 'Lock', exact: true })).toBeVisible();
	await expect(page.getByLabel('I have read it')).toBeVisible();
});
