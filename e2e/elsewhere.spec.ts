import { expect, test } from '@playwright/test';
import { openNewestSession } from './steps.mjs';
import { begin, beginDemo, DEMO_DB, demoURL, offer, recordsIn, saved } from './support';

const DAWN = '/compose/demo-bakers-dawn';

test('what is removed in another window asks here: a sequence may go on as a new one, a session goes with its client', async ({
	page,
	context
}) => {
	await beginDemo(page, DAWN);
	const other = await context.newPage();
	await other.goto(`${demoURL}/compose`);
	await other.getByRole('button', { name: 'More for Baker’s dawn, light eyes' }).click();
	await other.getByRole('menuitem', { name: 'Remove' }).click();
	const dialog = page.getByRole('alertdialog', { name: 'It is not there any more' });
	await expect(dialog).toContainText('removed in another window');
	// Keys do not reach what lies behind the question.
	const steps = await page.locator('[data-row]').count();
	await page.keyboard.press('Control+a');
	await page.keyboard.press('Delete');
	expect(await page.locator('[data-row]').count()).toBe(steps);
	await dialog.getByRole('button', { name: 'Keep it as a new one' }).click();
	await saved(page);
	await other.goto(demoURL + DAWN);
	await expect(other.getByLabel('Title of the sequence')).toHaveValue(/Baker/);
	// A session that is open while its client is removed.
	await page.goto(`${demoURL}/progress?client=demo-odile`);
	await openNewestSession(page);
	await page.getByLabel('Note for next time').waitFor();
	await other.goto(`${demoURL}/clients/demo-odile`);
	await other.getByRole('button', { name: 'Archive, export, remove' }).click();
	await other.getByRole('menuitem', { name: 'Remove this client …' }).click();
	await other.getByRole('button', { name: 'Remove for good' }).click();
	await expect(dialog).toContainText('with the client that it belongs to');
	await expect(dialog.getByRole('button', { name: 'Keep it as a new one' })).toHaveCount(0);
	await dialog.getByRole('button', { name: 'Let it go' }).click();
	const left = await recordsIn(page, DEMO_DB, 'sessions');
	expect(left.filter((s) => s.clientId === 'demo-odile')).toEqual([]);
	expect(JSON.stringify(await recordsIn(page, DEMO_DB, 'settings'))).not.toContain('demo-odile');
});

test('what is typed is kept within half a second, and never replaced by what another window wrote', async ({
	page,
	context
}) => {
	await beginDemo(page, '/clients');
	await page.getByRole('link', { name: /Odile K\./ }).click();
	await page.getByRole('radio', { name: 'Record' }).click();
	const note = page.getByLabel('Note', { exact: true });
	await note.focus();
	await note.fill('Sleeps on the left');
	await expect(page.getByText('Saved', { exact: true })).toBeVisible();
	const other = await context.newPage();
	await other.goto(`${demoURL}/clients/demo-odile`);
	await other.getByRole('radio', { name: 'Record' }).click();
	await expect(other.getByLabel('Note', { exact: true })).toHaveValue('Sleeps on the left');
	await other.getByLabel('Note', { exact: true }).fill('Theirs');
	await other.getByLabel('Note', { exact: true }).blur();
	await expect(page.getByText('Changed elsewhere to “Theirs”')).toBeVisible();
	await expect(note).toHaveValue('Sleeps on the left');
	await page.getByRole('button', { name: 'Take that' }).click();
	await expect(note).toHaveValue('Theirs');
	await note.pressSequentially(', and mine');
	// The window goes without the field being left: after half a second what was typed is there.
	await expect
		.poll(async () => JSON.stringify(await recordsIn(page, DEMO_DB, 'clients')))
		.toContain('Theirs, and mine');
	await page.close();
	await expect(other.getByLabel('Note', { exact: true })).toHaveValue('Theirs, and mine');
});

