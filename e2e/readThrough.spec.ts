import { expect, test } from '@playwright/test';
import { beginDemo, demoURL, expectAccessible } from './support';

test('a sequence is read through before a client: what is shown and said, with its second; a click plays from there', async ({
	page
}) => {
	await beginDemo(page, '/compose/demo-three-minutes');
	await page.getByRole('link', { name: 'Read through' }).click();
	await expect(page.getByRole('heading', { name: 'Read through: Three minutes before the shop' })).toBeVisible();
	const rows = page.getByRole('row');
	// The first step, with its move, place, side, count, hand and pressure; and what is said before it.
	const first = rows.nth(1);
	await expect(first).toContainText('Open: pump · Collarbone · Both sides · 7 times');
	await expect(first).toContainText('Hand or tool: Three fingers.');
	await expect(first).toContainText('Pressure: Light.');
	await expect(first.getByRole('cell').last()).toContainText('Collarbone. Three fingers. light. Pump. 7');
	await expectAccessible(page);
	const third = rows.nth(3);
	await third.getByRole('button', { name: /^Play from 0:\d\d$/ }).click();
	await expect(page.getByText(/^Playing, 0:\d\d of /)).toBeVisible();
	await expect(third).toHaveClass(/here/);
	await page.getByRole('button', { name: 'Stop' }).click();
	await expect(page.getByText(/^Playing/)).toBeHidden();
	// A ready sequence is read before a copy of it is begun.
	await page.goto(`${demoURL}/library/sequences`);
	await page
		.getByRole('link', { name: /^Read through / })
		.first()
		.click();
	await expect(page.getByRole('heading', { name: /^Read through: / })).toBeVisible();
	expect(await rows.count()).toBeGreaterThan(8);
});
