import { expect, test, type Page } from '@playwright/test';
import { begin, choose, drag, place, saved } from './support';

/** Shapes that routines of practitioners really have, each entered by hand; their times are those of structural.test.ts. */
async function empty(page: Page): Promise<void> {
	await begin(page, '/compose');
	await page.getByRole('button', { name: 'New sequence' }).click();
	await place(page, 'malar').waitFor();
}
const inspector = (page: Page) => page.getByRole('complementary', { name: 'Inspector' });
const more = (page: Page) => inspector(page).getByRole('button', { name: /^More: / });
async function pick(page: Page, label: RegExp, option: string | RegExp): Promise<void> {
	await inspector(page).getByLabel(label).click();
	await page.getByRole('option', typeof option === 'string' ? { name: option, exact: true } : { name: option }).click();
}
async function fill(page: Page, label: string, value: string): Promise<void> {
	await inspector(page).getByLabel(label, { exact: true }).fill(value);
	await page.keyboard.press('Tab');
}
/** When the selected step begins and ends. */
const runs = (page: Page, from: string, to: string) =>
	expect(inspector(page).getByText(new RegExp(`· ${from} to ${to}$`))).toBeVisible();
const select = (page: Page, n: number) =>
	page
		.locator('[data-row] [data-step-button]')
		.nth(n - 1)
		.click();

test('three moves on one side and then on the other; right side first; taken apart again', async ({ page }) => {
	await empty(page);
	for (let i = 0; i < 3; i++) {
		await drag(page, 'malar', 'zygoma');
		await choose(page, 'light-stroke');
		await fill(page, 'repeats', '6');
		await fill(page, 'pace in seconds', '2');
	}
	await select(page, 1);
	await pick(page, /^As a block/, /with all up to 3/);
	await expect(
		page
			.getByText('0:74', { exact: true })
			.or(page.getByText('1:14', { exact: true }))
			.first()
	).toBeVisible();
	await expect(page.getByText('all of these on the left, then on the other side')).toBeVisible();
	await pick(page, /^Block begins on the/, /^right, then/);
	await expect(page.getByText('all of these on the right, then on the other side')).toBeVisible();
	await inspector(page).getByRole('button', { name: 'Take the block apart' }).click();
	await expect(inspector(page).getByLabel('Side: Right, then left')).toBeVisible();
	await saved(page);
});

test('stops for a breath each; there and back on the out-breath; two lanes with a wiggle; one hand stays; leaning', async ({
	page
}) => {
	await empty(page);
	await drag(page, 'chin', 'preauricular');
	await choose(page, 'v-lift');
	await fill(page, 'repeats', '2');
	await fill(page, 'pace in seconds', '4');
	await pick(page, /^Side: /, 'Both at once');
	await more(page).click();
	const stops = inspector(page).locator('button[aria-pressed]');
	for (let i = 0; i < 4; i++) await stops.nth(i).click();
	await pick(page, /^Stops in/, 'breaths');
	await pick(page, /^Breath: /, 'One breath a station');
	await runs(page, '0:00', '1:28');

	await place(page, 'temple').click();
	await choose(page, 'temple-ten');
	await expect(inspector(page).getByLabel('the same again the other way round')).toBeChecked();
	await expect(inspector(page).getByLabel('Breath: Out while pressing')).toBeVisible();
	await runs(page, '1:28', '1:42');

	await place(page, 'brow').press('Enter');
	await choose(page, 'stone-brow');
	await fill(page, 'repeats', '2');
	await fill(page, 'lanes', '2');
	await pick(page, /^Side: /, 'Both at once');
	await expect(inspector(page).getByLabel('After the move: Wiggle')).toBeVisible();
	await runs(page, '1:42', '2:00');

	await place(page, 'jawline').press('Enter');
	await choose(page, 'jaw-alternate-lift');
	await expect(inspector(page).getByLabel('The other hand: one always stays')).toBeVisible();
	await runs(page, '2:00', '2:26');

	await page.getByRole('radio', { name: 'Profile' }).click();
	await place(page, 'nape').press('Enter');
	await choose(page, 'nape-thumbs');
	await expect(inspector(page).getByLabel('Posture: Leaning in')).toBeVisible();
	await runs(page, '2:26', '2:49');
	await saved(page);
});

