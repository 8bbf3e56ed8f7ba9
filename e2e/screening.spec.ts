import { expect, test, type Page } from '@playwright/test';
import { beginDemo, DEMO_DB, demoURL, expectAccessible, recordsIn } from './support';

const question = (page: Page) => page.locator('[data-question]');
const asked = (page: Page, id: string) => expect(question(page)).toHaveAttribute('data-question', id);
const allows = (page: Page) => page.getByRole('list', { name: 'What today allows' });

test('an intake by keyboard: one question at a time, each answer kept, a refusal that no way goes round', async ({
	page
}) => {
	await beginDemo(page, '/clients?new=1');
	await expect(page.getByLabel('Name of the new client')).toBeFocused();
	await page.keyboard.type('Kite 3');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { name: 'Kite 3' })).toBeVisible();
	await asked(page, 'fever');
	await expectAccessible(page);
	await page.keyboard.press('n');
	await asked(page, 'acute-infection');
	// What it would do is said before it is recorded.
	await expect(page.getByRole('button', { name: /Yes/ })).toContainText('No massage today, refer');
	await page.keyboard.press('ArrowRight');
	await asked(page, 'lump');
	await page.keyboard.press('ArrowUp');
	await asked(page, 'acute-infection');
	await page.keyboard.press('n');
	await page.getByRole('button', { name: 'No to the rest of this chapter' }).click();
	await asked(page, 'cancer');
	// A digit leads to a chapter: the third one is the neck.
	await page.keyboard.press('3');
	await asked(page, 'carotid');
	await page.keyboard.press('y');
	await page.getByLabel('Done or begun on').fill('2999-01-01');
	await expect(page.getByRole('alert')).toContainText('Since: 2999-01-01 lies ahead');
	await expect(page.getByRole('button', { name: 'Record' })).toBeDisabled();
	await page.getByLabel('Done or begun on').fill('2019-05-02');
	await page.getByRole('button', { name: 'Record' }).click();
	await expect(allows(page)).toContainText('Only with a doctor’s word');
	await expect(allows(page)).toContainText('Left out: the throat and the side of the neck');
	await page.reload();
	await expect(allows(page)).toContainText('Carotid disease');
	// Begun all the same only with a reason; the plan is made to fit.
	await page.getByRole('button', { name: 'Begin a session' }).click();
	const start = page.getByRole('button', { name: /^Start/ });
	await expect(page.getByRole('region', { name: 'What today allows' })).toContainText(
		'Not without a doctor’s word: Carotid disease.'
	);
	await expect(start).toBeDisabled();
	await page.getByLabel('Begin all the same, because').fill('Her cardiologist, by telephone at nine');
	await start.click();
	await page.getByRole('button', { name: /^Begin/ }).waitFor();
	const session = page.url();
	// A fever ends the day by every way: the record, the page before, and the address of a session that was not begun.
	await page.goto(`${demoURL}/clients`);
	await page.getByRole('link', { name: /Kite 3/ }).click();
	await page.getByRole('radio', { name: 'Ask' }).click();
	await page.getByRole('button', { name: /^Today: / }).click();
	await page.keyboard.press('y');
	await page.getByRole('button', { name: 'Record' }).click();
	await expect(page.getByRole('alert')).toContainText('No massage today. Refer.');
	await expect(page.getByRole('button', { name: 'Begin a session' })).toBeDisabled();
	await page.goto(session);
	await expect(page.getByRole('alert')).toContainText('No massage today. Refer.');
	await expect(page.getByRole('button', { name: /^Begin/ })).toHaveCount(0);
	await page.goto(`${demoURL}/session?sequence=demo-bakers-dawn`);
	await expect(page.getByRole('alert')).toContainText('Fever');
	await expect(page.getByRole('button', { name: /^Start/ })).toBeDisabled();
});

test('a filler of 27, 28 and 29 days: it waits, and is over by itself on the day', async ({ page }) => {
	const at = (day: string) => page.clock.setFixedTime(new Date(`${day}T09:00:00`));
	await at('2026-03-28');
	await beginDemo(page, '/clients/demo-radu');
	await page.getByRole('button', { name: /^Treatments of late: / }).click();
	await page.getByRole('button', { name: 'Later' }).click();
	await asked(page, 'filler');
	await page.keyboard.press('y');
	await page.getByLabel(/^Add a place/).click();
	await page.getByRole('option', { name: 'Upper lip' }).click();
	await page.getByLabel('Done or begun on').fill('2026-03-01');
	await page.getByRole('button', { name: 'Record' }).click();
	await expect(allows(page)).toContainText('27 of 28 days');
	await expect(allows(page)).toContainText('opens 29 March 2026');
	for (const day of ['2026-03-29', '2026-03-30']) {
		await at(day);
		await page.reload();
		await expect(allows(page)).toContainText('Nothing that was answered limits the work today.');
	}
});

