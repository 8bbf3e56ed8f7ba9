import { expect, test } from '@playwright/test';
import { begin, beginDemo, choose, counting, demoURL, place, saved } from './support';

test.use({ hasTouch: true, viewport: { width: 834, height: 1112 } });

test('by touch on a tablet: two taps make a stroke, tabs part the page, undo takes it back', async ({ page }) => {
	await begin(page, '/compose');
	await page.getByRole('button', { name: 'New sequence' }).tap();
	await place(page, 'lower-eyelid').tap();
	await expect(page.getByText('Choose a move, or tap a second place')).toBeVisible();
	await page.getByRole('radio', { name: 'Map' }).tap();
	await place(page, 'n:preauricular').tap();
	await expect(page.getByText('The path follows the drainage')).toBeVisible();
	await choose(page, 'ring-finger-stroke');
	await page.getByRole('radio', { name: 'Steps' }).tap();
	await expect(page.locator('[data-row]')).toHaveCount(1);
	await saved(page);
	await page.getByRole('button', { name: /^Undo: Add Lower eyelid/ }).tap();
	await expect(page.locator('[data-row]')).toHaveCount(0);
});

test('grading and the stage have large targets', async ({ page }) => {
	await beginDemo(page, '/session');
	const grade = page.getByRole('button', { name: /^Lower eyelid, client’s left: / });
	await grade.tap();
	await expect(grade).toHaveAccessibleName(/: 1, slight/);
	expect((await grade.boundingBox())!.height).toBeGreaterThanOrEqual(44);
	await page.getByRole('button', { name: /^Start, / }).tap();
	for (const name of [/^Begin/, /^Step again/, /^Fit to time/, /^End here/]) {
		const box = (await page.getByRole('button', { name }).boundingBox())!;
		expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(64);
	}
	await page.getByRole('button', { name: /touch the face/ }).tap();
	await expect(page.getByRole('button', { name: /^Pause space/ })).toBeVisible();
	// The same signal within a quarter of a second is a bounce.
	await counting(page);
	await page.getByRole('button', { name: /^Pause space/ }).tap();
	await page.getByRole('button', { name: /^End here/ }).tap();
	await expect(page.getByRole('heading', { name: 'And now' })).toBeVisible();
	await page.goto(`${demoURL}/`);
	await expect(page.getByRole('heading', { name: 'Odile K.' })).toBeVisible();
});
