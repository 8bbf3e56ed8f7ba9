import { expect, test } from '@playwright/test';
import { VIEWS } from '../src/lib/ui/parts/shell/views';
import { ringsCut } from './layout';
import { begin, beginDemo, demoURL, expectAccessible, place } from './support';

/** Every view of the list, with the demo practice; the stage has a journey of its own. */
const PAGES = VIEWS.filter((v) => v.path !== '/session/[id]').map((v) =>
	v.sample?.startsWith('?') ? v.path + v.sample : (v.sample ?? v.path)
);

/** The Library and the others apart: on a slow machine each page takes many seconds. */
const isLibrary = (path: string) => path.startsWith('/library');
for (const library of [false, true])
	test(`no serious violation on any page${library ? ' of the Library' : ''}, by day, nor of contrast by evening; rings are seen whole`, async ({
		page
	}) => {
		await beginDemo(page, '/settings');
		const look = (theme: string) => page.getByRole('group', { name: 'Look' }).getByRole('radio', { name: theme });
		await look('Evening').click();
		await expect(page.locator('html')).toHaveAttribute('data-theme', 'evening');
		await look('Day').click();
		await expect(page.locator('html')).toHaveAttribute('data-theme', 'day');
		for (const path of PAGES.filter((p) => isLibrary(p) === library)) {
			await page.goto(demoURL + path);
			await page.getByRole('heading').first().waitFor();
			await test.step(path, () => expectAccessible(page));
			// The look changes colours and nothing else.
			await page.evaluate(() => document.documentElement.setAttribute('data-theme', 'evening'));
			await test.step(`${path} by evening`, () => expectAccessible(page, ['color-contrast']));
			expect(await ringsCut(page), path).toEqual([]);
		}
	});

test('nor with nothing stored', async ({ page }) => {
	await page.goto('/');
	await page.getByRole('alertdialog').waitFor();
	await expectAccessible(page);
	await begin(page);
	for (const path of ['/', '/compose', '/session', '/progress', '/clients']) {
		await page.goto(path);
		await page.getByRole('heading').first().waitFor();
		await test.step(`empty ${path}`, () => expectAccessible(page));
	}
});

test('nor with the add panel, the findings, a sheet, a form or the stage open', async ({ page }) => {
	await beginDemo(page, '/compose/demo-stone-knuckle');
	await place(page, 'malar').click();
	await expectAccessible(page);
	await page.keyboard.press('Escape');
	await page.getByRole('tab', { name: /Findings/ }).click();
	await expectAccessible(page);
	await page.getByRole('tab', { name: 'Sequence' }).click();
	await expectAccessible(page);
	await page.keyboard.press('?');
	await expectAccessible(page);
	await page.goto(`${demoURL}/library/schools`);
	await page.getByRole('button', { name: 'Copy as mine' }).click();
	await expectAccessible(page);
	await page.goto(`${demoURL}/library?move=jaw-scoop`);
	await page.getByRole('button', { name: 'Copy as mine' }).click();
	await expectAccessible(page);
	await page.goto(`${demoURL}/session`);
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).waitFor();
	await expectAccessible(page);
});
