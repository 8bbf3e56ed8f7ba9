import { expect, test } from '@playwright/test';
import { sequenceOf, step } from '../src/lib/core/testing';
import { writeSequenceFile } from '../src/lib/formats/sequenceFile';
import { beginDemo, demoURL, offer } from './support';

const good = () => JSON.parse(writeSequenceFile(sequenceOf([step('a', ['chin', 'jawline'])])));

test('bad files get a sentence that names the place, and nothing stored changes', async ({ page }) => {
	await beginDemo(page, '/exchange');
	const before = await page.getByText(/^In this browser/).innerText();
	const wrong = good();
	wrong.phases[0].blocks[0].steps[0].dose.min = -2;
	const far = good();
	far.phases[0].blocks[0].steps[0].places = ['knee', 'jawline'];
	const many = good();
	many.phases[0].blocks[0].steps = Array.from({ length: 10_000 }, () => ({}));
	for (const [text, sentence] of [
		['{ not json', 'The file is not JSON'],
		['{"format":"some/other","version":1}', 'is of the format "some/other"'],
		[JSON.stringify({ ...good(), version: 7 }), 'is of version 7; this program reads up to version 4'],
		[JSON.stringify(wrong), 'phases[0].blocks[0].steps[0].dose.min'],
		[JSON.stringify(far), 'phases[0].blocks[0].steps[0].places[0]'],
		[JSON.stringify(many), 'has 10000 steps; at most 2000 are allowed']
	] as const) {
		await offer(page, text);
		await expect(page.getByRole('alert')).toContainText(sentence);
	}
	expect(await page.getByText(/^In this browser/).innerText()).toBe(before);
});

test('script in a text field stays text, in the list, in the editor and on paper', async ({ page }) => {
	await beginDemo(page, '/exchange');
	const evil = {
		...good(),
		id: 'evil',
		title: '<img src=x onerror="window.hurt=1"><script>window.hurt=1</script>'
	};
	await offer(page, JSON.stringify(evil));
	await page.getByRole('button', { name: 'Import' }).click();
	await expect(page.getByText('1 record is in.')).toBeVisible();
	for (const path of ['/compose', '/compose/evil', '/print/evil']) {
		await page.goto(demoURL + path);
		await page.getByText('<img src=x').first().or(page.getByLabel('Title of the sequence')).first().waitFor();
		expect(await page.evaluate(() => (window as { hurt?: number }).hurt)).toBeUndefined();
	}
});

test('a full disk is told in plain words, the work goes on and can be exported', async ({ page }) => {
	await beginDemo(page, '/compose/demo-bakers-dawn');
	await page.evaluate(() => {
		IDBObjectStore.prototype.put = () => {
			throw new DOMException('full', 'QuotaExceededError');
		};
	});
	await page.getByLabel('Title of the sequence').fill('Dawn on a full disk');
	await page.keyboard.press('Tab');
	await expect(page.getByRole('alert').first()).toContainText(
		'is full, so the last change is not saved. Export a backup now'
	);
	await expect(page.getByText('Not saved', { exact: true })).toBeVisible();
	const waiting = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Export it' }).click();
	expect((await waiting).suggestedFilename()).toBe('dawn-on-a-full-disk.json');
});

test('moves of another library and parts that contradict each other are kept, timed and named', async ({ page }) => {
	await beginDemo(page, '/exchange');
	const file = good();
	file.id = 'from-afar';
	const [a] = file.phases[0].blocks[0].steps;
	const circles = { ...a, id: 'b', aim: 'release', places: ['temple'], motion: 'pinned-circle', lanes: 3 };
	file.phases[0].blocks[0].steps = [{ ...a, techniqueId: 'moon-stroke' }, circles];
	file.goals = [{ id: 'jaw-contour', weight: 0 }];
	await offer(page, JSON.stringify(file));
	await page.getByRole('button', { name: 'Import' }).click();
	await expect(page.getByText('1 record is in.')).toBeVisible();
	await page.goto(`${demoURL}/compose/from-afar`);
	await page.locator('[data-row]').first().click();
	await expect(page.getByText('a move named “moon-stroke”, which is not in this library.')).toBeVisible({
		timeout: 15_000
	});
	await expect(page.getByText(/· 0:00 to 0:10$/)).toBeVisible();
	await page.locator('[data-row="b"] [data-step-button]').press('Enter');
	await expect(page.getByText('2 has lanes side by side, though it stays where it is.')).toBeVisible();
	await page.getByRole('tab', { name: 'Sequence' }).click();
	await expect(page.getByText(/^All goals have no weight/)).toBeVisible();
});
