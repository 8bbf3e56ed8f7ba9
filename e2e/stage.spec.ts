import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import {
	beginDemo,
	DEMO_DB,
	demoURL,
	counting,
	expectAccessible,
	place,
	recordsIn,
	saved,
	endSession,
	skipUntil
} from './support';

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
	await expect(page.getByRole('heading', { name: 'Side of the neck' })).toBeVisible();
	await page.keyboard.press('Space');
	await untilLater(page, 1500);
	await expect(async () => {
		await page.keyboard.press('Space');
		await expect(page.getByRole('button', { name: /^Pause space/ })).toBeVisible({ timeout: 300 });
	}).toPass();
	await endSession(page);
	await expect(page.getByText(/and a halt of 0:0\d/)).toBeVisible();
});

test('skipping and going back; what was skipped is not done', async ({ page }) => {
	await beginDemo(page, '/session?sequence=demo-three-minutes');
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).click();
	await skipUntil(page, page.getByRole('heading', { name: 'Below the ear' }));
	await page.keyboard.press('ArrowLeft');
	await expect(page.getByRole('heading', { name: 'Side of the neck' })).toBeVisible();
	// A drain is left by a second word only.
	await expect(async () => {
		await page.keyboard.press('ArrowRight');
		await expect(page.getByText('The drain is still open. Skip again to leave it.').first()).toBeVisible({
			timeout: 200
		});
	}).toPass();
	await skipUntil(page, page.getByRole('heading', { name: 'And now' }));
	await expect(page.getByText(/of 12/)).toBeVisible();
	await page.getByLabel('Side effects, if any').fill('a little redness');
	await page.getByLabel('Note for next time').fill('five more on the right');
	await page.getByRole('button', { name: 'Close session' }).click();
	await expect(page.getByText('a little redness')).toBeVisible();
	await page.goto(demoURL);
	await expect(page.getByText('five more on the right')).toBeVisible();
});