test('in Compose: two limits on one zone are both named, seen on the map, and one edit makes it fit', async ({
	page
}) => {
	await beginDemo(page, '/compose/demo-rowers-morning');
	await page.getByRole('button', { name: 'Client', exact: false }).first().waitFor();
	await page
		.getByLabel(/^Made for|^Client/)
		.first()
		.click();
	await page.getByRole('option', { name: 'Lamp 14' }).click();
	await expect(page.locator('[data-limit="waits"]').first()).toBeAttached();
	await expect(
		page.getByRole('button', { name: /Apple of the cheek, client’s left, .*waits: Filler; limited: Mole/ })
	).toBeAttached();
	await page.getByRole('tab', { name: /Findings/ }).click();
	const fit = page.getByRole('region', { name: 'This client' });
	await expect(fit).toContainText('from this client');
	await expect(page.locator('[data-rule="client-left-out"]')).toContainText('Filler');
	await fit.getByRole('button', { name: 'Make it fit' }).click();
	const preview = page.getByRole('group', { name: 'What making it fit changes' });
	await expect(preview).toBeVisible();
	await expectAccessible(page);
	await preview.getByRole('button', { name: 'Apply' }).click();
	await expect(fit).toBeHidden();
	await page.getByRole('button', { name: /^Undo: Make it fit this client/ }).click();
	await expect(fit).toBeVisible();
	await page.getByRole('button', { name: 'Red flags' }).click();
	await expect(page.getByRole('dialog', { name: 'Stop, and refer' })).toContainText('Call the emergency number now');
	await expectAccessible(page);
});

test('her record: marks, wishes, a clearance that ran out, a file of her alone; what a licence leaves out is marked', async ({
	page
}) => {
	await beginDemo(page, '/clients/demo-l14');
	await page.getByRole('radio', { name: 'Marks and clearances' }).click();
	await page.getByRole('button', { name: 'Add the mark' }).click();
	await expect(page.getByRole('alert')).toContainText('Where: choose the place on the map');
	await page.locator('[data-place="chin"][data-side="right"]').click();
	await page.getByRole('button', { name: 'Add the mark' }).click();
	await expect(page.getByRole('list', { name: 'Marks' })).toContainText('Mole, chin, right, 5 mm');
	await page.getByRole('button', { name: 'Take out the clearance for Blood thinner' }).click();
	await expect(allows(page)).toContainText('Only with a doctor’s word');
	await page.getByLabel('By', { exact: true }).fill('Dr. Aune');
	await page.getByLabel('Given on').fill('2020-01-01');
	await page.getByLabel('Ends on').fill('2020-06-01');
	await page.getByRole('button', { name: 'Note the clearance' }).click();
	await expect(allows(page)).toContainText('The clearance by Dr. Aune ran out');
	await expectAccessible(page);
	await page.getByRole('radio', { name: 'Record' }).click();
	await page.getByLabel('Year of birth, if wanted').fill('19');
	await page.keyboard.press('Tab');
	await expect(page.getByText('Year of birth: give a year between 1900')).toBeVisible();
	await expectAccessible(page);
	const waiting = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Archive, export, remove' }).click();
	await page.getByRole('menuitem', { name: 'Export her alone as a file' }).click();
	const file = await (await waiting).path();
	await page.getByRole('button', { name: 'Archive, export, remove' }).click();
	await page.getByRole('menuitem', { name: 'Remove this client …' }).click();
	await page.getByRole('button', { name: 'Remove for good' }).click();
	// The list comes once she is gone.
	await page.waitForURL(/\/clients$/);
	await expect(page.getByRole('link', { name: /Odile/ })).toBeVisible();
	await expect(page.getByRole('link', { name: /Lamp 14/ })).toHaveCount(0);
	await page.goto(`${demoURL}/exchange`);
	await page.locator('input[type=file]').setInputFiles(file);
	await page.getByRole('button', { name: 'Import' }).click();
	await expect(page.getByText(/records? (is|are) in\./)).toBeVisible();
	await page.goto(`${demoURL}/clients/demo-l14`);
	await expect(allows(page)).toContainText('Filler');
	await page.goto(`${demoURL}/settings/codes`);
	await page.locator('[data-licence="inside"]').getByRole('radio', { name: 'Not covered' }).click();
	await expect.poll(async () => JSON.stringify(await recordsIn(page, DEMO_DB, 'settings'))).toMatch(/"inside"/);
	await page.goto(`${demoURL}/library?move=thumb-inside`);
	await expect(page.getByText('Outside your licence')).toBeVisible();
});
