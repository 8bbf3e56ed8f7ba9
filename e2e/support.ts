import AxeBuilder from '@axe-core/playwright';
import { expect, type Locator, type Page } from '@playwright/test';
import { agree } from './steps.mjs';

/** The server with the demo practice stands on the next port. */
export const demoURL = `http://127.0.0.1:${Number(process.env.SOFT_TIDE_TEST_PORT ?? 4317) + 1}`;

/** Opens a page as a newcomer and agrees to the caution. */
export async function begin(page: Page, path = '/', base = ''): Promise<void> {
	await page.goto(base + path);
	await agree(page);
	await expect(page.getByRole('alertdialog')).toBeHidden();
}

/** The demo practice, at a page of it. */
export const beginDemo = (page: Page, path = '/') => begin(page, path, demoURL);

/** A place on the face map. */
export const place = (page: Page, id: string, side: 'left' | 'right' = 'left'): Locator =>
	page.locator(`[data-place="${id}"][data-side="${side}"]`);

/** Chooses a technique from those that suit the chosen places. */
export const choose = (page: Page, technique: string): Promise<void> =>
	page.locator(`[data-technique="${technique}"]`).click();

/** Takes the fix of the first finding that offers it: looks at what it changes, then does it. */
export async function mend(page: Page, label: string): Promise<void> {
	await page.getByRole('button', { name: label, exact: true }).first().click();
	await page.getByRole('group', { name: 'What the fix changes' }).getByRole('button', { name: 'Apply' }).click();
}

/** Where the stage says which step of how many is at hand. */
export const atStep = (page: Page, number: number, of: number): Locator =>
	page.getByRole('region', { name: 'This step' }).getByText(new RegExp(`(^|· )${number} of ${of}$`));

/** A move that is being counted, and beyond its first count; which one is seen depends on when one looks. */
export const counting = (page: Page): Promise<void> => expect(page.locator('.count')).toHaveText(/^([2-9]|\d\d+)$/);

/** From Compose to a session with the sequence that is open: both have a face, until the session is there. */
export async function startSession(page: Page): Promise<void> {
	await page.getByRole('link', { name: 'Start session' }).click();
	await page.getByRole('button', { name: /^Start, / }).waitFor();
}

/** Skips the step at hand until something is seen: what is pressed twice within a second skips once. */
export async function skipUntil(page: Page, seen: Locator): Promise<void> {
	await expect(async () => {
		if (await seen.isVisible()) return;
		await page.keyboard.press('ArrowRight');
		await expect(seen).toBeVisible({ timeout: 300 });
	}).toPass();
}

/** Ends the session by two strokes of its key, which are two for sure. */
export async function endSession(page: Page): Promise<void> {
	const after = page.getByRole('heading', { name: 'And now' });
	await page.keyboard.press('e');
	await expect(async () => {
		if (await after.isVisible()) return;
		await page.keyboard.press('e');
		await expect(after).toBeVisible({ timeout: 300 });
	}).toPass();
}

/** Drags from one place to another, as a finger does. */
export async function drag(page: Page, from: string, to: string): Promise<void> {
	const centre = async (id: string) => {
		const shape = place(page, id).locator('path, circle').first();
		const box = (await shape.boundingBox())!;
		return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
	};
	const [a, b] = [await centre(from), await centre(to)];
	await page.mouse.move(a.x, a.y);
	await page.mouse.down();
	await page.mouse.move((a.x + b.x) / 2, (a.y + b.y) / 2, { steps: 4 });
	await page.mouse.move(b.x, b.y, { steps: 4 });
	await page.mouse.up();
}

