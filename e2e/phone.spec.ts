import { expect, test } from '@playwright/test';
import { VIEWS } from '../src/lib/ui/parts/shell/views';
import { textsOutside } from './layout';
import { beginDemo, demoURL } from './support';

const PAGES = VIEWS.filter((v) => !v.bare).map((v) =>
	v.sample?.startsWith('?') ? v.path + v.sample : (v.sample ?? v.path)
);

const SIZES = [
	[390, 844],
	[640, 400]
] as const;

test('nothing overflows on a phone or at 200 %, and the header stays slim', async ({ page }) => {
	await beginDemo(page);
	for (const path of PAGES) {
		await page.goto(demoURL + path);
		await page.getByRole('heading').first().waitFor();
		for (const [width, height] of SIZES) {
			await page.setViewportSize({ width, height });
			await page.waitForTimeout(300);
			const wide = await page.evaluate(() => document.documentElement.scrollWidth);
			expect(wide, `${path} at ${width}`).toBeLessThanOrEqual(width);
			expect(await textsOutside(page), `${path} at ${width}`).toEqual([]);
			expect((await page.locator('header').boundingBox())!.height, path).toBeLessThanOrEqual(56);
		}
	}
});

for (const [width, height] of SIZES)
	test(`at ${width} × ${height} one slim header names the page and leads on; Compose has three parts`, async ({
		page
	}) => {
		await page.setViewportSize({ width, height });
		await beginDemo(page);
		await page.goto(demoURL);
		await page.getByRole('button', { name: /^Views, here: Today/ }).click();
		await page.getByRole('link', { name: 'Clients' }).click();
		await expect(page.getByRole('button', { name: /^Views, here: Clients/ })).toBeVisible();
		// Compose: three parts over the score as a strip with its clock; a line says where it leads and with what.
		await page.goto(`${demoURL}/compose/demo-bakers-dawn`);
		await page.getByRole('radio', { name: 'Steps' }).click();
		const row = page.locator('[data-row="s13"]');
		await row.scrollIntoViewIfNeeded();
		await expect(row).toContainText('front of the ear');
		await expect(row.getByText('ring finger')).toBeVisible();
		await expect(page.getByRole('button', { name: 'Unfold the score (K)' })).toBeVisible();
		await expect(page.getByText('0:00 of 8:59')).toBeVisible();
		await page.getByRole('button', { name: 'Unfold the score (K)' }).click();
		await expect(page.getByRole('button', { name: 'Fold the score (K)' })).toBeVisible();
	});
