import { expect, test } from '@playwright/test';
import { beginDemo, DEMO_DB, expectAccessible, recordsIn, tamper } from './support';

const FLAGS = ['contact-lenses', 'aspirin', 'grinding', 'adhesive-allergy', 'cold-hives', 'dry-eyes'];

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
	for (const [width, height] of [
		[1280, 800],
		[820, 1180],
		[390, 844],
		[844, 390]
	] as const) {
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
