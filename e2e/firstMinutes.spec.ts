import { expect, test } from '@playwright/test';
import { closeSession } from './steps.mjs';
import { beginDemo, counting, drag, place, saved, startSession } from './support';

test('the first five minutes, as the README tells them', async ({ page }) => {
	// 1
	await beginDemo(page);
	await expect(page.getByRole('region', { name: 'Next' })).toContainText('Odile K.');
	await expect(page.getByRole('button', { name: 'Show me around' })).toBeVisible();
	// 2
	const nav = page.getByRole('navigation', { name: 'Views' });
	await nav.getByRole('link', { name: 'Compose' }).click();
	await page.getByRole('link', { name: /Baker’s dawn, light eyes/ }).click();
	await page.locator('[data-row="s8"] [data-step-button]').click();
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('ArrowUp');
	await page.keyboard.press('2');
	await expect(
		page.locator('[data-row="s8"]').getByTitle('Caution').or(page.locator('[data-row="s8"] svg').last())
	).toBeVisible();
	await page.getByRole('tab', { name: /^Findings/ }).click();
	await page.getByRole('button', { name: 'Lower it' }).first().click();
	await expect(page.getByRole('group', { name: 'What the fix changes' })).toContainText(
		'pressure light (1), was medium (2)'
	);
	await page.getByRole('button', { name: 'Apply' }).click();
	await expect(page.getByRole('button', { name: 'Lower it' })).toHaveCount(0);
	await page.keyboard.press('Control+z');
	await expect(page.getByRole('button', { name: 'Lower it' })).toHaveCount(1);
	// 3
	await nav.getByRole('link', { name: 'Compose' }).click();
	await page.getByRole('button', { name: 'New sequence' }).click();
	await place(page, 'n:terminus').locator('circle').click();
	await page.getByRole('button', { name: /Open by pumping/ }).click();
	await drag(page, 'lower-eyelid', 'preauricular');
	await page.getByRole('button', { name: /Ring finger stroke/ }).click();
	await page.keyboard.press('/');
	const line = page.getByRole('textbox', { name: 'Type a step' });
	await line.waitFor();
	await line.pressSequentially('drain chin > under the jaw, index hook, light, 8 each', { delay: 5 });
	await page.keyboard.press('Enter');
	await expect(page.locator('[data-row]')).toHaveCount(3);
	await page.keyboard.press('Enter');
	await page.keyboard.press('r');
	await expect(page.getByRole('button', { name: 'Halt (R)' })).toBeVisible();
	await page.keyboard.press('r');
	await page.getByRole('tab', { name: 'Text' }).click();
	await expect(page.getByRole('textbox', { name: 'The sequence as text' })).toContainText('index hook');
	await saved(page);
	// 4
	await page.locator('[data-row] [data-step-button]').first().click();
	await page.keyboard.press('k');
	await page.keyboard.press('Alt+1');
	const clock = page.getByRole('slider', { name: 'Moment in the sequence' });
	for (let i = 0; i < 6; i++) await clock.press('ArrowRight');
	await expect(page.getByText('Where it went')).toBeVisible();
	// 5
	await startSession(page);
	const grade = page.getByRole('button', { name: /^Lower eyelid, client’s left: / });
	await place(page, 'lower-eyelid').click();
	await expect(grade).toHaveAccessibleName(/: 1, slight/);
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).waitFor();
	await page.keyboard.press('Space');
	await expect(page.getByRole('button', { name: /^Pause/ }).first()).toBeVisible();
	await page.keyboard.press('ArrowRight');
	// 6
	await page.getByRole('button', { name: /^One more/ }).click();
	await counting(page);
	await page.getByRole('button', { name: /^Pause space/ }).click();
	await page.getByRole('button', { name: /^End here/ }).click();
	await expect(page.getByRole('heading', { name: 'And now' })).toBeVisible();
	await closeSession(page);
	await expect(page.getByRole('heading', { name: /Odile K\./ }).first()).toBeVisible();
	// 7
	await nav.getByRole('link', { name: 'Library' }).click();
	await page.getByRole('searchbox', { name: 'Find a move' }).fill('puffy eyes');
	await page.getByRole('radio', { name: 'List' }).click();
	await expect(page.locator('[data-move-row]').first()).toContainText(/eye|lid/i);
	await page.getByRole('link', { name: 'Sequences', exact: true }).click();
	await expect(page.getByRole('button', { name: /^Start a copy of/ }).first()).toBeVisible();
	// 8
	await nav.getByRole('link', { name: 'Exchange' }).click();
	const file = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Export all' }).click();
	expect((await file).suggestedFilename()).toMatch(/^soft-tide-.*\.zip$/);
});
