import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { beginDemo, choose, demoURL, drag, dragRow, mend, place, saved } from './support';

test('phases: add, rename, fold, remove; undo brings a removed one back', async ({ page }) => {
	await beginDemo(page, '/compose/demo-three-minutes');
	await page.getByRole('button', { name: 'Phase', exact: true }).click();
	await page.getByRole('button', { name: 'More for the phase New phase' }).click();
	await page.getByRole('menuitem', { name: 'Rename' }).click();
	await page.getByLabel('Name of the phase').fill('Afterwards');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('button', { name: 'Afterwards', exact: true })).toBeVisible();
	const face = page.getByRole('button', { name: 'Face', exact: true });
	await face.click();
	await expect(face).toHaveAttribute('aria-expanded', 'false');
	await expect(page.locator('[data-row="s6"]')).toHaveCount(0);
	await face.click();
	await page.getByRole('button', { name: 'More for the phase Face' }).click();
	await page.getByRole('menuitem', { name: 'Remove with its steps' }).click();
	await expect(page.locator('[data-row]')).toHaveCount(7);
	await page.getByRole('button', { name: 'Undo: Remove the phase Face' }).click();
	await expect(page.locator('[data-row]')).toHaveCount(12);
	await saved(page);
});

test('a step dragged to another place keeps its values', async ({ page }) => {
	await beginDemo(page, '/compose/demo-three-minutes');
	await dragRow(page, 's5', 's2');
	const order = await page.locator('[data-row]').evaluateAll((rows) => rows.map((r) => (r as HTMLElement).dataset.row));
	expect(order.slice(0, 3)).toEqual(['s1', 's5', 's2']);
	await expect(page.getByRole('button', { name: /^Undo: Move step 5/ })).toBeVisible();
});

test('the inspector changes everything of a step, and the score and the times follow', async ({ page }) => {
	await beginDemo(page, '/compose/demo-three-minutes');
	await page.locator('[data-row="s8"] [data-step-button]').click();
	const inspector = page.getByRole('complementary', { name: 'Inspector' });
	await inspector.getByLabel(/^Hand or tool/).click();
	await page.getByRole('option', { name: 'Tool' }).click();
	await inspector.getByLabel(/^Tool/).click();
	await page.getByRole('option', { name: 'Roller' }).click();
	await inspector.getByLabel(/^Motion/).click();
	await page.getByRole('option', { name: 'Sweep', exact: true }).click();
	await inspector.getByRole('radio', { name: /^2 medium, above the cap/ }).click();
	await expect(inspector.getByText(/is medium \(2\) on the jawline, light \(1\) at most/)).toBeVisible();
	await inspector.getByLabel('pace in seconds', { exact: true }).fill('3');
	await page.keyboard.press('Tab');
	await inspector.getByLabel(/^Side/).click();
	await page.getByRole('option', { name: 'Left only' }).click();
	await expect(inspector.getByText(/is uneven on the jawline/)).toBeVisible();
	await inspector.getByLabel('Why only one side').fill('the left is fuller');
	await page.keyboard.press('Tab');
	await expect(inspector.getByText(/is uneven on the jawline/)).toBeHidden();
	await mend(page, 'Lower it');
	await expect(inspector.getByRole('radio', { name: '1 light' })).toBeChecked();
	await expect(page.locator('[data-step="s8"]')).toHaveAttribute('aria-label', /Drain: .*light, 5 ×, left only/);
	await inspector.getByLabel('Note', { exact: true }).fill('slowly');
	await page.keyboard.press('Tab');
	await saved(page);
	await page.reload();
	await page.locator('[data-row="s8"] [data-step-button]').click();
	await expect(inspector.getByLabel('Note', { exact: true })).toHaveValue('slowly');
});

test('the school judges: another one, other severities; the steps stay', async ({ page }) => {
	await beginDemo(page, '/compose/demo-stone-knuckle');
	await page.getByRole('tab', { name: 'Sequence' }).click();
	const rows = await page.locator('[data-row]').count();
	await page.getByLabel(/^School: Rise and drain/).click();
	await page.getByRole('option', { name: 'Outlet first' }).click();
	await page.getByRole('tab', { name: /Findings/ }).click();
	await expect(page.getByTitle('Caution').first()).toBeVisible();
	expect(await page.locator('[data-row]').count()).toBe(rows);
	await page.getByRole('tab', { name: 'Sequence' }).click();
	await page.getByLabel('minutes', { exact: true }).fill('3');
	await page.keyboard.press('Tab');
	await page.getByRole('tab', { name: /Findings/ }).click();
	await expect(page.getByText(/The sequence is \d:\d\d over its time/)).toBeVisible();
});

