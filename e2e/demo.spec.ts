import { expect, test } from '@playwright/test';
import { beginDemo, demoURL, saved, startSession } from './support';

test('the demo practice is there once, in a database of its own, and what is changed stays', async ({ page }) => {
	await beginDemo(page);
	await expect(page.getByRole('heading', { name: 'Odile K.' })).toBeVisible();
	const names = await page.evaluate(async () => (await indexedDB.databases()).map((d) => d.name));
	expect(names).toEqual(['soft-tide-demo']);
	await page.goto(`${demoURL}/clients/demo-odile`);
	await page.getByRole('radio', { name: 'Record' }).click();
	await page.getByLabel('Note', { exact: true }).fill('Came early.');
	await page.keyboard.press('Tab');
	await expect(page.getByText('Saved', { exact: true })).toBeVisible();
	await page.reload();
	await page.getByRole('radio', { name: 'Record' }).click();
	await expect(page.getByLabel('Note', { exact: true })).toHaveValue('Came early.');
	await page.goto(`${demoURL}/settings`);
	await page.getByRole('button', { name: /Start afresh/ }).click();
	await page.getByRole('button', { name: 'Yes, start afresh' }).click();
	await expect(page.getByText('The demo practice is made anew')).toBeVisible();
	await page.goto(`${demoURL}/clients/demo-odile`);
	await page.getByRole('radio', { name: 'Record' }).click();
	await expect(page.getByLabel('Note', { exact: true })).toHaveValue(/Night baker/);
});

test('change over eight weeks: within a session, and since the first visit', async ({ page }) => {
	await beginDemo(page, '/progress?client=demo-odile');
	await expect(page.getByRole('table', { name: /Tape distances/ })).toContainText('Sum of the three');
	await page.getByRole('radio', { name: 'Since the first visit' }).click();
	await page.getByRole('button', { name: /^Session 17,/ }).click();
	const tape = page.getByRole('table', { name: /Tape distances/ });
	await expect(tape).toContainText(/changed|within measuring error/);
	await expect(tape).not.toContainText('not comparable');
	await page.getByRole('button', { name: /^Session 1,/ }).click();
	await expect(page.getByText('This is the first visit')).toBeVisible();
	await expect(tape).toContainText('not comparable');
});

test('inches are shown, the record stays in millimetres', async ({ page }) => {
	await beginDemo(page, '/settings');
	await page.getByRole('radio', { name: 'Inches' }).click();
	await expect(page.getByRole('radio', { name: 'Inches' })).toBeChecked();
	await page.goto(`${demoURL}/progress?client=demo-odile`);
	await expect(page.getByRole('table', { name: /inch/ })).toContainText(/\d\.\d\d to \d\.\d\d/);
});

test('two windows on one sequence: both versions are kept and offered side by side', async ({ page, context }) => {
	await beginDemo(page, '/compose/demo-stone-knuckle');
	const other = await context.newPage();
	await other.goto(`${demoURL}/compose/demo-stone-knuckle`);
	await other.getByLabel('Title of the sequence').waitFor();
	await page.getByLabel('Title of the sequence').fill('Stone, mine');
	await page.keyboard.press('Tab');
	await saved(page);
	await other.getByLabel('Title of the sequence').fill('Stone, yours');
	await other.keyboard.press('Tab');
	const dialog = other.getByRole('alertdialog', { name: 'Two versions of this sequence' });
	await expect(dialog).toContainText('Stone, mine');
	await expect(dialog).toContainText('Stone, yours');
	await dialog.getByRole('button', { name: 'Keep both as two sequences' }).click();
	await expect(dialog).toBeHidden();
	await other.goto(`${demoURL}/compose`);
	await expect(other.getByText('Stone, mine')).toBeVisible();
	await expect(other.getByText('Stone, yours (second version)')).toBeVisible();
});

test('a removed sequence can be put back', async ({ page }) => {
	await beginDemo(page, '/compose');
	await page.getByRole('button', { name: 'More for Rower’s morning' }).click();
	await page.getByRole('menuitem', { name: 'Remove' }).click();
	await expect(page.getByRole('link', { name: /Rower’s morning/ })).toHaveCount(0);
	await page.getByRole('button', { name: 'Put it back' }).click();
	await expect(page.getByRole('link', { name: /Rower’s morning/ }).first()).toBeVisible();
});

test('the printed page carries the caution and every step', async ({ page }) => {
	await beginDemo(page, '/compose/demo-bakers-dawn');
	await page.getByRole('link', { name: 'Print' }).click();
	await expect(page.getByText('Not medical care').first()).toBeVisible();
	await expect(page.getByRole('row')).toHaveCount(1 + 5 + 24);
});

test('what is worked shows on the map, turned for the head of the couch', async ({ page }) => {
	await beginDemo(page, '/compose/demo-bakers-dawn');
	await page.getByLabel(/^Tint by/).click();
	await page.getByRole('option', { name: 'Seconds worked' }).click();
	await expect(page.locator('[data-place="masseter"][data-side="left"]')).toHaveAttribute(
		'aria-label',
		/worked 0:\d\d/
	);
	await page.getByLabel(/^How you stand/).click();
	await page.getByRole('option', { name: 'Head end' }).click();
	const y = async (id: string) => (await page.locator(`[data-place="${id}"][data-side="left"] path`).boundingBox())!.y;
	expect(await y('forehead-medial')).toBeGreaterThan(await y('chin'));
	await page.getByRole('radio', { name: 'Profile' }).click();
	await expect(page.locator('[data-place="postauricular"]').first()).toBeVisible();
});

test('a look today tints the map in Compose, and the session goes on from it', async ({ page }) => {
	await beginDemo(page, '/session');
	await page.locator('[data-place="chin"][data-side="left"]').click();
	await page.getByRole('button', { name: 'Save findings, edit sequence' }).click();
	await page
		.getByRole('link', { name: /Baker’s dawn/ })
		.first()
		.click();
	const chin = page.locator('[data-place="chin"][data-side="left"]');
	await expect(page.getByLabel('Tint by: Fluid at the cursor')).toBeVisible();
	await expect(chin).toHaveAttribute('aria-label', /modelled tide 25 of 100/);
	await page.getByLabel('Tint by: Fluid at the cursor').click();
	await page.getByRole('option', { name: 'Puffiness, today' }).click();
	await expect(chin).toHaveAttribute('aria-label', /puffiness 1, slight/);
	await startSession(page);
	await expect(page.getByText('1 place felt')).toBeVisible();
});
