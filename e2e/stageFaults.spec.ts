import { expect, test } from '@playwright/test';
import { beginDemo, DEMO_DB, demoURL, recordsIn, endSession, skipUntil, atStep } from './support';

test('a disk that fills up, a clock that is set, a window asleep, a voice that is not there and a sequence removed meanwhile: each is said, no performed step is lost', async ({
	page,
	context
}) => {
	await page.clock.install();
	await page.addInitScript(() => {
		const add = IDBObjectStore.prototype.add;
		IDBObjectStore.prototype.add = function (...args) {
			if ((window as { full?: boolean }).full && this.name === 'runs')
				throw new DOMException('full', 'QuotaExceededError');
			return add.apply(this, args as Parameters<typeof add>);
		};
		speechSynthesis.getVoices = () => [];
	});
	await beginDemo(page, '/settings/guidance');
	await page.getByRole('radio', { name: 'Places' }).click();
	await page.goto(`${demoURL}/session?sequence=demo-three-minutes`);
	await page.getByRole('button', { name: /^Start, / }).click();
	const alert = (words: RegExp) => page.getByRole('alert').filter({ hasText: words });
	await page.getByRole('button', { name: /^Begin/ }).click();
	await expect(alert(/no English voice of its own/)).toBeVisible();
	// A voice that may come late is waited for; then it begins without one.
	await expect(page.getByRole('button', { name: /^Pause space/ })).toBeVisible();

	await test.step('a full disk: what could not be written is written when there is room', async () => {
		await page.evaluate(() => ((window as { full?: boolean }).full = true));
		await page.keyboard.press('t');
		await expect(alert(/full/)).toBeVisible();
		await page.keyboard.press('ArrowRight');
		await expect(atStep(page, 2, 12)).toBeVisible();
		expect((await recordsIn(page, DEMO_DB, 'runs')).some((r) => r['mark'] === 'tender')).toBe(false);
		await page.evaluate(() => ((window as { full?: boolean }).full = false));
		await page.keyboard.press('Space');
		const kinds = async () => (await recordsIn(page, DEMO_DB, 'runs')).map((r) => r['mark'] ?? r['kind']);
		await expect
			.poll(async () => (await kinds()).filter((k) => k !== 'still'))
			.toEqual(['begin', 'go', 'tender', 'jump', 'pause']);
		await expect(alert(/full/)).toBeHidden();
	});
	await test.step('a clock set an hour forward is said, and counts stay', async () => {
		const before = await page.locator('.count').innerText();
		await page.clock.setSystemTime((await page.evaluate(() => Date.now())) + 3600_000);
		await expect(alert(/went (59:59|60:00) forward/)).toBeVisible();
		await expect(page.locator('.count')).toHaveText(before);
	});
	await test.step('who slept for minutes finds the same count', async () => {
		await page.keyboard.press('Space');
		await expect(page.getByRole('button', { name: /^Pause space/ })).toBeVisible();
		await page.clock.fastForward(400_000);
		await expect(
			page.getByText(/The page stood still for 6:\d\d, and nothing was heard: it waits at the same count/).first()
		).toBeVisible();
		await expect(page.getByRole('button', { name: /^Go on space/ })).toBeVisible();
		await expect(atStep(page, 2, 12)).toBeVisible();
	});
	await test.step('its sequence is removed elsewhere: the session keeps what it performs', async () => {
		const other = await context.newPage();
		await other.goto(`${demoURL}/compose`);
		await other.locator('[data-sequence="demo-three-minutes"]').getByRole('button', { name: /^More/ }).click();
		await other.getByRole('menuitem', { name: /^Remove/ }).click();
		await expect(other.locator('[data-sequence="demo-three-minutes"]')).toHaveCount(0);
		await other.close();
		await page.keyboard.press('Space');
		await skipUntil(page, atStep(page, 3, 12));
	});
	await endSession(page);
	await expect(page.getByText('Tender here').first()).toBeVisible();
	await page.getByRole('button', { name: 'Close session' }).click();
	await expect(page).toHaveURL(/progress/);
	await expect(page.getByText('Three minutes before the shop').first()).toBeVisible();
});
