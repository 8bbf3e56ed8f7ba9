import { expect, test, type Page } from '@playwright/test';
import { closeSession } from './steps.mjs';
import { beginDemo, DEMO_DB, demoURL, recordsIn, tamper, atStep } from './support';

/** Reads of some tables fail from now on, as on a broken disk; of none: they are well again. */
const failing = (page: Page, tables: readonly string[]) =>
	page.evaluate((list) => ((window as { failingReads?: readonly string[] }).failingReads = list), tables);
async function withFaultyReads(page: Page): Promise<void> {
	await page.addInitScript(() => {
		const broken = (name: string) =>
			((window as { failingReads?: readonly string[] }).failingReads ?? []).includes(name);
		for (const kind of [IDBObjectStore, IDBIndex])
			for (const method of ['get', 'getAll', 'openCursor', 'getAllKeys', 'openKeyCursor'] as const) {
				// eslint-disable-next-line @typescript-eslint/no-explicit-any
				const proto = kind.prototype as any;
				const real = proto[method];
				proto[method] = function (...args: unknown[]) {
					const store = (this as IDBIndex).objectStore ?? (this as unknown as IDBObjectStore);
					if (broken(store.name)) throw new DOMException('the disk is broken', 'ReadError');
					return real.apply(this, args);
				};
			}
	});
}
const chooseClient = async (page: Page, name: string) => {
	await page
		.getByRole('main')
		.getByRole('combobox', { name: /^Client/ })
		.click();
	await page.getByRole('option', { name }).click();
};

test('a yes is never stored as a no: by keys, by the mouse, and whatever is pressed after it', async ({ page }) => {
	await beginDemo(page, '/clients?new=1');
	await page.keyboard.type('Kite 5');
	await page.keyboard.press('Enter');
	const question = page.locator('[data-question]');
	await expect(question).toHaveAttribute('data-question', 'fever');
	const said = async () => {
		const client = (await recordsIn(page, DEMO_DB, 'clients')).find((c) => c['name'] === 'Kite 5')!;
		const answers = client['answers'] as { flag: string; says: string }[];
		return Object.fromEntries(answers.map((a) => [a.flag, a.says]));
	};
	// The button that was pressed has lost the focus: keys go to the next question.
	await page.getByRole('button', { name: 'No to the rest of this chapter' }).click();
	await expect(question).toHaveAttribute('data-question', 'cancer');
	await expect(question).toBeFocused();
	await expect(page.getByText(/^\d+ answered with no$/).last()).toBeVisible();
	await page.keyboard.press('y');
	await page.keyboard.press('Enter');
	await expect(question).not.toHaveAttribute('data-question', 'cancer');
	await expect.poll(async () => (await said())['cancer']).toBe('yes');
	expect((await said())['pacemaker']).toBeUndefined();
	// With the focus back on that very button, Enter still records what was chosen.
	await page.keyboard.press('4');
	const asked = (await question.getAttribute('data-question'))!;
	await page.getByRole('button', { name: 'No to the rest of this chapter' }).focus();
	await page.keyboard.press('y');
	await page.keyboard.press('Enter');
	await expect(question).not.toHaveAttribute('data-question', asked);
	await expect.poll(said).toMatchObject({ [asked]: 'yes', cancer: 'yes' });
	// Yes, and then no to the rest, or Later: the yes stays.
	await page.getByRole('button', { name: /^Treatments of late: / }).click();
	const treated = (await question.getAttribute('data-question'))!;
	await page.getByRole('button', { name: /^Y Yes/ }).click();
	// By its key: it moves down by a line as the answer comes to stand there.
	const answered = Object.keys(await said()).length;
	// The question takes the focus as its answer is stored: a key that came before that went to it.
	await expect(async () => {
		await page.getByRole('button', { name: 'No to the rest of this chapter' }).press('Space');
		await expect.poll(async () => Object.keys(await said()).length, { timeout: 2000 }).toBeGreaterThan(answered + 1);
	}).toPass();
	expect((await said())[treated]).toBe('yes');
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect.poll(said).toMatchObject({ [treated]: 'yes', [asked]: 'yes' });
	const left = Object.keys(await said()).length;
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect.poll(async () => Object.keys(await said()).length).toBe(left - 1);
	expect((await said())[treated]).toBeUndefined();
});