test('while it runs an ending is asked for twice; after it one can go on, and look at before', async ({ page }) => {
	await beginDemo(page, '/session?sequence=demo-three-minutes');
	const felt = page.getByRole('button', { name: /^Lower eyelid, client’s (left|right): / });
	// Both sides at once, drawn over a neighbour, and the rest as last time.
	await page.getByRole('button', { name: 'Both sides' }).click();
	const [eye, cheek] = await Promise.all(
		['lower-eyelid', 'malar'].map(async (id) => (await place(page, id).locator('path').first().boundingBox())!)
	);
	await page.mouse.move(eye!.x + eye!.width / 2, eye!.y + eye!.height / 2);
	await page.mouse.down();
	await page.mouse.move(cheek!.x + cheek!.width / 2, cheek!.y + cheek!.height / 2, { steps: 3 });
	await page.mouse.up();
	for (const side of [0, 1]) await expect(felt.nth(side)).toHaveAccessibleName(/: 1, slight/);
	await expect(page.getByText('4 places felt')).toBeVisible();
	await page.getByRole('button', { name: 'As last time' }).click();
	await expect(page.getByText('4 places felt')).toBeHidden();
	await expect(page.getByRole('button', { name: 'As last time' })).toBeDisabled();
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).click();
	// Nothing moves when a step changes, and the controls never leave the window.
	for (const [width, height] of [
		[1280, 800],
		[820, 1180],
		[390, 844],
		[640, 400]
	] as const) {
		await page.setViewportSize({ width, height });
		const boxes = async () =>
			Promise.all(
				['Pause space', 'One more', 'Other side', 'Skip'].map(
					async (name) => (await page.getByRole('button', { name }).boundingBox())!
				)
			);
		const here = await boxes();
		for (const box of here) {
			expect(box.y + box.height).toBeLessThanOrEqual(height);
			expect(box.x + box.width).toBeLessThanOrEqual(width + 1);
		}
		const heading = (await page.getByRole('heading', { level: 1 }).boundingBox())!;
		// The numeral, or what is taken in its place, stands over no words.
		await expect(async () => {
			const [count, line] = await Promise.all(
				['.count, .taking', '.grid-of-nine'].map(async (part) => (await page.locator(part).first().boundingBox())!)
			);
			// A box of type is taller than its figures, by a fifth of it above and below at least.
			const air = 0.2 * count!.height;
			expect(count!.y + air, `${width}`).toBeGreaterThanOrEqual(heading.y + heading.height - 1);
			expect(count!.y + count!.height - air, `${width}`).toBeLessThanOrEqual(line!.y + 1);
		}).toPass({ timeout: 10_000 });
		await page.keyboard.press('ArrowRight');
		expect(await boxes()).toEqual(here);
		const after = (await page.getByRole('heading', { level: 1 }).boundingBox())!;
		expect([after.x, after.y, after.height]).toEqual([heading.x, heading.y, heading.height]);
		expect(await page.evaluate(() => document.documentElement.scrollHeight - innerHeight)).toBeLessThanOrEqual(0);
	}
	await page.setViewportSize({ width: 1280, height: 800 });
	const step = await page.getByRole('heading', { level: 1 }).innerText();
	await page.keyboard.press('e');
	await expect(page.getByRole('button', { name: /^End now/ })).toBeVisible();
	await page.keyboard.press('Space');
	await expect(page.getByRole('button', { name: /^Pause space/ })).toBeVisible();
	await endSession(page);
	await expectAccessible(page);
	// Before is looked at, and corrected, meanwhile.
	const line = page.getByRole('navigation', { name: 'Parts of the session' });
	await line.getByRole('link', { name: 'Before' }).click();
	await expect(page.getByRole('heading', { name: 'What the hands found before' })).toBeVisible();
	await felt.first().click();
	await expect(felt.first()).toHaveAccessibleName(/: 2, /);
	await page.getByRole('link', { name: 'To after' }).click();
	await page.getByRole('button', { name: 'Resume session' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(step);
	await expect(page.getByRole('button', { name: /^Go on space/ })).toBeVisible();
	await endSession(page);
	await page.getByRole('button', { name: 'Close session' }).click();
	await expect(page.getByRole('heading', { name: /Odile K\./ }).first()).toBeVisible();
	expect(await recordsIn(page, DEMO_DB, 'runs')).toEqual([]);
});

test('what is changed while working: one more and evened, noted, fitted, through a reload; after it plan against done', async ({
	page
}) => {
	await beginDemo(page, '/session?sequence=demo-three-minutes');
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).click();
	const notes = page.getByRole('status').filter({ hasText: 'Paused.' });
	const of = page.locator('.beside');
	// A step of one side and then the other: one more here is offered there.
	await expect(async () => {
		await page.keyboard.press('ArrowRight');
		await page.getByRole('button', { name: /^One more/ }).click();
		await expect(page.getByText('One more, client’s left.').first()).toBeVisible({ timeout: 500 });
	}).toPass();
	const more = await of.innerText();
	await expect(page.getByText('1 more, client’s right, too?')).toBeVisible();
	await page.keyboard.press('y');
	await expect(page.getByText('1 more, client’s right.').first()).toBeVisible();
	await page.keyboard.press('Space');
	const stands = page.getByRole('region', { name: 'While it stands' });
	await stands.getByRole('button', { name: /^Tender here/ }).click();
	await expect(notes).toContainText('Tender here: ');
	await page.keyboard.press('n');
	// Letters that are keys of the stage are letters here.
	await expect(stands.getByLabel('Note of this moment')).toBeFocused();
	await page.keyboard.type('warmer hands, softer');
	await page.keyboard.press('Enter');
	await expect(notes).toContainText('Note: warmer hands, softer.');
	await expectAccessible(page);
	// How much is left is asked, shown, and done by one key.
	await page.getByRole('button', { name: /^Fit to time/ }).click();
	await stands.getByLabel('Minutes left').fill('1');
	await expect(stands.getByText(/to go then|is needed/)).toBeVisible();
	await stands.getByLabel('Minutes left').fill('9');
	await expect(stands.getByText(/to go/)).toBeVisible();
	await expectAccessible(page);
	await page.keyboard.press('Escape');
	await expect(stands.getByText('Fit what is left')).toBeHidden();
	await expect
		.poll(async () =>
			(await recordsIn(page, DEMO_DB, 'runs'))
				.filter((r) => r.kind === 'mark')
				.map((r) => r.mark)
				.slice(-4)
		)
		.toEqual(['more', 'evened', 'tender', 'note']);
	const step = await page.getByRole('heading', { level: 1 }).innerText();
	await page.reload();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(step);
	await expect(of).toHaveText(more);
	// The shortest safe way out leaves no side behind: the step at hand on both sides, and the closing drain, are all there is.
	await page.keyboard.press('Space');
	await page.keyboard.press('x');
	await expect(page.getByText('This is the shortest way already.').first()).toBeVisible();
	await endSession(page);
	const account = page.getByRole('region', { name: 'What was done' });
	await expect(account).toContainText('Tender here');
	await expect(account).toContainText('warmer hands');
	await account.getByText('Every step, planned and done').click();
	await account.getByRole('button', { name: /^Correct 2, / }).click();
	await account.getByLabel('Left').fill('-1');
	await account.getByRole('button', { name: 'Save' }).click();
	await expect(account.getByRole('alert')).toHaveText('Repetitions on each side are whole numbers from 0 to 10,000.');
	await account.getByLabel('Left').fill('6');
	await account.getByLabel('Why').fill('counted aloud');
	await account.getByRole('button', { name: 'Save' }).click();
	await expect(account).toContainText('counted aloud');
	await account.getByText('Every zone, both sides').click();
	await expectAccessible(page);
	await page.getByRole('button', { name: 'Close session' }).click();
	await expect(page.getByRole('heading', { name: /Odile K\./ }).first()).toBeVisible();
});

