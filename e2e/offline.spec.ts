import { expect, test } from '@playwright/test';
import { beginDemo, DEMO_DB, demoURL, recordsIn } from './support';

test('once loaded, the application opens and works without a network', async ({ page, context }) => {
	await beginDemo(page);
	await page.evaluate(async () => {
		await navigator.serviceWorker.ready;
	});
	await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
	await context.setOffline(true);
	await page.reload();
	await expect(page.getByRole('heading', { name: 'Odile K.' })).toBeVisible();
	await page.goto(`${demoURL}/compose/demo-bakers-dawn`);
	await page.getByLabel('Title of the sequence').fill('Dawn without a net');
	await page.keyboard.press('Tab');
	const stored = async () => JSON.stringify(await recordsIn(page, DEMO_DB, 'sequences'));
	await expect.poll(stored).toContain('Dawn without a net');
	await page.reload();
	await expect(page.getByLabel('Title of the sequence')).toHaveValue('Dawn without a net');
});