/** Drags a row of the list to stand before another one, as a mouse does: in small moves, waiting for the list to follow. */
export async function dragRow(page: Page, id: string, before: string): Promise<void> {
	const row = (step: string) => page.locator(`[data-row="${step}"]`);
	await row(before).scrollIntoViewIfNeeded();
	const [from, to] = [(await row(id).boundingBox())!, (await row(before).boundingBox())!];
	await page.mouse.move(from.x + 150, from.y + 12);
	// What drags is fetched when the pointer comes to the list; the list says when it is there.
	await expect(page.locator('[data-drag="ready"]').first()).toBeAttached();
	await page.mouse.down();
	await page.mouse.move(from.x + 150, from.y + 4, { steps: 4 });
	// The list follows a moment behind the hand: it is led there until the row stands where it is wanted.
	await expect(async () => {
		await page.mouse.move(to.x + 150, to.y + 14, { steps: 14 });
		await page.mouse.move(to.x + 150, to.y + 8, { steps: 6 });
		const ids = await page.locator('[data-row]').evaluateAll((rows) => rows.map((r) => r.getAttribute('data-row')));
		expect(ids.indexOf(before) - ids.indexOf(id)).toBe(1);
	}).toPass({ timeout: 30_000 });
	await page.mouse.up();
}

/** Fits the sequence to its minutes by what the Sequence tab proposes, if it has to be fitted. */
export async function fitIt(page: Page, minutes: string): Promise<void> {
	await page.getByRole('tab', { name: 'Sequence' }).click();
	await page.getByRole('button', { name: `Fit to ${minutes}` }).click();
	await page.getByRole('region', { name: 'What fitting would change' }).getByRole('button', { name: 'Apply' }).click();
}

/** Seconds of the sequence that is open, as its head says. */
export async function secondsOf(page: Page, minutes: string): Promise<number> {
	const text = (await page
		.getByText(new RegExp(`of ${minutes}$`))
		.first()
		.textContent())!;
	const [, m, s] = /(\d+):(\d\d)/.exec(text)!;
	return Number(m) * 60 + Number(s);
}

/** No violation that axe calls serious or critical. @param rules only these; absent: all */
export async function expectAccessible(page: Page, rules?: readonly string[]): Promise<void> {
	// There are no frames to look into, and nobody reads what passed: both cost three quarters of the time.
	const { violations } = await new AxeBuilder({ page })
		.setLegacyMode()
		.options({ resultTypes: ['violations'], ...(rules ? { runOnly: [...rules] } : {}) })
		.analyze();
	const grave = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
	expect(grave.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)).toEqual([]);
}

/** Waits until the last edit is stored. */
export const saved = (page: Page) => expect(page.getByText(/^Saved /)).toBeVisible();

/** Chooses a file on the page of files. */
export const offer = (page: Page, text: string): Promise<void> =>
	page
		.locator('input[type=file]')
		.setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(text) });

/** Name of the database of the demo practice. */
export const DEMO_DB = 'soft-tide-demo';

/** The records of a table as they lie in the database. */
export const recordsIn = (page: Page, db: string, table: string) =>
	page.evaluate(
		([name, store]) =>
			new Promise<Record<string, unknown>[]>((done) => {
				const opening = indexedDB.open(name!);
				opening.onsuccess = () => {
					const asked = opening.result.transaction(store!).objectStore(store!).getAll();
					asked.onsuccess = () => (opening.result.close(), done(asked.result as Record<string, unknown>[]));
				};
			}),
		[db, table]
	);

/** Changes a stored record under the application, as a fault would: each path gets a value. */
export const tamper = (
	page: Page,
	db: string,
	table: string,
	id: string,
	changes: readonly (readonly [path: string, value: unknown])[]
) =>
	page.evaluate(
		({ db: name, table: store, id: key, changes: list }) =>
			new Promise<void>((done) => {
				const opening = indexedDB.open(name);
				opening.onsuccess = () => {
					const tx = opening.result.transaction(store, 'readwrite');
					const asked = tx.objectStore(store).get(key);
					asked.onsuccess = () => {
						for (const [path, value] of list) {
							const parts = path.split('.');
							const last = parts.pop()!;
							const holder = parts.reduce(
								(at, part) => at[part] as Record<string, unknown>,
								asked.result as Record<string, unknown>
							);
							holder[last] = value;
						}
						tx.objectStore(store).put(asked.result);
					};
					tx.oncomplete = () => (opening.result.close(), done());
				};
			}),
		{ db, table, id, changes }
	);
