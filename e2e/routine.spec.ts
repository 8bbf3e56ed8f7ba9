import { expect, test, type Page } from '@playwright/test';
import { begin, choose, drag, fitIt, place, saved, secondsOf } from './support';

/** A routine of ten minutes as a practitioner does it: opened, cleared, released, lifted, closed. */
const NODES = ['terminus', 'deep-cervical', 'tonsillar', 'submandibular', 'preauricular'];
const STROKES = [
	['malar', 'zygoma'],
	['lower-eyelid', 'outer-canthus'],
	['nasolabial', 'buccal'],
	['chin', 'jawline'],
	['forehead-medial', 'temple']
] as const;

async function newSequence(page: Page, tap: 'click' | 'tap' = 'click') {
	await begin(page, '/compose');
	await page.getByRole('button', { name: 'New sequence' })[tap]();
	await expect(page.getByText('Nothing here yet')).toBeVisible();
}
/** It lasts ten minutes, gives both sides the same, and is stored. */
async function expectTenMinutes(page: Page, steps: number) {
	await expect(page.locator('[data-row]')).toHaveCount(steps);
	const seconds = await secondsOf(page, '10:00');
	expect(seconds).toBeGreaterThan(9 * 60);
	expect(seconds).toBeLessThanOrEqual(10 * 60);
	await saved(page);
}

test('a routine of ten minutes by mouse: taps, drags, and the other side with one key', async ({ page }) => {
	await newSequence(page);
	await page.getByRole('button', { name: 'To the face' }).click();
	for (const node of NODES) {
		await place(page, `n:${node}`).press('Enter');
		await choose(page, 'open-nodes');
	}
	for (const [from, to] of STROKES) {
		await drag(page, from, to);
		await choose(page, 'light-stroke');
	}
	// A slower hand on the next of its kind: what was set last is kept.
	await page.getByLabel('Repeats in reps').fill('10');
	await page.keyboard.press('Enter');
	await drag(page, 'zygoma', 'preauricular');
	await choose(page, 'light-stroke');
	await expect(page.getByLabel('Repeats in reps')).toHaveValue('10');
	// One side only, because; then once more on the other, by one key.
	await page.getByRole('button', { name: 'Side: both' }).click();
	await page.getByRole('menuitemradio', { name: 'Left only' }).click();
	await page.getByLabel('Why only one side').fill('fuller today');
	await page.keyboard.press('Tab');
	await page.locator('[aria-current="step"]').press('o');
	await expect(
		page.getByRole('button', { name: 'Undo: Repeat step 11, Cheekbone to front of the ear on the other side' })
	).toBeVisible();
	await expect(page.locator('[data-row]').nth(11)).toContainText('right only');
	await page.locator('[data-row]').nth(11).locator('[data-step-button]').click();
	await place(page, 'masseter').press('Enter');
	await page.getByLabel('Moves that suit').getByRole('button').filter({ hasText: 'Release' }).first().click();
	await drag(page, 'jawline', 'preauricular');
	await page.getByLabel('Moves that suit').getByRole('button').first().click();
	await place(page, 'n:terminus').press('Enter');
	await choose(page, 'open-nodes');
	// The first nine together: one side after the other, and longer; then to the minutes.
	await page.locator('[data-row]').first().locator('[data-step-button]').click();
	await page
		.locator('[data-row]')
		.nth(8)
		.locator('[data-step-button]')
		.click({ modifiers: ['Shift'] });
	await page.getByRole('button', { name: 'Left, then right' }).click();
	for (let i = 0; i < 14; i++) await page.getByRole('button', { name: 'One more each' }).click();
	await fitIt(page, '10:00');
	await expectTenMinutes(page, 15);
});

test('a routine of ten minutes by touch on a tablet', async ({ browser, baseURL }) => {
	const context = await browser.newContext({ hasTouch: true, viewport: { width: 1180, height: 820 }, baseURL });
	const page = await context.newPage();
	await newSequence(page, 'tap');
	const onMap = async (ids: readonly string[], technique: string | RegExp) => {
		for (const id of ids) {
			const box = (await place(page, id).locator('path, circle').first().boundingBox())!;
			await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
		}
		const moves = page.getByLabel('Moves that suit').getByRole('button');
		if (typeof technique === 'string') await page.locator(`[data-technique="${technique}"]`).tap();
		else await moves.filter({ hasText: technique }).first().tap();
	};
	for (const node of NODES) await onMap([`n:${node}`], 'open-nodes');
	for (const way of STROKES) await onMap(way, 'light-stroke');
	await onMap(['masseter'], /Release/);
	await onMap(['zygoma'], /./);
	await onMap(['n:terminus'], 'open-nodes');
	for (let i = 5; i < 10; i++) {
		await page
			.locator('[data-row]')
			.nth(i)
			.tap({ position: { x: 60, y: 12 } });
		await page.getByLabel('Repeats in reps').fill('20');
		await page.getByRole('button', { name: 'Side: both' }).tap();
		await page.getByRole('menuitemradio', { name: 'Left, then right' }).tap();
	}
	await page.getByRole('tab', { name: 'Sequence' }).tap();
	await page.getByRole('button', { name: 'Fit to 10:00' }).tap();
	await page.getByRole('region', { name: 'What fitting would change' }).getByRole('button', { name: 'Apply' }).tap();
	const seconds = await secondsOf(page, '10:00');
	expect(seconds).toBeGreaterThan(8 * 60);
	expect(seconds).toBeLessThanOrEqual(10 * 60);
	await expect(page.locator('[data-row]')).toHaveCount(13);
	await context.close();
});

test('a routine of ten minutes by keyboard alone, in words', async ({ page }) => {
	await begin(page, '/compose');
	await page.getByRole('button', { name: 'New sequence' }).press('Enter');
	await expect(page.getByText('Nothing here yet')).toBeVisible();
	await page.keyboard.press('/');
	const line = page.getByRole('textbox', { name: 'Type a step' });
	await expect(line).toBeFocused();
	for (const text of [
		'settle decollete, 3 breaths',
		'open n:terminus, 10',
		'open n:deep-cervical + n:tonsillar, 10',
		'open n:submandibular, 10',
		'open n:preauricular, 10',
		'drain sternocleidomastoid > n:terminus, 10 each side',
		'drain chin > n:submandibular, index hook, light, 8 each side',
		'drain lower-eyelid > n:preauricular, ring finger, 8 each side, then n:tonsillar > n:terminus 3 pumps',
		'drain malar > n:preauricular, 10 each side',
		'drain nasolabial > n:submandibular, 8 each side',
		'release masseter, knuckles, medium, 40 s each side',
		'lift jawline > preauricular, flat hand, 10 each side',
		'drain n:preauricular > n:terminus, 8 each side',
		'close sternocleidomastoid > n:terminus, 6'
	]) {
		await page.keyboard.type(text);
		await expect(page.getByText(/^Enter adds/).or(page.getByText(/^Enter adds the step/))).toBeVisible();
		// A line that is whole is added, whatever the list of words still offers.
		await page.keyboard.press('Enter');
	}
	await page.keyboard.press('Escape');
	const seconds = await secondsOf(page, '10:00');
	expect(seconds).toBeGreaterThan(8 * 60);
	await expect(page.locator('[data-row]')).toHaveCount(14);
	await saved(page);
	// The gap of the hook was filled by the route.
	await expect(
		page.getByRole('button', {
			name: /^7\. Drain: Chin to jawline to under the jaw, index hook, light, 8 ×/
		})
	).toHaveCount(1);
});
