import { expect, test } from '@playwright/test';
import { beginDemo, drag, expectAccessible, place, saved } from './support';

test('the map answers: names, a drop let go anywhere, a stroke inside one place, keys lead to the offers', async ({
	page
}) => {
	await beginDemo(page, '/compose');
	await page.getByRole('button', { name: 'New sequence' }).click();
	const map = page.getByRole('region', { name: 'Map' });
	const cheek = (await place(page, 'malar').locator('path').boundingBox())!;
	const [x, y] = [cheek.x + cheek.width / 2, cheek.y + cheek.height / 2];
	await page.mouse.move(x, y);
	await expect(map.getByText('Apple of the cheek, client’s left')).toBeVisible();
	// Let go outside of the map: nothing is drawn, and nothing follows the pointer afterwards.
	await page.mouse.down();
	await page.mouse.move(x + 12, y - 4, { steps: 4 });
	await expect(map.getByText(/^Apple of the cheek to/)).toBeVisible();
	await page.mouse.move(900, 60, { steps: 4 });
	await page.mouse.up();
	await page.mouse.move(x, y);
	await expect(map.getByText('Apple of the cheek, client’s left')).toBeVisible();
	// A stroke inside one place, upwards on the nape.
	await page.getByRole('radio', { name: 'Profile' }).click();
	const nape = (await place(page, 'nape').locator('path').boundingBox())!;
	const [nx, ny] = [nape.x + nape.width / 2, nape.y + nape.height * 0.55];
	await page.mouse.move(nx, ny);
	await page.mouse.down();
	await page.mouse.move(nx, ny - 15, { steps: 4 });
	await page.mouse.move(nx, ny - 30, { steps: 4 });
	await page.mouse.up();
	await expect(page.getByRole('heading', { name: /^Nape.*base of the skull/ })).toBeVisible();
	await page.getByRole('button', { name: 'Cancel' }).click();
	await page.getByRole('radio', { name: 'Front' }).click();
	// The count that is shown is the count that is added, also where it was set before.
	await drag(page, 'malar', 'zygoma');
	const first = page.locator('[data-technique]').first();
	await first.click();
	await page.getByLabel('Repeats in reps').fill('12');
	await page.keyboard.press('Enter');
	await drag(page, 'zygoma', 'preauricular');
	await expect(page.locator('[data-technique]').filter({ hasText: '12 ×' }).first()).toBeVisible();
	await page.getByRole('button', { name: 'Cancel' }).click();
	// By keys, at the size of a window at 200 %.
	await page.setViewportSize({ width: 640, height: 400 });
	await page.getByRole('radio', { name: 'Map' }).click();
	await place(page, 'chin').press('Enter');
	await expect(page.locator('[data-technique]').first()).toBeFocused();
	await saved(page);
});

test('lines of words, many at once, findings that say it once and show the length, room by keys', async ({ page }) => {
	await beginDemo(page, '/compose');
	await page.getByRole('button', { name: 'New sequence' }).click();
	await page.getByText('Nothing here yet').waitFor();
	await page.keyboard.press('/');
	const line = page.getByRole('textbox', { name: 'Type a step' });
	const type = async (text: string) => {
		await line.pressSequentially(text, { delay: 4 });
		await page.keyboard.press('Enter');
	};
	await line.waitFor();
	await type('~ Face, may end here');
	await type('drain apple of the cheek > front of the ear, medium, 8 each');
	await type('drain chin > under the jaw, medium, 8-10');
	await type('lift smile lines > cheekbones, 8 to 10, split fingers');
	await expect(page.locator('[data-row]')).toHaveCount(3);
	// Nothing is said of a word that is being typed; what is wrong is said whole once it is over.
	await line.pressSequentially('drain chin > n:subm');
	await expect(page.getByText(/is no place that we know/)).toBeHidden();
	await page.keyboard.press('Escape');
	await page.keyboard.press('Escape');
	await expect(page.getByRole('button', { name: 'drain chin > n:subm' })).toBeVisible();
	await page.keyboard.press('/');
	await expect(line).toHaveText('drain chin > n:subm');
	await page.keyboard.press('Control+A');
	await page.keyboard.press('Delete');
	await page.keyboard.press('Enter');
	// The keys are the page's again.
	await page.locator('[data-row] [data-step-button]').first().click();
	await page.keyboard.press('c');
	await expect(page.getByRole('tab', { name: '2 steps' })).toBeVisible();
	await page.getByRole('tab', { name: /^Findings/ }).click();
	const light = page.locator('[data-rule="fluid-cap"]');
	await expect(light).toHaveCount(1);
	await expect(light).toContainText('steps 1 and 2');
	await light.getByRole('button', { name: 'Lower it' }).click();
	await light.getByRole('button', { name: 'Apply' }).click();
	await expect(light).toHaveCount(0);
	await page.getByRole('button', { name: 'Fix what is safe' }).click();
	const preview = page.getByRole('group', { name: 'What the safe fixes change' });
	await expect(preview).toContainText(/Length \d+:\d\d, then \d+:\d\d/);
	await expectAccessible(page);
	await preview.getByRole('button', { name: 'Cancel' }).click();
	await page.locator('[data-row] [data-step-button]').first().focus();
	await page.keyboard.press('k');
	await expect(page.getByRole('button', { name: 'Unfold the score (K)' })).toBeVisible();
	await page.keyboard.press('Alt+2');
	await expect(page.getByRole('button', { name: 'Fold the score (K)' })).toBeVisible();
	const divider = page.getByRole('separator', { name: 'Width of the map' });
	const before = Number(await divider.getAttribute('aria-valuenow'));
	await divider.press('ArrowLeft');
	await expect(async () => expect(Number(await divider.getAttribute('aria-valuenow'))).toBeLessThan(before)).toPass();
	await page.reload();
	await expect(async () => expect(Number(await divider.getAttribute('aria-valuenow'))).toBeLessThan(before)).toPass();
});
