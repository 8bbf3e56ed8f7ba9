import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { closeSession, setMostSlides } from './steps.mjs';
import { begin, beginDemo, demoURL, endSession } from './support';

const fixture = (version: number) =>
	new URL(`../src/lib/formats/fixtures/backup-${version}.json`, import.meta.url).pathname;

test('a backup of every earlier version is brought in whole, with what its sessions performed', async ({ page }) => {
	await begin(page);
	for (const version of [1, 2, 3, 4, 5]) {
		await test.step(`version ${version}`, async () => {
			const file = JSON.parse(readFileSync(fixture(version), 'utf8')) as {
				clients: { name: string }[];
				sessions: { sequence: { title: string } | null; clientId: string }[];
			};
			await page.goto('/exchange');
			if (version > 1) {
				await page.getByRole('button', { name: /Delete all …/ }).click();
				await page.getByRole('button', { name: 'Delete all', exact: true }).click();
				await page.getByRole('button', { name: 'I have read this' }).click();
			}
			await page.locator('input[type=file]').setInputFiles(fixture(version));
			await expect(page.getByRole('region', { name: 'What the file would do' })).toBeVisible();
			await page.getByRole('button', { name: 'Import' }).click();
			await expect(page.getByText(/records? (is|are) in\./)).toBeVisible();
			await page.goto('/clients');
			const { name } = file.clients[0]!;
			await page
				.getByRole('link', { name: new RegExp(name) })
				.first()
				.click();
			const performed = file.sessions.find((s) => s.sequence)!;
			await expect(page.getByRole('region', { name }).getByText(performed.sequence!.title).first()).toBeVisible();
		});
	}
	// The fourth was in the middle of a stage: it goes on where it began.
	await page.goto('/');
	await page.getByRole('link', { name: 'Go on' }).first().click();
	await expect(page.getByRole('button', { name: /^Begin/ })).toBeVisible();
});

test('a working value is set, judged by, told in words, kept over a reload and put back', async ({ page }) => {
	await beginDemo(page, '/settings');
	const values = page.locator('#working-values');
	await values.getByRole('button', { name: 'Usual repeats' }).click();
	const most = values.getByLabel('Drain by hand, most, times');
	await most.fill('2');
	await most.blur();
	await expect(values.getByRole('alert')).toContainText('least ≤ usual ≤ most');
	await values.getByRole('button', { name: 'Limits of repeats and pace' }).click();
	const firm = values.getByLabel('Both sides of the neck count as firm from level');
	await firm.fill('3');
	await firm.blur();
	await expect(values.getByRole('alert')).toContainText('carotid sinus');
	await setMostSlides(page, 10);
	await expect(values.getByRole('button', { name: 'All as shipped (1 changed)' })).toBeVisible();
	await page.goto(`${demoURL}/library/rules?rule=skin-rubbed`);
	await expect(page.getByText('From 10 sliding strokes on')).toBeVisible();
	await page.goto(`${demoURL}/compose/demo-bakers-dawn`);
	await page.getByRole('tab', { name: /Findings/ }).click();
	await expect(page.getByText(/From 10 on, it reddens/).first()).toBeVisible();
	await page.goto(`${demoURL}/settings`);
	await values.getByRole('button', { name: 'All as shipped (1 changed)' }).click();
	await expect(values.getByRole('button', { name: 'All are as shipped' })).toBeDisabled();
	await page.goto(`${demoURL}/library/rules?rule=skin-rubbed`);
	await expect(page.getByText('From 100 sliding strokes on')).toBeVisible();
});

test('tension is compared as puffiness is, in its own words, and the day is told beside it', async ({ page }) => {
	await beginDemo(page, '/session?sequence=demo-glass-jaw');
	await page.getByRole('radio', { name: /^Tension/ }).click();
	const cell = page.getByRole('button', { name: /^Chewing muscle, client’s left: / });
	await cell.focus();
	await page.keyboard.press('4');
	await page.getByRole('radio', { name: 'much', exact: true }).click();
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).click();
	await endSession(page);
	await page.getByRole('radio', { name: /^Tension/ }).click();
	await page.getByRole('button', { name: /^Chewing muscle, client’s left: / }).focus();
	await page.keyboard.press('1');
	await expect(
		page.getByRole('status').filter({ hasText: 'the tension of the left chewing muscle from hard to slight' })
	).toBeVisible();
	await closeSession(page);
	await expect(page.getByRole('heading', { name: 'By tape' })).toBeVisible();
	await page.getByRole('radio', { name: 'Tension' }).click();
	await expect(page.getByRole('table', { name: /^Tension, from and to/ })).toContainText('4 to 1');
	await expect(page.getByText('salt much')).toBeVisible();
});