test('on oneself it is mirrored and says “your”; a second screen shows the face alone; done without the stage it is written down', async ({
	page,
	context
}) => {
	await beginDemo(page, '/clients/demo-odile');
	await page.getByRole('radio', { name: 'Record' }).click();
	await page.getByRole('radio', { name: 'Herself' }).click();
	// It is left once the choice is kept.
	await expect
		.poll(async () => (await recordsIn(page, DEMO_DB, 'clients')).find((c) => c.id === 'demo-odile')?.performer)
		.toBe('self');
	await page.goto(`${demoURL}/session?sequence=demo-bakers-dawn`);
	await expect(page.getByText(/^For oneself, as in a mirror\./)).toBeVisible();
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).click();
	const other = await context.newPage();
	await other.goto(`${demoURL}/session/screen`);
	await expect(other.getByRole('img', { name: /^Where the hands are: / })).toBeVisible();
	await expect(other.getByText(/Odile/)).toHaveCount(0);
	await expectAccessible(other);
	await other.getByRole('link', { name: 'As in a mirror' }).click();
	await expect(other.getByRole('link', { name: 'As the practitioner sees it' })).toBeVisible();
	await expect(async () => {
		await page.keyboard.press('ArrowRight');
		await expect(page.getByText(/^your (left|right)/)).toBeVisible({ timeout: 300 });
	}).toPass();
	await endSession(page);
	await page.getByRole('button', { name: 'Close session' }).click();
	await expect(other.getByText(/as soon as a stage is open/)).toBeVisible();
	await other.close();
	// A session without the stage: which sequence, how long, what was left out.
	await page.goto(`${demoURL}/session?sequence=demo-three-minutes`);
	await page.getByRole('button', { name: 'Done already, write it down' }).click();
	const written = page.getByRole('region', { name: 'Written down afterwards' });
	await written.getByRole('spinbutton', { name: 'minutes that it took' }).fill('5');
	await page.keyboard.press('Tab');
	await written.getByRole('checkbox').nth(1).click();
	await expectAccessible(page);
	const account = page.getByRole('region', { name: 'What was done' });
	await expect(account).toContainText('as it was written down');
	await expect(account).toContainText('without 2');
	await page.getByRole('button', { name: 'Close session' }).click();
	await expect
		.poll(async () =>
			(await recordsIn(page, DEMO_DB, 'sessions')).filter((s) => s.guided === false).map((s) => s.workedSeconds)
		)
		.toEqual([300]);
});

