import { expect, test, type Page } from '@playwright/test';
import { beginDemo, demoURL, expectAccessible, saved } from './support';

const ribbon = (page: Page) => page.locator('[data-ribbon="lower-eyelid"]').first();
const clockTo = (page: Page, seconds: number) =>
	page.getByRole('slider', { name: 'Moment in the sequence' }).evaluate((slider, to) => {
		(slider as HTMLInputElement).value = String(to);
		slider.dispatchEvent(new Event('input', { bubbles: true }));
	}, seconds);
const setFaces = async (page: Page, faces: number) => page.getByLabel('Modelled faces').fill(String(faces));
const runIt = (page: Page) => page.getByRole('button', { name: /^Run them over/ }).click();

test('the tide follows every edit, the cursor and the start; where it went adds up; a step says what it is worth', async ({
	page
}) => {
	await beginDemo(page, '/compose/demo-bakers-dawn');
	await expect(ribbon(page)).toBeAttached();
	await expect(page.locator('[data-tide]')).toHaveAttribute('aria-label', /Lower eyelid: left from 75 to \d+/);
	const before = await ribbon(page).getAttribute('d');
	await page.locator('[data-row]').nth(11).locator('[data-step-button]').click();
	await expect(page.locator('[data-worth]')).toContainText(/Without this step/);
	for (let i = 0; i < 4; i++) await page.keyboard.press('+');
	await expect.poll(() => ribbon(page).getAttribute('d')).not.toBe(before);

	const figures = async () => {
		const text = await page.locator('[data-balance]').innerText();
		const [face, neck, nodes, returned, start, came = 0] = [...text.matchAll(/\d+\.\d/g)].map(Number);
		return { sum: face! + neck! + nodes! + returned!, all: start! + came, face: face!, returned: returned! };
	};
	const start = await figures();
	await clockTo(page, 420);
	await expect.poll(async () => (await figures()).returned).toBeGreaterThan(start.returned);
	const now = await figures();
	expect(Math.abs(now.sum - now.all)).toBeLessThan(0.31);
	expect(now.face).toBeLessThan(start.face);
	const lid = page.locator('[data-place="lower-eyelid"][data-side="left"]');
	await expect(lid).toHaveAttribute('aria-label', /modelled tide [1-6]\d of 100/);
	await expectAccessible(page);

	const mark = page.locator('[data-mark]').first();
	const words = (await mark.getAttribute('aria-label'))!;
	await mark.click();
	await expect(page.getByRole('complementary').locator('.flare').first()).toHaveText(/^Step (\d+)/.exec(words)![1]!);
	await expect(page.locator('[data-worth], [data-model]').first()).toBeVisible();

	await page.getByLabel(/^The face at the start/).click();
	await page.getByRole('option', { name: 'Nothing swollen' }).click();
	await expect(page.locator('[data-ribbon]')).toHaveCount(0);
	await page.getByLabel(/^The face at the start/).click();
	await page.getByRole('option', { name: 'Heavy along the jaw' }).click();
	await expect(page.locator('[data-ribbon="submental"]').first()).toBeAttached();
	await saved(page);
});

test('what computes the tide may die: it is started again, nothing is lost, and weighs every step', async ({
	page
}) => {
	await page.addInitScript(() => {
		const Real = window.Worker;
		const opened: Worker[] = [];
		Object.assign(window, { opened });
		window.Worker = class extends Real {
			constructor(...args: ConstructorParameters<typeof Worker>) {
				super(...args);
				opened.push(this);
			}
		};
	});
	await beginDemo(page, '/compose/demo-three-minutes');
	await expect(page.locator('[data-ribbon]').first()).toBeAttached();
	const d = () => page.locator('[data-ribbon]').first().getAttribute('d');
	const before = await d();
	await page.evaluate(() => {
		const [worker] = (window as unknown as { opened: Worker[] }).opened;
		worker!.terminate();
		worker!.dispatchEvent(new ErrorEvent('error', { cancelable: true }));
	});
	await page.locator('[data-row]').nth(3).locator('[data-step-button]').click();
	await page.keyboard.press('+');
	await page.keyboard.press('+');
	await expect.poll(d).not.toBe(before);
	expect(await page.evaluate(() => (window as unknown as { opened: Worker[] }).opened.length)).toBe(2);
	await expect(page.getByText(/was started again\. Nothing is lost\./)).toBeVisible();
	await page.getByRole('button', { name: 'What each step is worth' }).click();
	await expect(page.locator('[data-worth-lane] title').first()).toHaveText(/^Step 1: /);
	await expect(page.locator('[data-step-button]').first()).toHaveAttribute(
		'aria-label',
		/, in the model less than 1 % of all fluid/
	);
	await page.getByRole('button', { name: 'What each step is worth' }).click();
	await expect(page.locator('[data-worth-lane]')).toHaveCount(0);
});