test('rows of one client never stand under another: reads that fail are said, nothing begins on them, and it heals', async ({
	page
}) => {
	await withFaultyReads(page);
	await beginDemo(page, '/progress?client=demo-odile');
	const sessions = await recordsIn(page, DEMO_DB, 'sessions');
	for (const { id, clientId } of sessions)
		await tamper(page, DEMO_DB, 'sessions', id as string, [['note', `noted of ${String(clientId)}`]]);
	await page.reload();
	await expect(page.getByText('noted of demo-odile').first()).toBeVisible();
	await failing(page, ['sessions']);
	await chooseClient(page, 'Radu P.');
	await expect(page.getByRole('heading', { name: 'Radu P.' })).toBeVisible();
	await expect(page.getByRole('alert')).toContainText('The sessions of Radu P. could not be read');
	await expect(page.getByText('noted of demo-odile')).toHaveCount(0);
	await expect(page.getByText('No session yet')).toHaveCount(0);
	await failing(page, []);
	await page.getByRole('button', { name: 'Try again' }).click();
	await expect(page.getByText('noted of demo-radu').first()).toBeVisible();
	// Before a session: what was found of one is not entered of another, and without rows nothing starts.
	await page.getByRole('link', { name: 'Session' }).first().click();
	await expect(page.getByRole('heading', { name: 'What the hands find' })).toBeVisible();
	await page.getByRole('button', { name: 'As last time' }).click();
	const felt = await page.getByText(/places? felt/).innerText();
	await page.getByLabel('Her words').fill('tired');
	await failing(page, ['sessions']);
	await chooseClient(page, 'Svea L.');
	await expect(page.getByRole('alert')).toContainText('The record of Svea L. could not be read');
	await expect(page.getByRole('button', { name: /^Start/ })).toHaveCount(0);
	await failing(page, []);
	await page.getByRole('button', { name: 'Try again' }).click();
	await expect(page.getByText('0 places felt')).toBeVisible();
	await expect(page.getByLabel('Her words')).toHaveValue('');
	await chooseClient(page, 'Radu P.');
	await expect(page.getByText(felt)).toBeVisible();
	await expect(page.getByLabel('Her words')).toHaveValue('tired');
});

/** Reads of sessions and photographs wait from now on, behind a write that takes as long as it is let: a slow disk. */
const held = (page: Page, hold: boolean) =>
	page.evaluate(
		([db, on]) =>
			new Promise<void>((done) => {
				const here = window as { holding?: boolean };
				here.holding = on as boolean;
				if (!on) return done();
				indexedDB.open(db as string).onsuccess = ({ target }) => {
					const opened = (target as IDBOpenDBRequest).result;
					const tx = opened.transaction(['sessions', 'photos'], 'readwrite');
					const again = () => {
						if (here.holding) tx.objectStore('sessions').count().onsuccess = again;
					};
					tx.oncomplete = () => opened.close();
					tx.objectStore('sessions').count().onsuccess = () => (again(), done());
				};
			}),
		[DEMO_DB, hold] as const
	);

test('on every page of a client, a slow read shows nothing of the one before, and a failed one is said', async ({
	page
}) => {
	await withFaultyReads(page);
	await beginDemo(page, '/progress?client=demo-odile');
	for (const { id, clientId } of await recordsIn(page, DEMO_DB, 'sessions'))
		await tamper(page, DEMO_DB, 'sessions', id as string, [
			['note', `noted of ${String(clientId)}`],
			['told', `told by ${String(clientId)}`]
		]);
	const main = page.getByRole('main');
	const pending = main.locator('[data-read="pending"]');
	for (const path of ['/progress', '/progress/weeks', '/progress/photos', '/session'])
		await test.step(path, async () => {
			await page.goto(`${demoURL}${path}?client=demo-odile`);
			await expect(main.getByText('Odile K.').first()).toBeVisible();
			await expect(pending).toHaveCount(0);
			await held(page, true);
			await chooseClient(page, 'Radu P.');
			await expect(pending).toHaveText(/Radu P\.: being read/);
			await expect(main.getByText('demo-odile')).toHaveCount(0);
			await expect(page.getByRole('button', { name: /^Start, / })).toHaveCount(0);
			await held(page, false);
			await expect(pending).toHaveCount(0);
			await failing(page, ['sessions', 'photos']);
			await chooseClient(page, 'Svea L.');
			await expect(main.getByRole('alert').filter({ hasText: 'Svea L. could not be read' })).toBeVisible();
			await expect(main.getByText('demo-radu')).toHaveCount(0);
			await failing(page, []);
			await page.getByRole('button', { name: 'Try again' }).click();
			await expect(main.getByRole('alert').filter({ hasText: 'could not be read' })).toHaveCount(0);
		});
});

test('one answer to what is done today: Today, the client’s page and Session agree, also on a day that is refused', async ({
	page
}) => {
	await beginDemo(page, '/clients/demo-radu');
	const plan = page.getByRole('region', { name: 'The plan of today' });
	const title = (await plan.locator('b').first().innerText()).trim();
	await page.getByRole('button', { name: 'Begin a session' }).click();
	await expect(page.getByRole('main').getByRole('combobox', { name: /^Sequence/ })).toContainText(title);
	await page.getByRole('link', { name: 'Today' }).first().click();
	const next = page.getByRole('region', { name: 'Next' });
	await expect(next).toContainText('Radu P.');
	await expect(next).toContainText(title);
	await page.goto(`${demoURL}/clients/demo-radu`);
	await page.getByRole('button', { name: /^Today: / }).click();
	await page.keyboard.press('y');
	await page.getByRole('button', { name: 'Record' }).click();
	await expect(page.getByRole('alert')).toContainText('No massage today. Refer.');
	await page.getByRole('link', { name: 'Today' }).first().click();
	await expect(next).toContainText('no massage today');
	await expect(next.getByRole('link', { name: 'Start' })).toHaveCount(0);
});

