import { expect, test } from '@playwright/test';
import { begin, beginDemo, place, saved } from './support';

test('a sequence by keyboard alone', async ({ page }) => {
	await begin(page, '/compose');
	await page.getByRole('button', { name: 'New sequence' }).focus();
	await page.keyboard.press('Enter');
	await expect(page.getByText('Nothing here yet')).toBeVisible();
	await page.getByLabel('Map').first().waitFor();

	await page.keyboard.press('a');
	await expect(place(page, 'forehead-medial')).toBeFocused();
	await page.keyboard.press('End');
	await page.keyboard.press('ArrowLeft');
	await page.keyboard.press('Enter');
	await page.locator('[data-technique]').first().focus();
	await page.keyboard.press('Enter');
	await expect(page.locator('[data-step-button]').first()).toBeFocused();

	await page.keyboard.press('+');
	await expect(page.getByLabel('Repeats in reps')).toHaveValue('8');
	await page.keyboard.press('2');
	await expect(page.getByRole('radio', { name: /^2 medium/ })).toBeChecked();
	await page.keyboard.press('s');
	await expect(page.getByRole('button', { name: 'Side: L then R' })).toBeVisible();
	await page.keyboard.press('d');
	await expect(page.locator('[data-row]')).toHaveCount(2);
	await page.keyboard.press('Alt+ArrowDown');
	await page.keyboard.press('Delete');
	await expect(page.locator('[data-row]')).toHaveCount(1);
	await page.keyboard.press('Control+z');
	await expect(page.locator('[data-row]')).toHaveCount(2);
	await page.keyboard.press('Control+Shift+z');
	await expect(page.locator('[data-row]')).toHaveCount(1);
	await saved(page);

	await page.keyboard.press('?');
	await expect(page.getByRole('dialog', { name: 'Keys in Compose' })).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(page.getByRole('dialog')).toBeHidden();
});

test('the score walks by arrows and the clock scrubs; the list and the map follow', async ({ page }) => {
	await beginDemo(page, '/compose/demo-bakers-dawn');
	await page.locator('[data-step="s1"]').focus();
	await page.keyboard.press('ArrowRight');
	await expect(page.locator('[data-row="s2"] [aria-current="step"]')).toHaveCount(1);
	const clock = page.getByRole('slider', { name: 'Moment in the sequence' });
	await clock.focus();
	await page.keyboard.press('End');
	await expect(clock).toHaveAttribute('aria-valuetext', /8:59/);
	await page.keyboard.press('Home');
	for (let i = 0; i < 33; i++) await page.keyboard.press('ArrowRight');
	await expect(page.locator('[data-row="s2"] [aria-current="step"]')).toHaveCount(1);
	await page.getByRole('radio', { name: 'Phase' }).click();
	await expect(page.getByRole('radio', { name: 'Phase' })).toBeChecked();
});

test('at 200 % zoom map, steps and inspector are tabs, and nothing runs off the side', async ({ page }) => {
	await page.setViewportSize({ width: 640, height: 800 });
	await beginDemo(page, '/compose/demo-bakers-dawn');
	await page.getByRole('radio', { name: 'Steps' }).click();
	await expect(page.locator('[data-row="s2"]')).toBeVisible();
	await page.locator('[data-row="s2"] [data-step-button]').click();
	await page.getByRole('group', { name: 'Part of Compose' }).getByRole('radio', { name: 'Step', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Collarbone nodes' })).toBeVisible();
	for (const path of [
		'/',
		'/compose/demo-bakers-dawn',
		'/session',
		'/progress',
		'/clients',
		'/exchange',
		'/settings'
	]) {
		await page.goto(page.url().replace(/(:\d+).*/, `$1${path}`));
		await page.getByRole('navigation', { name: 'Views' }).waitFor();
		await page.getByRole('heading').first().waitFor();
		const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
		expect(over, path).toBeLessThanOrEqual(0);
	}
});
