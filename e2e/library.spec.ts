import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { newMedium } from './steps.mjs';
import { beginDemo, demoURL, place, saved } from './support';

test('a move is found by words, area, aim and goal, seen whole, and added to a sequence', async ({ page }) => {
	await beginDemo(page, '/library');
	await expect(page.getByRole('status')).toContainText(/2\d\d of 2\d\d/);
	await page.getByLabel('Find a move').fill('under eye');
	await expect(page.locator('[data-move="under-eye-out"]')).toBeVisible();
	await page.getByRole('group', { name: 'Aim' }).getByRole('button', { name: 'drain' }).click();
	await page.getByLabel(/^Goal/).click();
	await page.getByRole('option', { name: 'Under-eye puffiness' }).click();
	await page.locator('[data-move="under-eye-out"]').click();
	const detail = page.getByRole('complementary', { name: 'The move' });
	await expect(detail.getByRole('heading', { name: 'Under the eye outwards' })).toBeVisible();
	await expect(detail).toContainText('3–8 ×');
	await expect(detail.getByRole('img', { name: /on the face$/ })).toBeVisible();
	await expect(detail).toContainText('Ring finger on the edge of the bone');
	await detail.getByRole('button', { name: 'Play it' }).click();
	await expect(detail.getByText(/stroke [12] of 5/)).toBeVisible();
	await detail.getByRole('button', { name: 'Stop' }).click();
	await detail.getByRole('button', { name: 'Add to a sequence' }).click();
	await page.getByRole('menuitem', { name: 'Three minutes' }).first().click();
	await page.getByRole('button', { name: 'Go there' }).click();
	await expect(page.getByRole('button', { name: /^Undo: Add Lower eyelid/ })).toBeEnabled();
	await expect(page.locator('[data-row]')).toHaveCount(13);
});

test('arrows walk the chartMarks, and Enter opens one', async ({ page }) => {
	await beginDemo(page, '/library');
	await page.getByRole('group', { name: 'Aim' }).getByRole('button', { name: 'lift' }).click();
	await page.locator('[data-move]').first().focus();
	const first = await page.evaluate(() => (document.activeElement as HTMLElement).dataset.move);
	await page.keyboard.press('ArrowRight');
	await expect.poll(() => page.evaluate(() => (document.activeElement as HTMLElement).dataset.move)).not.toBe(first);
	await page.keyboard.press('Enter');
	await expect(page.locator('[data-move][aria-pressed="true"]')).toHaveCount(1);
});

test('a move of her own: copied, refused with the field named, changed, used, carried by the file, removed', async ({
	page
}) => {
	await beginDemo(page, '/library?move=jaw-scoop');
	await page.getByRole('button', { name: 'Copy as mine' }).click();
	const form = page.getByRole('form', { name: 'Your move' });
	await form.getByLabel('Name').fill('Ribbon of the jaw');
	await form.getByRole('group', { name: 'Repeats a side' }).getByLabel('from').fill('30');
	await form.getByRole('button', { name: 'Save' }).click();
	await expect(form.getByRole('alert')).toContainText('repeats: min ≤ target ≤ max is needed');
	await form.getByRole('group', { name: 'Repeats a side' }).getByLabel('from').fill('4');
	await form.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByRole('heading', { name: 'Ribbon of the jaw' })).toBeVisible();

	await page.goto(`${demoURL}/compose/demo-three-minutes`);
	await place(page, 'chin').click();
	await page.getByLabel('Find a move').fill('ribbon');
	await page.locator('[data-technique^="own-"]').click();
	await saved(page);
	await page.goto(`${demoURL}/exchange`);
	await page.getByLabel('One sequence').fill('three');
	const waiting = page.waitForEvent('download');
	await page.getByRole('button', { name: /^Export Three minutes/ }).click();
	const file = JSON.parse(readFileSync(await (await waiting).path(), 'utf8')) as { techniques: { title: string }[] };
	expect(file.techniques.map((t) => t.title)).toEqual(['Ribbon of the jaw']);

	await page.goto(`${demoURL}/library`);
	await page.getByLabel('Find a move').fill('ribbon');
	await page.locator('[data-move^="own-"]').click();
	await page.getByRole('button', { name: 'Remove' }).click();
	await expect(page.getByText('is removed. Sequences keep their copies.')).toBeVisible();
	await page.getByRole('button', { name: 'Put it back' }).click();
	await expect(page.locator('[data-move^="own-"]')).toHaveCount(1);
});

test('a ready sequence starts as a copy that passes its school', async ({ page }) => {
	await beginDemo(page, '/library/sequences');
	await expect(page.locator('[data-ready]')).toHaveCount(25);
	await page.getByLabel(/^School/).click();
	await page.getByRole('option', { name: 'Nape first' }).click();
	await expect(page.locator('[data-ready]')).toHaveCount(4);
	await page.getByRole('button', { name: 'Start a copy of Nape, chin, bone' }).click();
	await expect(page.getByLabel('Title of the sequence')).toHaveValue('Nape, chin, bone');
	await page.getByRole('tab', { name: /Findings/ }).click();
	await expect(page.getByTitle('Caution')).toHaveCount(0);
	await expect(page.getByTitle('Stop')).toHaveCount(0);
});

test('points are found on the map and in words, and named tradition', async ({ page }) => {
	await beginDemo(page, '/library/points');
	await page.getByRole('button', { name: /^GB20 Fengchi: Under the skull/ }).click();
	const detail = page.getByRole('complementary', { name: 'The point' });
	await expect(detail.getByRole('heading', { name: 'GB20' })).toBeVisible();
	await expect(detail).toContainText('tradition');
	await expect(detail).toContainText('not evidence');
});

test('a rule shows what breaks it and what mends it; a medium of her own is offered in Compose', async ({ page }) => {
	await beginDemo(page, '/library/rules');
	await page.getByLabel('Find a rule').fill('throat');
	await page.getByRole('button', { name: 'Throat sideways, not straight down' }).click();
	await expect(page.getByText('1 strokes straight down the throat.')).toBeVisible();
	await expect(page.getByRole('heading', { name: /^Lead outwards/ })).toBeVisible();

	await page.goto(`${demoURL}/library/media`);
	const form = await newMedium(page);
	await form.getByLabel('Name').fill('Plum oil');
	await form.getByLabel('Half absorbed after, minutes').fill('500');
	await form.getByRole('button', { name: 'Save' }).click();
	await expect(form.getByRole('alert')).toContainText('halfLifeSeconds');
	await form.getByLabel('Half absorbed after, minutes').fill('14');
	await form.getByLabel('nuts').check();
	await form.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByRole('rowheader', { name: /Plum oil/ })).toBeVisible();
	await page.goto(`${demoURL}/compose/demo-three-minutes`);
	await page.locator('[data-row="s7"] [data-step-button]').click();
	await page.getByLabel(/^Medium/).click();
	await page.getByRole('option', { name: 'Plum oil' }).click();
	await expect(page.getByText(/for full cover · nuts/)).toBeVisible();
	await saved(page);
	await page.reload();
	await place(page, 'chin').waitFor();
	await page.locator('[data-row="s7"] [data-step-button]').click();
	await expect(page.getByLabel('Medium: Plum oil')).toBeVisible();
});