test('a stroke dragged in profile, a point in front, a move for the whole face', async ({ page }) => {
	await beginDemo(page, '/compose');
	await page.getByRole('button', { name: 'New sequence' }).click();
	await page.getByRole('radio', { name: 'Profile' }).click();
	await drag(page, 'forehead-lateral', 'zygoma');
	await choose(page, 'light-stroke');
	await expect(page.getByRole('button', { name: /^1\. Drain: Side of the forehead to/ }).first()).toBeVisible();
	await page.getByRole('radio', { name: 'Front' }).click();
	await place(page, 'chin').click();
	await page.getByRole('button', { name: 'Cancel' }).click();
	await place(page, 'chin').click();
	await choose(page, 'hold-point');
	await expect(page.locator('[data-row]')).toHaveCount(2);
	await page.keyboard.press('w');
	await choose(page, 'spread-oil');
	await expect(page.getByText('Whole face').first()).toBeVisible();
});

test('one sequence out and, changed, in again: the preview says changed, the old one is kept', async ({ page }) => {
	await beginDemo(page, '/exchange');
	await expect(page.getByRole('button', { name: /^Export Nape/ })).toHaveCount(0);
	await page.getByLabel('One sequence').fill('nape');
	const waiting = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Export Nape to collarbone' }).click();
	const file = await waiting;
	expect(file.suggestedFilename()).toBe('nape-to-collarbone.json');
	const text = readFileSync(await file.path(), 'utf8');
	const offer = (content: string) =>
		page
			.locator('input[type=file]')
			.setInputFiles({ name: 'n.json', mimeType: 'application/json', buffer: Buffer.from(content) });
	await offer(text);
	await expect(page.getByRole('button', { name: 'Nothing to import' })).toBeDisabled();
	await page.getByRole('button', { name: 'Cancel' }).click();
	await offer(text.replace('Nape to collarbone', 'Nape, slower'));
	await expect(page.getByText('1 changed')).toBeVisible();
	await page.getByRole('button', { name: 'Import' }).click();
	await expect(page.getByText('1 record is in.')).toBeVisible();
	await page.goto(`${demoURL}/compose/demo-nape-collarbone`);
	await expect(page.getByRole('alertdialog', { name: 'Two versions of this sequence' })).toContainText(
		'Nape to collarbone'
	);
});

test('clients: a new one by a code, removed with her sessions after asking', async ({ page }) => {
	await beginDemo(page, '/clients');
	await page.getByRole('button', { name: 'Add client' }).click();
	await expect(page.getByRole('alert')).toContainText('Give a code or a name');
	await page.getByLabel('Name of the new client').fill('Lock 9');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { name: 'Lock 9' })).toBeVisible();
	await page.getByRole('radio', { name: 'Record' }).click();
	await page.getByLabel('Client alert').fill('birch pollen');
	await page.keyboard.press('Tab');
	await expect(page.getByText('Saved', { exact: true })).toBeVisible();
	await page.goto(demoURL);
	await expect(page.getByText('birch pollen')).toBeVisible();
	await page.goto(`${demoURL}/clients`);
	await page.getByRole('link', { name: /Lock 9/ }).click();
	const remove = async () => {
		await page.getByRole('button', { name: 'Archive, export, remove' }).click();
		await page.getByRole('menuitem', { name: /Remove this client/ }).click();
	};
	await remove();
	await page.getByRole('button', { name: 'Keep' }).click();
	await remove();
	await page.getByRole('button', { name: 'Remove for good' }).click();
	await expect(page.getByRole('heading', { name: 'Lock 9', exact: true })).toBeHidden();
	// Nothing of her is left in the browser: neither in a table nor in the other store.
	const left = await page.evaluate(async () => {
		const opening = indexedDB.open('soft-tide-demo');
		await new Promise((done) => (opening.onsuccess = done));
		const db = opening.result;
		const rows = await Promise.all(
			[...db.objectStoreNames].map(
				(name) =>
					new Promise((done) => {
						const all = db.transaction(name).objectStore(name).getAll();
						all.onsuccess = () => done(all.result);
					})
			)
		);
		db.close();
		return JSON.stringify([rows, { ...localStorage }]);
	});
	expect(left).toContain('demo-odile');
	expect(left).not.toMatch(/Lock 9|birch pollen/);
});

