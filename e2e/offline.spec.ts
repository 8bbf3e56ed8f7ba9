import { expect, test } from '@playwright/test';
import { proxyTo } from './proxy';
import { begin, beginDemo, DEMO_DB, demoURL, recordsIn, saved } from './support';

test.use({ serviceWorkers: 'allow' });

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

test('a server in trouble gives the shell; a newer version is offered, not in a session, and old parts stay while they are used', async ({
	page,
	baseURL
}) => {
	const proxy = await proxyTo(baseURL!);
	try {
		await begin(page, '/', proxy.url);
		await page.evaluate(() => navigator.serviceWorker.ready);
		await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
		for (const mode of ['broken', 'hangs'] as const) {
			proxy.mode = mode;
			await page.goto(`${proxy.url}/compose`);
			await expect(page.getByRole('heading', { name: 'Sequences' })).toBeVisible();
		}
		proxy.mode = 'well';
		const caches = () => page.evaluate(async () => (await window.caches.keys()).length);
		await page.goto(`${proxy.url}/clients`);
		await page.getByPlaceholder(/name/i).first().fill('Mo');
		await page.keyboard.press('Enter');
		proxy.build = '9';
		await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.update());
		await expect(page.getByText('A newer version of Soft Tide is here.')).toBeVisible();
		expect(await caches()).toBe(2);
		// Not on paper, nor on the stage: pages without a header are left in peace.
		await page.goto(`${proxy.url}/print/none`);
		await expect(page.getByText('A newer version of Soft Tide is here.')).toBeHidden();
		await page.goto(`${proxy.url}/clients`);
		await expect(page.getByText('A newer version of Soft Tide is here.')).toBeVisible();
		await page.getByRole('button', { name: 'Reload' }).click();
		await expect(page.getByText('A newer version of Soft Tide is here.')).toBeHidden();
		await expect.poll(caches).toBeLessThanOrEqual(2);
		// A part of the application that is gone from server and cache: the draft is kept, and a new version is asked for.
		await page.goto(`${proxy.url}/compose`);
		await page.getByRole('button', { name: 'New sequence' }).first().click();
		await page.getByLabel('Title of the sequence').fill('Kept through the change');
		await saved(page);
		proxy.gone = /_app\/immutable\/(?!entry)/;
		await (await page.context().newCDPSession(page)).send('Network.clearBrowserCache');
		await page.evaluate(async () => {
			for (const name of await window.caches.keys()) await window.caches.delete(name);
		});
		await page.getByRole('tab', { name: 'Text' }).click();
		await expect(page.getByText(/this window needs it for what you asked for. What you wrote is kept/)).toBeVisible();
		proxy.gone = null;
		await page.getByRole('button', { name: 'Reload' }).click();
		await expect(page.getByLabel('Title of the sequence')).toHaveValue('Kept through the change');
	} finally {
		await proxy.close();
	}
});
