import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { beginDemo, DEMO_DB, demoURL, expectAccessible, recordsIn, saved } from './support';

/** Until the page's own clock is so much later: its frames may stand still meanwhile. */
async function untilLater(page: Page, ms: number): Promise<void> {
	const from = await page.evaluate(() => performance.now());
	await page.waitForFunction(([t, d]) => performance.now() - t! > d!, [from, ms], { polling: 50 });
}

test('the clock of the stage stays true in a hidden tab, and a halt is no work', async ({ page }) => {
	await beginDemo(page, '/session?sequence=demo-three-minutes');
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).waitFor();
	// Frames stop, as in a hidden tab; the clock of the machine goes on.
	await page.evaluate(() => {
		const state = window as unknown as { real: typeof requestAnimationFrame; late: FrameRequestCallback[] };
		state.real = window.requestAnimationFrame;
		state.late = [];
		window.requestAnimationFrame = (f) => state.late.push(f);
	});
	await page.keyboard.press('Space');
	await untilLater(page, 8500);
	await page.evaluate(() => {
		const state = window as unknown as { real: typeof requestAnimationFrame; late: FrameRequestCallback[] };
		window.requestAnimationFrame = state.real;
		state.late.forEach((f) => f(performance.now()));
	});
	// Seven pumps at the collarbone take seven seconds: the second step is under way.
	await expect(page.getByRole('heading', { name: 'Neck nodes' })).toBeVisible();
	await page.keyboard.press('Space');
	await untilLater(page, 1500);
	await page.keyboard.press('Space');
	await page.keyboard.press('Space');
	await page.keyboard.press('e');
	await expect(page.getByText(/and a halt of 0:0\d/)).toBeVisible();
});

test('skipping and going back; what was skipped is not done', async ({ page }) => {
	await beginDemo(page, '/session?sequence=demo-three-minutes');
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).click();
	await page.keyboard.press('ArrowRight');
	await page.keyboard.press('ArrowRight');
	await expect(page.getByRole('heading', { name: 'Nodes below the ear' })).toBeVisible();
	await page.keyboard.press('ArrowLeft');
	await expect(page.getByRole('heading', { name: 'Neck nodes' })).toBeVisible();
	for (let i = 0; i < 11; i++) await page.keyboard.press('ArrowRight');
	await expect(page.getByRole('heading', { name: 'And now' })).toBeVisible();
	await expect(page.getByText(/of 12/)).toBeVisible();
	await page.getByLabel('Side effects, if any').fill('a little redness');
	await page.getByLabel('Note for next time').fill('five more on the right');
	await page.getByRole('button', { name: 'Close session' }).click();
	await expect(page.getByText('a little redness')).toBeVisible();
	await page.goto(demoURL);
	await expect(page.getByText('five more on the right')).toBeVisible();
});

test('an interrupted session waits on Today', async ({ page }) => {
	await beginDemo(page, '/session?sequence=demo-three-minutes');
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).click();
	await expect(page.locator('.count')).toHaveText('2');
	await page.goto(demoURL);
	await expect(page.getByText(/was interrupted, today/)).toBeVisible();
	await page.getByRole('link', { name: 'Go on' }).click();
	await expect(page.getByRole('button', { name: /^Go on space/ })).toBeVisible();
});

test('no refusal of the content policy, and nothing comes from elsewhere', async ({ page }) => {
	const trouble: string[] = [];
	const foreign: string[] = [];
	page.on('console', (m) => m.type() === 'error' && trouble.push(m.text()));
	page.on('pageerror', (e) => trouble.push(e.message));
	page.on('request', (r) => !r.url().startsWith(demoURL) && !/^(data|blob):/.test(r.url()) && foreign.push(r.url()));
	await beginDemo(page);
	for (const path of [
		'/compose',
		'/compose/demo-glass-jaw',
		'/session',
		'/progress',
		'/clients',
		'/exchange',
		'/settings'
	]) {
		await page.goto(demoURL + path);
		await page.getByRole('heading').first().waitFor();
	}
	expect(trouble).toEqual([]);
	expect(foreign).toEqual([]);
});

test('what hangs on a condition is asked before and on the stage, and done once it is so', async ({ page }) => {
	await beginDemo(page, '/compose/demo-three-minutes');
	await page.locator('[data-row]').first().locator('[data-step-button]').click();
	for (const words of ['the jaw is tight', 'the temple is tender']) {
		await page.keyboard.press('/');
		const line = page.getByRole('textbox', { name: 'Type a step' });
		await expect(line).toBeFocused();
		const where = words.includes('jaw') ? 'masseter' : 'temple';
		await page.keyboard.insertText(
			`release ${where}, three pads, pinned circle, medium, 10, pace 1 s, only if "${words}"`
		);
		await page.keyboard.press('Control+Enter');
		await page.keyboard.press('Escape');
	}
	await expect(page.locator('[data-row]')).toHaveCount(14);
	await saved(page);
	await page.goto(`${demoURL}/session?sequence=demo-three-minutes`);
	const before = page.getByRole('region', { name: 'Asked today' });
	await expect(before.getByText('If the jaw is tight:')).toBeVisible();
	const start = page.getByRole('button', { name: /^Start, / });
	const without = await start.innerText();
	await before
		.getByRole('group', { name: /the temple is tender/ })
		.getByText('It is so')
		.click();
	await expect(start).not.toHaveText(without);
	await expectAccessible(page);
	await start.click();
	await page.getByRole('button', { name: /^Begin/ }).waitFor();
	// Met on the Before page, the temple is no question any more; the jaw is asked where its place comes.
	const asked = page.getByRole('list', { name: 'Asked now' });
	await expect(asked).toBeHidden();
	for (let i = 0; i < 9; i++) await page.keyboard.press('ArrowRight');
	await expect(asked.getByRole('listitem')).toHaveCount(1);
	await expect(asked).toContainText('If the jaw is tight:');
	await expectAccessible(page);
	const kept = async () => JSON.stringify((await recordsIn(page, DEMO_DB, 'sessions')).filter((s) => !s.endedAt));
	const lines = async () => (await recordsIn(page, DEMO_DB, 'runs')).length;
	const [heldBefore, jumped] = [await kept(), await lines()];
	await page.keyboard.press('y');
	await expect(asked).toBeHidden();
	await page.keyboard.press('ArrowRight');
	await expect(page.getByRole('heading', { name: 'Chewing muscle' })).toBeVisible();
	// What is kept is the sequence as it is performed now: a page that is loaded again, once it is written, stands where it stood.
	await expect.poll(kept).not.toBe(heldBefore);
	await expect.poll(lines).toBeGreaterThan(jumped);
	await page.reload();
	await expect(page.getByRole('heading', { name: 'Chewing muscle' })).toBeVisible();
	await page.keyboard.press('ArrowRight');
	await expect(page.getByRole('heading', { name: 'Temple' })).toBeVisible();
});
