import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { keepVersion } from './steps.mjs';
import { beginDemo, demoURL, expectAccessible, saved } from './support';

test('several at once: changed, grouped, mirrored, moved; where a step cannot go a sentence says so', async ({
	page
}) => {
	await beginDemo(page, '/compose/demo-bakers-dawn');
	const rows = page.locator('[data-row]');
	await page.locator('[data-row="s11"] [data-step-button]').click();
	await page.keyboard.press('Shift+ArrowDown');
	await page.keyboard.press('Shift+ArrowDown');
	await expect(page.getByRole('heading', { name: /^3 steps, / })).toBeVisible();
	await expectAccessible(page);
	await page.keyboard.press('2');
	await expect(page.getByRole('button', { name: 'Undo: Set the pressure of 3 steps' })).toBeVisible();
	await page.keyboard.press('g');
	await expect(page.getByText('all of these on the left, then on the other side')).toBeVisible();
	// One side only does not go into a block of both.
	await page.locator('[data-row="s8"] [data-step-button]').click();
	await page
		.getByRole('button', { name: /^Side: / })
		.first()
		.click();
	await page.getByRole('menuitemradio', { name: 'Left only' }).click();
	await page.locator('[data-row="s8"] [data-step-button]').focus();
	for (let i = 0; i < 4; i++) await page.keyboard.press('Alt+ArrowDown');
	await expect(page.locator('p[role="alert"]')).toContainText(
		'Let the step work both sides first, or put it before or after the block.'
	);
	await expect(rows).toHaveCount(24);
	await saved(page);
});

test('versions are kept, compared in words and gone back to; the history leads to any edit, over a reload', async ({
	page
}) => {
	await beginDemo(page, '/compose/demo-three-minutes');
	await keepVersion(page, 'As it was');
	await page.locator('[data-row="s3"] [data-step-button]').click();
	await page.keyboard.press('+');
	await page.keyboard.press('d');
	await saved(page);
	await page.reload();
	await page.getByRole('tab', { name: 'Sequence' }).click();
	await page.getByRole('button', { name: 'As it was' }).click();
	const versions = page.getByRole('region', { name: 'Versions' });
	await expect(versions.getByText(/^3, changed: repeats/)).toBeVisible();
	await expect(versions.getByText(/^4, new: /)).toBeVisible();
	await expectAccessible(page);
	await page.getByRole('list', { name: 'History of the edits' }).getByRole('button').first().click();
	await expect(page.locator('[data-row]')).toHaveCount(12);
	await expect(page.getByRole('button', { name: /^Redo: Duplicate/ })).toBeEnabled();
	await page.getByRole('button', { name: 'Go back to it' }).click();
	await expect(versions.getByText('The sequence is as it was then.')).toBeVisible();
});

test('the overview: found, sorted, duplicated, archived, removed into the bin and back, two compared', async ({
	page
}) => {
	await beginDemo(page, '/compose');
	const list = page.locator('[data-sequence]');
	await expect(list).toHaveCount(6);
	await page.getByLabel('Find a sequence').fill('jaw tension');
	await expect(list).toHaveCount(1);
	await page.getByLabel('Find a sequence').fill('');
	await page.getByLabel('Sort by: Last used').click();
	await page.getByRole('option', { name: 'Length' }).click();
	await expect(list.first()).toContainText('Three minutes before the shop');
	const more = async (item: string) => {
		await page.getByRole('button', { name: 'More for Rower’s morning', exact: true }).click();
		await page.getByRole('menuitem', { name: item }).click();
	};
	await more('Duplicate');
	await expect(list).toHaveCount(7);
	await more('Archive');
	await expect(list).toHaveCount(6);
	await page.getByRole('radio', { name: 'Archived 1' }).click();
	await more('Back into the list');
	await page.getByRole('radio', { name: 'In use' }).click();
	await more('Remove');
	await page.getByRole('radio', { name: 'Bin 1' }).click();
	await expectAccessible(page);
	await page.getByRole('button', { name: 'Put it back' }).last().click();
	await page.getByRole('radio', { name: 'In use' }).click();
	await expect(list).toHaveCount(7);
	await page.getByRole('checkbox', { name: 'Compare Rower’s morning', exact: true }).click();
	await page.getByRole('checkbox', { name: 'Compare Rower’s morning, copy' }).click();
	await page.getByRole('link', { name: 'Compare the two' }).click();
	await expect(page.getByRole('region', { name: 'Difference in words' })).toContainText('title: Rower’s morning');
	await page.getByLabel(/^Second sequence: /).click();
	await page.getByRole('option', { name: 'Glassblower’s jaw' }).click();
	await expect(page.getByRole('region', { name: 'Time per zone' })).toContainText('Chewing muscle');
	await expectAccessible(page);
});

