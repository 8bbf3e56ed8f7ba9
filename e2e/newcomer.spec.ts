import { strFromU8, unzipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { closeSession } from './steps.mjs';
import { begin, choose, counting, drag, place, saved, mend, startSession, skipUntil } from './support';

test('from an empty start to a session, what changed, and all of it back from a file', async ({ page }) => {
	await begin(page);
	await expect(page.getByText('Somebody in the chair')).toBeVisible();

	await test.step('a client', async () => {
		await page.getByRole('link', { name: 'Add a client' }).click();
		await page.getByLabel('Name of the new client').fill('Quay 3');
		await page.getByRole('button', { name: 'Add client' }).click();
		await expect(page.getByRole('heading', { name: 'Quay 3' })).toBeVisible();
	});

	await test.step('a sequence, composed on the map', async () => {
		await page.getByRole('link', { name: 'Compose', exact: true }).click();
		await page.getByRole('button', { name: 'New sequence' }).click();
		await page.getByLabel('Title of the sequence').fill('Short lids');
		await page.keyboard.press('Enter');
		await place(page, 'n:terminus').click({ force: true });
		await choose(page, 'open-nodes');
		await drag(page, 'malar', 'zygoma');
		await choose(page, 'light-stroke');
		await expect(page.getByRole('button', { name: /^2\. Drain/ }).first()).toBeVisible();
		await page.getByRole('button', { name: 'Hand or tool: three fingers' }).click();
		await page.getByRole('menuitemradio', { name: 'Ring finger' }).click();
		await page.getByRole('radio', { name: '1 light' }).click();
		await page.getByLabel('Repeats in reps').fill('4');
		await page.keyboard.press('Enter');
		await page.getByRole('button', { name: 'Side: both' }).click();
		await page.getByRole('menuitemradio', { name: 'Left, then right' }).click();
		await saved(page);
	});

	await test.step('its findings, and a fix', async () => {
		await page.getByRole('tab', { name: /Findings/ }).click();
		const stranded = page.getByText('2 leaves fluid behind on both sides: apple of the cheek and cheekbone.').first();
		await expect(stranded).toBeVisible();
		await mend(page, 'Add drain link');
		await expect(stranded).toBeHidden();
		await page.getByRole('button', { name: /^Undo: Drain to the outlet/ }).click();
		await expect(stranded).toBeVisible();
		await page.getByRole('button', { name: /^Redo: Drain to the outlet/ }).click();
		await expect(page.getByRole('button', { name: /^Redo/ })).toBeDisabled();
		await saved(page);
	});

	await test.step('undo survives a reload', async () => {
		await page.reload();
		await expect(page.getByLabel('Title of the sequence')).toHaveValue('Short lids');
		await expect(page.getByRole('button', { name: /^Undo: Drain to the outlet/ })).toBeEnabled();
	});

	await test.step('grade, measure, perform', async () => {
		await startSession(page);
		for (let i = 0; i < 3; i++) await place(page, 'malar').click();
		await expect(page.getByRole('button', { name: /Apple of the cheek, client’s left: 3, marked/ })).toBeVisible();
		await page.getByLabel('Tragus to mouth corner, client’s left, mm').fill('10.4');
		await page.keyboard.press('Tab');
		await expect(page.getByRole('alert')).toContainText('Read in centimetres it would be 104.0');
		await page.getByRole('button', { name: 'Take 104.0' }).click();
		await expect(page.getByLabel('Tragus to mouth corner, client’s left, mm')).toHaveValue('104.0');
		for (const side of ['left', 'right'])
			for (const [name, mm] of [
				['Tragus to mouth corner', '104'],
				['Jaw angle to nose wing', '88.5'],
				['Jaw angle to outer eye corner', '96']
			])
				await page.getByLabel(`${name}, client’s ${side}, mm`).fill(mm!);
		await page.keyboard.press('Tab');
		await page.getByRole('button', { name: /^Start, / }).click();
		await expect(page.getByRole('heading', { name: 'Collarbone' })).toBeVisible();
		await page.keyboard.press('Space');
		await expect(page.getByRole('button', { name: /^Pause space/ })).toBeVisible();
		await counting(page);
		await page.keyboard.press('Space');
		await page.reload();
		await expect(page.getByRole('button', { name: /^Go on space/ })).toBeVisible();
		await page.keyboard.press('Space');
		await skipUntil(page, page.getByRole('heading', { name: 'Apple of the cheek to cheekbone' }));
		await skipUntil(page, page.getByRole('heading', { name: 'And now' }));
	});

	await test.step('look again, and see what changed', async () => {
		// Blind to what was before: nothing of it shows until it is asked for.
		await page.getByLabel('Grade blind to what was before').check();
		await place(page, 'malar').click();
		await expect(page.getByText(/what was before is hidden until you ask/)).toBeVisible();
		await page.getByRole('button', { name: 'Show what was before' }).click();
		await expect(page.getByText('Graded blind.')).toBeVisible();
		await page.getByLabel('Tragus to mouth corner, client’s left, mm').fill('99');
		await page.getByLabel('Jaw angle to nose wing, client’s left, mm').fill('88');
		await page.getByLabel('Jaw angle to outer eye corner, client’s left, mm').fill('95');
		await page.keyboard.press('Tab');
		await expect(
			page.getByText(
				/Graded: the left apple of the cheek from marked to slight; one pair of grades is not judged alone/
			)
		).toBeVisible();
		await closeSession(page);
		await expect(page.getByRole('heading', { name: 'Quay 3' })).toBeVisible();
		const tape = page.getByRole('table', { name: /Tape distances/ });
		await expect(tape).toContainText('104.0 to 99.0');
		await expect(tape).toContainText('−5.0');
		await expect(page.getByRole('table', { name: /Puffiness/ })).toContainText('3 to 1');
	});

	await test.step('everything out, wiped, and in again', async () => {
		await page.getByRole('link', { name: 'Exchange' }).click();
		await expect(page.getByText('1 clients, 1 sequences, 1 sessions')).toBeVisible();
		const waiting = page.waitForEvent('download');
		await page.getByRole('button', { name: 'Export all' }).click();
		const path = await (await waiting).path();
		const inside = unzipSync(readFileSync(path));
		expect(strFromU8(inside['backup.json']!)).toContain('Not medical care');
		await page.getByRole('button', { name: /Delete all …/ }).click();
		await page.getByRole('button', { name: 'Delete all', exact: true }).click();
		await page.getByRole('button', { name: 'I have read this' }).click();
		await page.locator('input[type=file]').setInputFiles(path);
		await expect(page.getByText('3 added')).toBeVisible();
		await page.getByRole('button', { name: 'Import' }).click();
		await expect(page.getByText('3 records are in.')).toBeVisible();
		await page.getByRole('link', { name: 'Progress' }).click();
		await page.getByLabel(/^Client: /).click();
		await page.getByRole('option', { name: 'Quay 3' }).click();
		await expect(page.getByRole('table', { name: /Puffiness/ })).toContainText('3 to 1');
	});
});