test('a client changed in two windows: both versions are offered side by side', async ({ page, context }) => {
	await beginDemo(page, '/clients/demo-odile');
	const other = await context.newPage();
	// The other window holds an old copy: it reads once and follows nothing.
	await other.goto(`${demoURL}/clients/demo-odile`);
	await other.getByRole('heading', { name: 'Odile K.' }).waitFor();
	await other.evaluate(async () => {
		const open = indexedDB.open('soft-tide-demo');
		const db = await new Promise<IDBDatabase>((resolve) => (open.onsuccess = () => resolve(open.result)));
		const tx = db.transaction(['clients', 'secondVersions'], 'readwrite');
		const get = tx.objectStore('clients').get('demo-odile');
		await new Promise((resolve) => (get.onsuccess = resolve));
		const record = { ...get.result, cautions: 'No seed oils either.' };
		tx.objectStore('secondVersions').put({
			id: 'late',
			kind: 'client',
			recordId: 'demo-odile',
			savedAt: record.updatedAt,
			record
		});
		await new Promise((resolve) => (tx.oncomplete = resolve));
		db.close();
	});
	await page.reload();
	const panel = page.getByRole('region', { name: 'Two versions of this record' });
	await expect(panel).toContainText('No nut oils.');
	await expect(panel).toContainText('No seed oils either.');
	await panel.getByRole('button', { name: 'Go on with the other' }).click();
	await expect(panel).toBeHidden();
	await page.getByRole('radio', { name: 'Record' }).click();
	await expect(page.getByLabel('Client alert')).toHaveValue('No seed oils either.');
});

test('goals show what they get, and fitting to the minutes says what it would change before it does', async ({
	page
}) => {
	await beginDemo(page, '/compose/demo-bakers-dawn');
	await page.getByRole('tab', { name: 'Sequence' }).click();
	const under = page.getByRole('region', { name: 'Under-eye puffiness' });
	await expect(under).toContainText(/\d+ % served/);
	await expect(under).toContainText('s light');
	await page.getByLabel('Add a goal: One more goal').click();
	await page.getByRole('option', { name: 'Jaw tension' }).click();
	await expect(page.getByRole('region', { name: 'Jaw tension' })).toContainText('s deep');
	await page.getByLabel('minutes', { exact: true }).fill('7');
	await page.keyboard.press('Tab');
	await page.getByRole('button', { name: /^Fit to 7:00/ }).click();
	const preview = page.getByRole('region', { name: 'What fitting would change' });
	await expect(preview).toContainText('Counts are lowered within their ranges; nothing is left out.');
	await preview.getByRole('button', { name: 'Apply' }).click();
	await expect(page.getByText('of 7:00')).toContainText(/^6:\d\d|^7:00/);
	await page.getByRole('button', { name: 'Undo: Fit to 7:00' }).click();
	await page.getByLabel('minutes', { exact: true }).fill('2');
	await page.keyboard.press('Tab');
	await page.getByRole('button', { name: /^Fit to 2:00/ }).click();
	await expect(preview).toContainText('It does not fit. At least');
});

test('the film: a stroke on bare skin is named, mended with drops, and the inspector says how much', async ({
	page
}) => {
	await beginDemo(page, '/compose');
	await page.getByRole('button', { name: 'New sequence' }).click();
	await drag(page, 'malar', 'zygoma');
	await choose(page, 'light-stroke');
	await page.getByRole('tab', { name: /Findings/ }).click();
	await expect(page.getByText('1 slides on the apple of the cheek without a medium.')).toBeVisible();
	await mend(page, 'Take some first');
	await expect(page.getByText('without a medium')).toBeHidden();
	await page.getByRole('tab', { name: 'Step', exact: true }).click();
	await expect(page.getByLabel('Medium: Light oil')).toBeVisible();
	await expect(page.getByText('1 drop for full cover')).toBeVisible();
	await page.getByLabel('Medium: Light oil').click();
	await page.getByRole('option', { name: 'Almond oil' }).click();
	await expect(page.getByText(/for full cover · nuts/)).toBeVisible();
	await saved(page);
});
