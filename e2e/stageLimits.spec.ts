import { expect, test } from '@playwright/test';
import { fontPx, LARGE_ARC_MINUTES, PLAIN_ARC_MINUTES, screenOf } from '../src/lib/core/perform/legible';
import { atStep, beginDemo, DEMO_DB, expectAccessible, recordsIn, tamper } from './support';

const FLAGS = ['contact-lenses', 'aspirin', 'grinding', 'adhesive-allergy', 'cold-hives', 'dry-eyes'];

const WINDOWS = [
	[1280, 800],
	[820, 1180],
	[390, 844],
	[844, 390]
] as const;

test('six limits of a client stand whole on the stage at every size', async ({ page }) => {
	await beginDemo(page, '/session?sequence=demo-three-minutes');
	const clients = await recordsIn(page, DEMO_DB, 'clients');
	const odile = clients.find((c) => JSON.stringify(c).includes('Odile'))!;
	const at = '2026-01-05T09:00:00.000Z';
	const answers = FLAGS.map((flag) => ({
		...{ flag, says: 'yes', places: [], since: null, until: null, note: '', day: '2026-01-05', at }
	}));
	await tamper(page, DEMO_DB, 'clients', odile.id as string, [
		['answers', [...(odile.answers as object[]), ...answers]]
	]);
	await page.reload();
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).click();
	const limits = page.getByRole('list', { name: 'Limits today' });
	expect(await limits.getByRole('listitem').count()).toBeGreaterThanOrEqual(6);
	for (const [width, height] of WINDOWS) {
		await page.setViewportSize({ width, height });
		await expect
			.poll(() =>
				limits.evaluate((list) => [
					list.scrollHeight <= list.clientHeight + 1,
					list.scrollWidth <= list.clientWidth + 1
				])
			)
			.toEqual([true, true]);
	}
	await expectAccessible(page);
	// Under them the count stays what the eye finds first.
	const px = (of: string) =>
		page
			.locator(of)
			.first()
			.evaluate((e) => parseFloat(getComputedStyle(e).fontSize));
	await page.setViewportSize({ width: 820, height: 1180 });
	await expect.poll(() => px('.count')).toBeGreaterThan(65);
});

test('place, side, count and pressure are read from the couch, in every window, and none of them is cut', async ({
	page
}) => {
	await beginDemo(page, '/session?sequence=demo-bakers-dawn');
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).click();
	// Step after step: each of them has other words.
	for (const number of [2, 4, 9, 14]) {
		await page.setViewportSize({ width: 1280, height: 800 });
		await expect(async () => {
			if (await atStep(page, number, 24).isVisible()) return;
			await page.keyboard.press('ArrowRight');
			await expect(atStep(page, number, 24)).toBeVisible({ timeout: 300 });
		}).toPass();
		await expect(page.locator('.count')).toBeVisible();
		for (const [width, height] of WINDOWS) {
			await page.setViewportSize({ width, height });
			const screen = screenOf(width, height);
			// What is smaller than it must be, or beyond the edge.
			const faulty = () =>
				page.locator('.words').evaluate(
					(words, [large, plain]) => {
						const room = words.getBoundingClientRect();
						return [...words.querySelectorAll('h1 span span span, .count, .facts b, .foot p')]
							.map((e) => ({ e, box: e.getBoundingClientRect(), px: parseFloat(getComputedStyle(e).fontSize) }))
							.filter(
								({ e, box, px }) =>
									px < (e.matches('.foot p') ? plain! : large!) - 1 ||
									box.right > room.right + 1 ||
									box.bottom > room.bottom + 8
							)
							.map(({ e, px }) => `${e.className} ${e.textContent} ${px}`);
					},
					[fontPx(LARGE_ARC_MINUTES, screen), fontPx(PLAIN_ARC_MINUTES, screen)]
				);
			await expect.poll(faulty, { message: `step ${number} at ${width} × ${height}`, timeout: 5000 }).toEqual([]);
		}
	}
});
