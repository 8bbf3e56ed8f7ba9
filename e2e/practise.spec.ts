import { expect, test } from '@playwright/test';
import { beginDemo, DEMO_DB, demoURL, expectAccessible, recordsIn } from './support';

test('practised by keys: pressure on the simulated pad, pace, order, direction, sides, a point; what it came to is kept', async ({
	page
}) => {
	await beginDemo(page, '/practise');
	const rounds = page.getByRole('region', { name: 'Your rounds' });
	// Pressure: the scripted hand presses lightly, then too hard.
	await page.getByRole('button', { name: 'Begin a press' }).click();
	await expect(page.getByText(/^A simulated hand, not yours\. .*within the level after the first 1 s/)).toBeVisible();
	await page.getByLabel(/^Hand: /).click();
	await page.getByRole('option', { name: 'A heavy hand' }).click();
	await page.getByRole('button', { name: 'Begin a press' }).click();
	await expect(page.getByText(/More of the rest was too heavy\./)).toBeVisible();
	await expect(rounds).toContainText('By a simulated hand: 2 rounds, none of your own yet.');
	await expectAccessible(page);
	// A kitchen scale that is read by eye.
	await page.getByLabel(/^What presses: /).click();
	await page.getByRole('option', { name: 'Kitchen scale, typed in' }).click();
	await page.getByLabel('What the scale shows, g').fill('20');
	await page.keyboard.press('Enter');
	await expect(page.getByText(/^20 g are 2\.0 kPa: within the level, 0\.1 kPa too heavy\.$/)).toBeVisible();
	await expect(rounds).toContainText('Ring finger, light, kitchen scale: 1 of 6 rounds');
	// What cannot be read is said, and the way out.
	await page.getByLabel(/^What presses: /).click();
	await page.getByRole('option', { name: 'Pen on this screen' }).click();
	await page.getByRole('img', { name: /kPa/ }).click();
	await expect(page.getByRole('alert').filter({ hasText: 'A mouse does not feel' })).toBeVisible();

	const drills = page.getByRole('navigation', { name: 'Drills' });
	await drills.getByRole('link', { name: /^Pace/ }).click();
	const pad = page.getByRole('button', { name: 'Press to begin' });
	await pad.focus();
	await page.keyboard.press('Space');
	for (let i = 0; i < 12; i++) await page.keyboard.press('Space', { delay: 20 });
	await expect(page.getByText(/^(On the beat|\d+ ms (early|late)), spread/)).toBeVisible();
	await expect(rounds).toContainText('1 of 6 rounds');

	await drills.getByRole('link', { name: /^Order of openings/ }).click();
	await page.getByRole('button', { name: 'Check' }).click();
	await expect(page.getByText(/pairs stand the wrong way\./)).toBeVisible();
	await expectAccessible(page);

	await drills.getByRole('link', { name: /^Direction/ }).click();
	await page.locator('[data-place="n:preauricular"][data-side="left"]').click();
	await expect(page.getByText(/as the model has it\./)).toBeVisible();
	await expectAccessible(page);

	await drills.getByRole('link', { name: /^Sides/ }).click();
	const row = page.getByRole('button', { name: /: \d+ left, \d+ right$/ });
	const names = await row.evaluateAll((all) => all.map((b) => b.getAttribute('aria-label')!));
	const uneven = names.findIndex((name) => {
		const [, left, right] = /: (\d+) left, (\d+) right$/.exec(name)!;
		return left !== right;
	});
	await row.nth(uneven).focus();
	await page.keyboard.press('Enter');
	await expect(page.getByText('Right.', { exact: true })).toBeVisible();
	await expectAccessible(page);

	await drills.getByRole('link', { name: /^Find the point/ }).click();
	for (let i = 0; i < 5; i++) {
		const face = page.getByRole('button', { name: /^Put / });
		await face.focus();
		await page.keyboard.press('Shift+ArrowRight');
		await page.keyboard.press('Enter');
		await expect(page.getByText(/mm of the figure off|^[\d.]+ mm/).first()).toBeVisible();
		await page.getByRole('button', { name: i < 4 ? 'Next' : 'Another round' }).click();
	}
	await expect(rounds).toContainText('1 of 6 rounds');
	await expectAccessible(page);
	const kept = await recordsIn(page, DEMO_DB, 'drills');
	expect(kept.map((r) => r.drill).sort()).toEqual(['order', 'pace', 'point', 'pressure', 'pressure', 'pressure']);
	await page.goto(demoURL);
});
