import { expect, test } from '@playwright/test';
import { writeLine } from './steps.mjs';
import { beginDemo, demoURL, expectAccessible, saved } from './support';

test('a sequence as text beside the steps: both ways live, troubles by line and column, one undo', async ({ page }) => {
	await beginDemo(page, '/compose/demo-three-minutes');
	await page.getByRole('tab', { name: 'Text' }).click();
	const text = page.getByRole('textbox', { name: 'The sequence as text' });
	await expect(text).toContainText('soft-tide notation 2');
	await expect(page.getByText('In step with the list: 12 steps.')).toBeVisible();

	await writeLine(page, 'drain chin > n:submandibular, index hook, 8 each side');
	await expect(page.getByText('In step with the list: 13 steps.')).toBeVisible();
	await expect(page.locator('[data-row]').last()).toContainText('index hook');

	await page.keyboard.press('Control+End');
	await page.keyboard.type('\nrub it');
	await expect(page.getByText('One line not understood; the steps stay as they were.')).toBeVisible();
	await expect(page.getByRole('button', { name: /^Line \d+, column 1: “rub” was not expected here/ })).toBeVisible();
	await expect(page.locator('[data-row]')).toHaveCount(13);
	await expectAccessible(page);

	// Changed elsewhere meanwhile: the text is not overwritten, and can be written anew.
	await page.getByLabel('Title of the sequence').fill('Renamed');
	await page.keyboard.press('Enter');
	await expect(page.getByText('The steps were changed elsewhere meanwhile.')).toBeVisible();
	await page.getByRole('button', { name: 'write it anew from the steps' }).click();
	await expect(text).toContainText('title Renamed');
	await expect(page.getByText('In step with the list: 13 steps.')).toBeVisible();
	await saved(page);
	await page.getByRole('button', { name: /^Undo: Call it Renamed/ }).click();
	await page.getByRole('button', { name: /^Undo: Edit the text/ }).click();
	await expect(page.locator('[data-row]')).toHaveCount(12);
});

test('the line of words completes, previews, says what is wrong, and takes moves of the library', async ({ page }) => {
	await beginDemo(page, '/compose/demo-three-minutes');
	await page.keyboard.press('/');
	const line = page.getByRole('textbox', { name: 'Type a step' });
	await expect(line).toBeFocused();
	await page.keyboard.type('drain chin > jaw');
	await expect(page.getByRole('option', { name: /jawline/ }).first()).toBeVisible();
	await page.keyboard.press('Tab');
	await page.keyboard.type(', ');
	await expect(page.getByRole('option', { name: /^as / }).first()).toBeVisible();
	await expectAccessible(page);
	await page.keyboard.type('feather');
	await page.keyboard.press('Control+Enter');
	await expect(page.getByText(/Column \d+: “feather” is no part of a step that we know/)).toBeVisible();
	await expect(page.locator('p[role="alert"]')).toHaveCount(0);
	await expect(page.locator('[data-row]')).toHaveCount(12);
	await page.keyboard.press('Control+a');
	await page.keyboard.type('drain, as jaw-scoop');
	await expect(page.getByText(/^Enter adds/)).toBeVisible();
	await page.keyboard.press('Control+Enter');
	await expect(page.locator('[data-row]')).toHaveCount(13);
});

test('steps go as text through the clipboard into another sequence and back out of a mail; what is no step is refused', async ({
	page,
	context
}) => {
	await context.grantPermissions(['clipboard-read', 'clipboard-write'], { origin: demoURL });
	await beginDemo(page, '/compose/demo-bakers-dawn');
	await page.locator('[data-row="s2"] [data-step-button]').click();
	await page.locator('[data-row="s4"] [data-step-button]').click({ modifiers: ['Shift'] });
	await expect(page.getByRole('heading', { name: /^3 steps, / })).toBeVisible();
	await page.keyboard.press('Control+c');
	await expect
		.poll(() => page.evaluate(() => navigator.clipboard.readText()))
		.toMatch(/^soft-tide notation 2\nopen collarbone nodes/);

	await page.goto(`${demoURL}/compose/demo-three-minutes`);
	await page.locator('[data-row]').first().locator('[data-step-button]').click();
	await page.keyboard.press('Control+v');
	await expect(page.locator('[data-row]')).toHaveCount(15);
	await expect(page.getByRole('button', { name: 'Undo: Paste 3 steps' })).toBeVisible();
	await page.keyboard.press('Control+x');
	await expect(page.locator('[data-row]')).toHaveCount(12);

	await page.evaluate(() => navigator.clipboard.writeText('soft-tide notation 7\ndrain chin'));
	await page.keyboard.press('Control+v');
	await expect(page.locator('p[role="alert"]')).toContainText('written by a newer version of Soft Tide');
	await page.evaluate(() => navigator.clipboard.writeText('See you at nine'));
	await page.keyboard.press('Control+v');
	await expect(page.locator('p[role="alert"]')).toContainText(
		'This could not be added, nothing was changed. Line 1, column 1'
	);
	await expect(page.locator('[data-row]')).toHaveCount(12);
});