test('one session in two windows: the second asks, takes over at the same count, and the first one waits', async ({
	page,
	context
}) => {
	await beginDemo(page, '/session?sequence=demo-three-minutes');
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).click();
	await page.keyboard.press('ArrowRight');
	await counting(page);
	// The clock of the stage would go on while the other window opens, however long that takes here.
	await page.keyboard.press('Space');
	await expect(page.getByRole('button', { name: /^Go on space/ })).toBeVisible();
	const count = await page.locator('.count').innerText();
	const other = await context.newPage();
	await other.goto(page.url());
	await expect(other.getByRole('heading', { name: 'This session is performed in another window' })).toBeVisible();
	await expectAccessible(other);
	await other.getByRole('button', { name: 'Take it over' }).click();
	await expect(other.getByRole('heading', { name: 'Side of the neck' })).toBeVisible();
	await expect(other.locator('.count')).toHaveText(count);
	await expect(page.getByText('It was taken over there, and waits here.')).toBeVisible();
	await other.getByRole('button', { name: /^Go on space/ }).click();
	await expect(other.getByRole('button', { name: /^Pause space/ })).toBeVisible();
	await other.keyboard.press('ArrowRight');
	const log = await recordsIn(page, DEMO_DB, 'runs');
	expect(log.map((line) => line.n)).toEqual(log.map((_, i) => i));
	await page.getByRole('button', { name: 'Take it over' }).click();
	await expect(page.getByRole('heading', { name: 'Below the ear' })).toBeVisible();
	await expect(other.getByText('It was taken over there, and waits here.')).toBeVisible();
});

test('an interrupted session waits on Today', async ({ page }) => {
	await beginDemo(page, '/session?sequence=demo-three-minutes');
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).click();
	await counting(page);
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
	const rows = page.locator('[data-row]');
	for (const [i, words] of ['the jaw is tight', 'the temple is tender'].entries()) {
		await page.keyboard.press('/');
		// The line itself, not what stands in for it until it is fetched.
		const line = page.locator('[data-editor]').getByRole('textbox', { name: 'Type a step' });
		await expect(line).toBeFocused();
		const where = words.includes('jaw') ? 'masseter' : 'temple';
		await page.keyboard.insertText(
			`release ${where}, three pads, pinned circle, medium, 10, pace 1 s, only if "${words}"`
		);
		await page.keyboard.press('Control+Enter');
		await expect(rows).toHaveCount(13 + i);
		await page.keyboard.press('Escape');
	}
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
	await skipUntil(page, asked);
	await expect(asked.getByRole('listitem')).toHaveCount(1);
	await expect(asked).toContainText('If the jaw is tight:');
	await expectAccessible(page);
	const kept = async () => JSON.stringify((await recordsIn(page, DEMO_DB, 'sessions')).filter((s) => !s.endedAt));
	const lines = async () => (await recordsIn(page, DEMO_DB, 'runs')).length;
	const [heldBefore, jumped] = [await kept(), await lines()];
	await page.keyboard.press('y');
	await expect(asked).toBeHidden();
	await skipUntil(page, page.getByRole('heading', { name: 'Chewing muscle' }));
	// What is kept is the sequence as it is performed now: a page that is loaded again, once it is written, stands where it stood.
	await expect.poll(kept).not.toBe(heldBefore);
	await expect.poll(lines).toBeGreaterThan(jumped);
	await page.reload();
	await expect(page.getByRole('heading', { name: 'Chewing muscle' })).toBeVisible();
	await skipUntil(page, page.getByRole('heading', { name: 'Temple' }));
});