test('an import looks again before it writes, and a file with a fault can be brought in without it', async ({
	page,
	context
}) => {
	await beginDemo(page, '/exchange');
	const waiting = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Export all' }).click();
	const path = await (await waiting).path();
	const other = await context.newPage();
	await other.goto(`${demoURL}/clients/demo-odile`);
	await other.getByRole('radio', { name: 'Record' }).click();
	const name = other.getByLabel('Name or code', { exact: true });
	await name.fill('Odile, changed');
	await expect(other.getByText('Saved', { exact: true })).toBeVisible();
	await page.locator('input[type=file]').setInputFiles(path);
	await expect(page.getByText('1 changed')).toBeVisible();
	await name.fill('Odile, changed again');
	await name.blur();
	await expect(other.getByRole('heading', { name: 'Odile, changed again' })).toBeVisible();
	await page.getByRole('button', { name: 'Import' }).click();
	await expect(page.getByText(/so nothing was imported\. This is what would happen now/)).toBeVisible();
	await expect(other.getByRole('heading', { name: 'Odile, changed again' })).toBeVisible();
	await page.getByRole('button', { name: 'Import' }).click();
	await expect(page.getByText(/records? (is|are) in\./)).toBeVisible();
	await expect(other.getByRole('region', { name: 'Two versions of this record' })).toContainText(
		'Odile, changed again'
	);
	// A backup of an earlier day in which a session lost its client.
	const client = {
		id: 'q',
		revision: 1,
		updatedAt: '2026-03-01T08:00:00.000Z',
		name: 'Quiet',
		cautions: '',
		note: '',
		archived: false
	};
	const session = {
		id: 'lost',
		revision: 1,
		updatedAt: client.updatedAt,
		clientId: 'nobody',
		startedAt: client.updatedAt,
		before: { takenAt: client.updatedAt, entries: [] }
	};
	const tables = [
		'sequences',
		'snapshots',
		'runs',
		'techniques',
		'schools',
		'media',
		'kept',
		'comparisons',
		'binaries',
		'working',
		'settings',
		'secondVersions'
	];
	const file = {
		format: 'soft-tide/backup',
		version: 6,
		core: 'x',
		exportedAt: client.updatedAt,
		clients: [client],
		sessions: [session]
	};
	await offer(page, JSON.stringify({ ...file, ...Object.fromEntries(tables.map((t) => [t, []])) }));
	await expect(page.getByRole('alert')).toContainText('no client of the file has this id: nobody');
	await page.getByRole('button', { name: 'Import all but what is wrong' }).click();
	const preview = page.getByRole('region', { name: 'What the file would do' });
	await expect(preview).toContainText('Left out');
	await expect(preview).toContainText('sessions[0].clientId');
	await page.getByRole('button', { name: 'Import' }).click();
	await expect(page.getByText('1 record is in.')).toBeVisible();
});

test('settings come back with a backup though consent was given here, and wiping empties what lies beside the database', async ({
	page,
	context
}) => {
	await begin(page, '/settings');
	await page.getByRole('main').getByRole('radio', { name: 'Evening' }).click();
	await page.getByRole('radio', { name: 'inch' }).click();
	await page.goto('/exchange');
	const waiting = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Export all' }).click();
	const path = await (await waiting).path();
	const editor = await context.newPage();
	await editor.goto('/compose');
	await editor.getByRole('button', { name: 'New sequence' }).first().click();
	await editor.getByLabel('Title of the sequence').waitFor();
	await page.getByRole('button', { name: /Delete all …/ }).click();
	await page.getByRole('button', { name: 'Delete all', exact: true }).click();
	await expect(editor.getByRole('alertdialog', { name: 'It is not there any more' })).toBeVisible();
	await editor.close();
	await page.getByRole('button', { name: 'I have read this' }).click();
	await expect.poll(() => page.evaluate(() => document.documentElement.dataset.theme)).toBe('day');
	expect(await recordsIn(page, 'soft-tide', 'sequences')).toEqual([]);
	await page.locator('input[type=file]').setInputFiles(path);
	await page.getByRole('button', { name: 'Import' }).click();
	await expect.poll(() => page.evaluate(() => document.documentElement.dataset.theme)).toBe('evening');
	await page.goto('/settings');
	await expect(page.getByRole('radio', { name: 'inch' })).toBeChecked();
});