test('the score is worked on: a swell’s edge, its crest and its body; zoom; pictures of score and map', async ({
	page
}) => {
	await beginDemo(page, '/compose/demo-bakers-dawn');
	await page.locator('[data-step="s18"]').click();
	const score = page.locator('[data-score]');
	const handle = (kind: string) => score.locator(`.handle.${kind} rect`).first();
	const dragBy = async (kind: string, dx: number, dy: number) => {
		const box = (await handle(kind).boundingBox())!;
		await page.mouse.move(box.x + 12, box.y + 12);
		await page.mouse.down();
		await page.mouse.move(box.x + 12 + dx, box.y + 12 + dy, { steps: 6 });
		await page.mouse.up();
	};
	const dose = page.getByLabel('Repeats in seconds');
	const before = Number(await dose.inputValue());
	await dragBy('across', 30, 0);
	await expect.poll(async () => Number(await dose.inputValue())).toBeGreaterThan(before);
	await page.getByRole('button', { name: /^Undo: Change repeats/ }).click();
	await expect(dose).toHaveValue(String(before));
	await dragBy('up', 0, 30);
	await expect(page.getByRole('button', { name: /^Undo: Change pressure/ })).toBeVisible();
	await page.getByRole('button', { name: 'Less of the time, larger (Ctrl and wheel)' }).click();
	await page.getByRole('radio', { name: 'Whole' }).click();
	const swell = (await page.locator('[data-step="s12"] .hit').boundingBox())!;
	const target = (await page.locator('[data-step="s8"] .hit').boundingBox())!;
	await page.mouse.move(swell.x + swell.width / 2, swell.y + 20);
	await page.mouse.down();
	await page.mouse.move(target.x + 6, target.y + 20, { steps: 8 });
	await page.mouse.up();
	await expect(page.getByRole('button', { name: /^Undo: Move 1 step/ })).toBeVisible();
	await expect(page.locator('[data-row]').nth(7)).toHaveAttribute('data-row', 's12');
	for (const [button, format, mark] of [
		['Export the score', 'SVG', /Baker’s dawn/],
		['Export the map', 'SVG', /open nodes/]
	] as const) {
		const waiting = page.waitForEvent('download');
		await page.getByRole('button', { name: button }).click();
		await page.getByRole('menuitem', { name: new RegExp(format) }).click();
		const svg = readFileSync((await (await waiting).path())!, 'utf8');
		expect(svg).toMatch(mark);
		expect(svg).not.toContain('var(--');
	}
	const png = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Export the score' }).click();
	await page.getByRole('menuitem', { name: /PNG/ }).click();
	const bytes = readFileSync((await (await png).path())!);
	expect([...bytes.subarray(1, 4)].map((c) => String.fromCharCode(c)).join('')).toBe('PNG');
	expect(bytes.length).toBeGreaterThan(20_000);
});

test('the tour leads through five places and can be left; faces print on two pages; the figure takes another skin', async ({
	page
}) => {
	await beginDemo(page, '/compose/demo-bakers-dawn');
	await page.keyboard.press('?');
	await page.getByRole('button', { name: 'Show me around' }).click();
	for (const title of ['The face', 'The steps', 'In words', 'The score'])
		await test.step(title, async () => {
			await expect(page.getByRole('heading', { name: title, exact: true })).toBeVisible();
			await page.getByRole('button', { name: 'Next' }).click();
		});
	await expectAccessible(page);
	await page.getByRole('button', { name: 'Leave' }).click();
	await expect(page.getByText(/ of 5$/)).toBeHidden();
	await page.goto(`${demoURL}/print/demo-bakers-dawn/faces`);
	await expect(page.getByRole('img', { name: /^Step \d+, / })).toHaveCount(24);
	await expectAccessible(page);
	const pdf = (await page.pdf({ format: 'A4' })).toString('latin1');
	expect(pdf.match(/\/Type\s*\/Page[^s]/g)!.length).toBeLessThanOrEqual(2);
	await page.goto(`${demoURL}/settings`);
	await page.getByRole('radio', { name: 'Umber' }).click();
	await expect(page.locator('html')).toHaveAttribute('style', /--skin: ?#6b4736/);
});

test('a sequence of 2,000 steps opens, draws only what is in sight, and is edited', async ({ page }) => {
	await beginDemo(page, '/compose/demo-three-minutes');
	await page.getByRole('tab', { name: 'Text' }).click();
	const text = page.getByRole('textbox', { name: 'The sequence as text' });
	await text.click();
	await page.keyboard.press('Control+End');
	await page.keyboard.insertText(`\n~ Much\n${'drain chin > jawline, 1\n'.repeat(1989)}`);
	await expect(page.getByText(/not understood/)).toBeVisible();
	await expect(page.getByRole('button', { name: /At most 2000 steps are allowed/ })).toBeVisible();
	await page.keyboard.press('Backspace');
	for (let i = 0; i < 23; i++) await page.keyboard.press('Backspace');
	await expect(page.getByText('In step with the list: 2000 steps.')).toBeVisible();
	expect(await page.locator('[data-row]').count()).toBeLessThan(120);
	await page.getByRole('tab', { name: /Findings/ }).click();
	// The same rule on two thousand steps is one finding, which names some of them.
	await expect(page.locator('[data-rule]').first()).toBeVisible();
	expect(await page.locator('[data-rule]').count()).toBeLessThan(40);
	await page.getByRole('tab', { name: 'Step' }).click();
	await page.locator('[data-row]').nth(3).locator('[data-step-button]').click();
	await page.keyboard.press('+');
	await expect(page.getByRole('button', { name: /^Undo: Change repeats/ })).toBeVisible();
	await saved(page);
});