test('one text in two windows: nobody’s words go, and which version goes on is chosen', async ({ page, context }) => {
	await beginDemo(page, '/clients/demo-odile');
	const other = await context.newPage();
	await other.goto(`${demoURL}/clients/demo-odile`);
	const note = (p: Page) => p.getByLabel('Note', { exact: true });
	for (const p of [page, other]) await p.getByRole('radio', { name: 'Record' }).click();
	await note(other).focus();
	await note(page).fill('from the first window');
	await expect(page.getByText('Saved', { exact: true })).toBeVisible();
	await expect(other.getByText('Changed elsewhere to “from the first window”')).toBeVisible();
	await note(other).fill('from the second window');
	const versions = other.getByRole('region', { name: 'Two versions of this record' });
	await expect(versions).toContainText('from the first window');
	await expect(versions).toContainText('from the second window');
	await note(other).fill('from the second window, and more');
	await other.getByLabel('Client alert').focus();
	await expect(versions).toContainText('from the second window, and more');
	await versions.getByRole('button', { name: 'Go on with the other' }).click();
	await expect(note(other)).toHaveValue('from the second window, and more');
	await note(page).blur();
	await expect(note(page)).toHaveValue('from the second window, and more');
});

test('a photograph in two windows: points of both are kept, and the choice is offered', async ({ page, context }) => {
	await beginDemo(page, '/progress/photos?client=demo-svea');
	await page
		.getByRole('link', { name: /^Points/ })
		.first()
		.click();
	await expect(page.getByText('Each point is kept at once')).toBeVisible();
	const other = await context.newPage();
	await other.goto(page.url());
	await expect(other.getByText('Each point is kept at once')).toBeVisible();
	for (const p of [page, other]) {
		await p.getByRole('button', { name: 'Take away' }).first().click();
		await expect(p.getByText('Saving')).toBeHidden();
	}
	await expect(other.getByRole('region', { name: 'Two versions of this record' })).toBeVisible();
	await expect(other.getByText('Kept in a second version, until you choose one')).toBeVisible();
});

test('on the stage: what is held acts once, all of it is taken back, a frozen page is no work, and the end is no end', async ({
	page
}) => {
	await page.clock.install();
	await beginDemo(page, '/session?sequence=demo-three-minutes');
	await page.getByRole('button', { name: /^Start, / }).click();
	const heading = page.getByRole('heading', { level: 1 });
	await page.getByRole('button', { name: /^Begin/ }).click();
	await expect(page.getByRole('button', { name: /^Pause space/ })).toBeVisible();
	for (let i = 0; i < 15; i++) await page.keyboard.down('ArrowRight');
	await page.keyboard.up('ArrowRight');
	await expect(atStep(page, 2, 12)).toBeVisible();
	await page.keyboard.press('u');
	await expect(atStep(page, 1, 12)).toBeVisible();
	// A switch that bounces begins and does not pause at once.
	await page.clock.runFor(1500);
	await page.evaluate(() => {
		for (let i = 0; i < 5; i++) window.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', code: 'Space' }));
	});
	await expect(page.getByRole('button', { name: /^Go on space/ })).toBeVisible();
	await page.clock.runFor(1500);
	await page.keyboard.press('Space');
	await expect(page.getByRole('button', { name: /^Pause space/ })).toBeVisible();
	// The page is frozen, as on a phone that is locked.
	const at = await heading.innerText();
	await page.clock.fastForward(150_000);
	await expect(page.getByText(/The page stood still for 2:\d\d, and nothing was heard/).first()).toBeVisible();
	await expect(heading).toHaveText(at);
	// To the end by skipping: it ends, and one goes back from there.
	await expect(async () => {
		await page.clock.runFor(1100);
		await page.keyboard.press('ArrowRight');
		await expect(page.getByRole('heading', { name: 'And now' })).toBeVisible({ timeout: 300 });
	}).toPass();
	await expect(page.getByRole('region', { name: 'Ended early' })).toBeVisible();
	await page.getByRole('button', { name: 'Pain' }).click();
	await expect(page.getByText(/^\s*[0-2] of 12/)).toBeVisible();
	await page.getByRole('button', { name: 'Resume session' }).click();
	await expect(page.getByRole('heading', { name: /^All is done/ })).toBeVisible();
	await page.keyboard.press('u');
	await expect(atStep(page, 12, 12)).toBeVisible();
	await page.clock.runFor(1100);
	await page.keyboard.press('e');
	await expect(page.getByRole('heading', { name: 'And now' })).toBeVisible();
	await page.getByRole('button', { name: 'Client’s wish' }).click();
	await page.getByLabel('Note for next time').fill('warmer hands');
	await closeSession(page);
	await expect(page).toHaveURL(/progress/);
	// What was learnt stands in Progress, and before the next session.
	await expect(page.getByText('Ended early: client’s wish')).toBeVisible();
	await page.goto(`${demoURL}/session`);
	const learnt = page.getByRole('region', { name: 'From last time' });
	await expect(learnt).toContainText('warmer hands');
	await expect(learnt).toContainText('steps were left out');
});