test('two sequences over a thousand faces: sentences, charts, tables; cancelled; saved and repeated to the same figures, the server’s too', async ({
	page,
	request
}) => {
	await beginDemo(page, '/compose/tide?ids=demo-bakers-dawn,demo-glass-jaw');
	await setFaces(page, 0);
	await runIt(page);
	await expect(page.getByRole('alert').filter({ hasText: 'draws' })).toBeVisible();
	await setFaces(page, 10_000);
	await runIt(page);
	await page.getByRole('button', { name: 'Cancel' }).click();
	await expect(page.getByRole('alert').filter({ hasText: /^Cancelled after \d+ of 10000 faces/ })).toBeVisible();
	await setFaces(page, 200);
	await runIt(page);
	const all = page.locator('[data-outcome="all"]');
	await expect(all).toContainText(/of 200 modelled faces/);
	await expect(all.getByRole('img')).toHaveCount(3);
	await all.getByText('Table, and what the answer hangs on').click();
	await expect(all.getByRole('table')).toContainText('Glassblower');
	await expectAccessible(page);
	await page.getByRole('button', { name: 'Save this comparison' }).click();
	await page.getByRole('button', { name: 'Repeat exactly' }).click();
	await expect(page.getByText('Repeated: the same figures.')).toBeVisible();

	const kept = await page.evaluate(async () => {
		const open = indexedDB.open('soft-tide-demo');
		await new Promise((done) => (open.onsuccess = done));
		const get = open.result.transaction('comparisons').objectStore('comparisons').getAll();
		await new Promise((done) => (get.onsuccess = done));
		return get.result[0] as {
			input: { sequences: unknown[]; working: unknown; draws: number; seed: number; grades: number[] };
			result: { falls: { all: { median: number; p5: number }[] } };
		};
	});
	const zones = (await (
		await request.post('/api/v1/simulate', { data: { sequence: kept.input.sequences[0] } })
	).json()) as {
		zones: string[];
	};
	const start = kept.input.grades.map((grade, i) => {
		const [zone, side] = zones.zones[i]!.split(':');
		return { zone, side, grade };
	});
	const { sequences, working, draws, seed } = kept.input;
	const answer = await request.post('/api/v1/compare', { data: { sequences, working, draws, seed, start } });
	const { result } = (await answer.json()) as { result: typeof kept.result };
	for (const i of [0, 1]) {
		expect(Math.abs(result.falls.all[i]!.median - kept.result.falls.all[i]!.median)).toBeLessThan(1e-12);
		expect(Math.abs(result.falls.all[i]!.p5 - kept.result.falls.all[i]!.p5)).toBeLessThan(1e-12);
	}
	const dear = await request.post('/api/v1/compare', { data: { sequences, draws: 10_000 } });
	expect(dear.status()).toBe(422);
	expect(((await dear.json()) as { detail: string }).detail).toContain('modelled seconds');
});

test('one sequence against its own other ways; from the overview several at once', async ({ page }) => {
	await beginDemo(page, '/compose/tide?ids=demo-three-minutes');
	await expect(page.getByLabel('Done how, B: Steps in reverse order')).toBeVisible();
	await page.getByRole('button', { name: 'Another one' }).click();
	await page.getByLabel(/^Done how, C/).click();
	await page.getByRole('option', { name: 'Hands at rest instead of openings' }).click();
	await expect(page.getByRole('option')).toHaveCount(0);
	await setFaces(page, 60);
	await runIt(page);
	await expect(page.locator('[data-outcome="all"]')).toContainText('hands at rest instead of openings', {
		timeout: 30_000
	});
	await expect(page.locator('[data-outcome="eyes"] p').first()).toContainText(/leave/);
	await expect(page.locator('[data-input-note]')).toContainText('They differ in their openings.');
	await page.getByText('Table, and what the answer hangs on').first().click();
	await expect(page.locator('[data-matrix]').first().locator('tbody tr')).toHaveCount(3);
	await expect(page.locator('[data-where]').getByRole('table')).toContainText('returned to the veins');
	await expectAccessible(page);
	await page.goto(`${demoURL}/compose`);
	const ticks = page.getByRole('checkbox', { name: /compare/i });
	await ticks.nth(0).click();
	await ticks.nth(1).click();
	await page.getByRole('link', { name: 'Compare their tide' }).click();
	await expect(page.locator('[data-entry]')).toHaveCount(2);
});

test('the explanation: a small model to play with', async ({ page }) => {
	await beginDemo(page, '/library/model');
	const toy = page.getByRole('region', { name: 'A small model to play with' });
	const said = toy.getByRole('status');
	await expect(said).toContainText('The cheek fell');
	const light = await said.innerText();
	await toy.getByRole('radio', { name: 'Deep' }).click();
	await expect(said).not.toHaveText(light);
	await toy.getByRole('radio', { name: 'Against it' }).click();
	await expect(said).toContainText('The cheek');
	const level = () => toy.locator('[data-level="cheekMl"]').getAttribute('d');
	const before = await level();
	await toy.getByRole('slider').press('End');
	await expect.poll(level).not.toBe(before);
	await page.getByText('All parameters: shown, not edited').click();
	await expect(page.getByRole('row', { name: /^tZ/ })).toContainText('2700');
	await expectAccessible(page);
});