test('half a minute a place over many places, a thumb inside and the gloves after it, wipe, exercise and tape', async ({
	page
}) => {
	await empty(page);
	await place(page, 'forehead-medial').click();
	await choose(page, 'settle-breaths');
	await pick(page, /^Counted in/, 'seconds');
	await inspector(page).getByRole('button', { name: 'Change the path' }).click();
	for (let i = 0; i < 13; i++) await inspector(page).getByRole('button', { name: 'Place', exact: true }).click();
	await pick(page, /^Place 14/, 'Chin');
	await runs(page, '0:00', '7:00');

	await place(page, 'buccal').click();
	await choose(page, 'thumb-inside');
	await fill(page, 'repeats', '30');
	await runs(page, '7:00', '8:32');
	await drag(page, 'malar', 'zygoma');
	await choose(page, 'light-stroke');
	await fill(page, 'repeats', '5');
	await fill(page, 'pace in seconds', '2');
	// Gloves off is a moment.
	await runs(page, '8:32', '8:42');

	await page.keyboard.press('w');
	await choose(page, 'remove-oil');
	// The nodes lie over this zone: a key reaches it, as does its edge.
	await place(page, 'submental').press('Enter');
	await choose(page, 'tongue-to-palate');
	await expect(inspector(page).getByLabel('Done by: The client herself')).toBeVisible();
	await place(page, 'glabella').click();
	await choose(page, 'lay-tape');
	await inspector(page).getByLabel('hours worn', { exact: true }).fill('3');
	await page.keyboard.press('Tab');
	await page.getByRole('tab', { name: /Findings/ }).click();
	await expect(page.locator('[data-rule="tape-on-oil"]')).toHaveCount(0);
	await expect(page.locator('[data-rule="inside-after"]')).toHaveCount(0);
	await expect(page.locator('[data-rule="inside-licence"]')).toBeVisible();
});

test('a short version after the neck, the same nodes twice, one side twice, a long sweep, until warm', async ({
	page
}) => {
	await empty(page);
	await place(page, 'n:terminus').click();
	await choose(page, 'open-nodes');
	await page.getByRole('button', { name: 'More for the phase Open' }).click();
	await page.getByRole('menuitemcheckbox', { name: 'A short version may end here' }).click();
	await expect(page.getByText('a short version may end here, without')).toBeVisible();
	await place(page, 'n:terminus').click();
	await choose(page, 'closing-pump');
	await expect(page.locator('[data-row]')).toHaveCount(2);

	await place(page, 'masseter').click();
	await choose(page, 'masseter-circles');
	await pick(page, /^Side: /, 'Left, then right');
	await page.getByRole('button', { name: 'Duplicate the step' }).click();
	await select(page, 3);
	await pick(page, /^Side: /, 'Left only');
	await expect(inspector(page).getByText(/is uneven on the chewing muscle/)).toBeVisible();
	await fill(page, 'Why only one side', 'the left is tighter');
	await expect(inspector(page).getByText(/is uneven on the chewing muscle/)).toBeHidden();

	await place(page, 'forehead-medial').click();
	await choose(page, 'forehead-to-collarbone');
	await expect(
		inspector(page)
			.getByText(/collarbone nodes/)
			.first()
	).toBeVisible();

	await place(page, 'masseter').click();
	await choose(page, 'knuckle-knead');
	await inspector(page).getByLabel('Least', { exact: true }).fill('20');
	await page.keyboard.press('Tab');
	await inspector(page)
		.getByRole('button', { name: /^More: / })
		.click();
	await inspector(page).getByRole('group', { name: 'Until' }).getByRole('button', { name: 'warm' }).click();
	await expect(inspector(page).getByLabel('longest time on a side in seconds', { exact: true })).toHaveValue('60');
	await saved(page);
	await page.reload();
	await expect(page.getByText('a short version may end here, without')).toBeVisible();
});
