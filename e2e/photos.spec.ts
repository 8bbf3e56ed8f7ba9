import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { beginDemo, demoURL, expectAccessible, recordsIn } from './support';

const photosOf = (page: Parameters<typeof recordsIn>[0]) => recordsIn(page, 'soft-tide-demo', 'photos');

/** The demo practice, in which points on photographs are suggested: until somebody turns it on, nothing of it is fetched. */
async function withSuggestions(page: Page): Promise<void> {
	await beginDemo(page, '/settings');
	await expect(page.getByText(/cannot be read from the package that brings them/)).toBeVisible();
	await page.getByRole('radio', { name: 'Suggest points' }).click();
	await expect(page.getByRole('radio', { name: 'Suggest points' })).toBeChecked();
}

test('two photographs are compared: what it is about is said first, and only what is clear of the error is called changed', async ({
	page
}) => {
	await beginDemo(page, '/progress/photos?client=demo-svea');
	await expect(page.getByRole('heading', { name: 'Photographs of Svea L.' })).toBeVisible();
	await expect(page.getByText('all points placed')).toHaveCount(8);
	await expectAccessible(page);

	await page.goto(`${demoURL}/progress/compare?a=demo-svea-front-1&b=demo-svea-front-4`);
	await expect(page.getByText('First say what it is about, then look.')).toBeVisible();
	await page.getByLabel('Eye opening, left').check();
	await page.getByLabel('Eye opening, right').check();
	await page.getByRole('button', { name: 'Look at these 2' }).click();
	await expect(page.getByText(/^Changed: eye opening, left \+\d\.\d mm/)).toBeVisible();
	const table = page.getByRole('table', { name: 'Declared before looking' });
	await expect(table.getByRole('row', { name: /Eye opening, left/ })).toContainText('changed');
	await expect(page.getByText(/^Sand: measuring error/)).toContainText('pairs of retakes');
	await expectAccessible(page);
	for (const way of ['Side by side', 'Contours', 'Onion skin']) await page.getByRole('radio', { name: way }).click();
	await page.getByRole('radio', { name: 'Slider' }).click();
	const slider = page.getByRole('slider', { name: /Where the second/ });
	await slider.focus();
	await page.keyboard.press('Shift+ArrowRight');
	await expect(slider).toHaveValue('60');
	const download = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Figures as CSV' }).click();
	const csv = readFileSync((await (await download).path())!, 'utf8').split('\r\n');
	expect(csv[0]).toMatch(/^measure,unit/);
	expect(csv).toHaveLength(19);
	// Declared for her: it is not asked again.
	await page.reload();
	await expect(page.getByText(/^Changed: /)).toBeVisible();

	// The wrong way round is noticed, and exchanged.
	await page.goto(`${demoURL}/progress/compare?a=demo-svea-front-4&b=demo-svea-front-1`);
	await page.getByRole('link', { name: 'Exchange them' }).click();
	await expect(page).toHaveURL(/a=demo-svea-front-1/);
	// Somebody in whom nothing changes.
	await page.goto(`${demoURL}/progress/compare?a=demo-radu-front-1&b=demo-radu-front-3`);
	await page.getByRole('button', { name: 'Look at all, undeclared' }).click();
	await expect(page.getByText('Nothing beyond measuring error.')).toBeVisible();
	// Two profiles: what lies under the chin, with a turn of the head that nobody sees in its error.
	await page.goto(`${demoURL}/progress/compare?a=demo-svea-left-1&b=demo-svea-left-2`);
	await page.getByRole('button', { name: 'Look at all, undeclared' }).click();
	await expect(page.getByText('Nothing beyond measuring error.')).toBeVisible();
	await expect(page.getByRole('row', { name: /Contour under the chin/ })).toContainText('within measuring error');
	await expect(page.getByText(/Lengths by her nose on a front photograph/)).toBeVisible();
	// Two sides of the face are not compared.
	await page.goto(`${demoURL}/progress/compare?a=demo-svea-front-4&b=demo-svea-left-1`);
	await expect(page.getByRole('alert')).toContainText('different sides of the face');
});

test('a photograph comes from a file without what the file says of place; its points are placed by keys alone', async ({
	page
}) => {
	await withSuggestions(page);
	await page.goto(`${demoURL}/progress/photos?client=demo-odile`);
	await expect(page.getByText('No photograph yet.')).toBeVisible();
	const files = page.locator('input[type=file]');
	// What is no picture says so, and nothing is stored.
	await files.setInputFiles({
		name: 'note.txt',
		mimeType: 'text/plain',
		buffer: Buffer.from('not a picture, only a few words')
	});
	await expect(page.getByRole('alert')).toContainText('Choose a JPEG, a PNG or a WebP');
	const jpeg = readFileSync(new URL('../src/lib/demo/pictures/demo-svea-front-1.jpg', import.meta.url));
	await files.setInputFiles({ name: 'cut.jpg', mimeType: 'image/jpeg', buffer: jpeg.subarray(0, 700) });
	await expect(page.getByRole('alert')).toContainText(/damaged|no picture/);
	expect(await photosOf(page)).toHaveLength(12);

	// With a place and turned by the camera: both stand in the head of the file.
	const exif = Buffer.concat([
		Buffer.from('457869660000', 'hex'),
		Buffer.from('4d4d002a00000008', 'hex'),
		Buffer.from('0002', 'hex'),
		Buffer.from('011200030000000100060000', 'hex'),
		Buffer.from('010f00020000000a00000026', 'hex'),
		Buffer.from('00000000', 'hex'),
		Buffer.from('CANALTOWN\0', 'latin1')
	]);
	const segment = Buffer.alloc(4);
	segment.writeUInt16BE(0xffe1, 0);
	segment.writeUInt16BE(exif.length + 2, 2);
	const withPlace = Buffer.concat([jpeg.subarray(0, 2), segment, exif, jpeg.subarray(2)]);
	await files.setInputFiles({ name: 'turned.jpg', mimeType: 'image/jpeg', buffer: withPlace });
	// It lies on its side, and no face is found as it should be: whoever knows better keeps it.
	await page.getByRole('button', { name: 'Keep it all the same' }).click();
	await expect(page.getByText('30 points to place')).toBeVisible();
	const stored = (await photosOf(page)).find((p) => p['clientId'] === 'demo-odile')!;
	// Quarter turned: what was upright lies now.
	expect([stored['widthPx'], stored['heightPx']]).toEqual([960, 720]);
	const named = await page.evaluate(async (id) => {
		const open = indexedDB.open('soft-tide-demo');
		await new Promise((done) => (open.onsuccess = done));
		const get = open.result
			.transaction('binaries')
			.objectStore('binaries')
			.get(id as string);
		await new Promise((done) => (get.onsuccess = done));
		open.result.close();
		return new TextDecoder('latin1').decode((get.result as { bytes: Uint8Array }).bytes).includes('CANALTOWN');
	}, stored['fileId']);
	expect(named).toBe(false);

	await page.getByRole('link', { name: /^Points on: Front/ }).click();
	const stage = page.getByRole('application');
	await stage.focus();
	await expect(page.getByRole('heading', { name: /right exocanthion/ })).toBeVisible();
	await expect(page.getByText('Suggested until you place it.')).toBeVisible();
	await page.keyboard.press('Shift+ArrowRight');
	await page.keyboard.press('ArrowUp');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { name: /right endocanthion/ })).toBeVisible();
	await page.keyboard.press('Enter');
	await expect(page.getByText('2 of 52 placed')).toBeVisible();
	await page.keyboard.press('Backspace');
	await page.keyboard.press('Delete');
	await expect(page.getByText(/^1 of 52 placed/)).toBeVisible();
	await expectAccessible(page);
	await expect
		.poll(async () => Object.keys((await photosOf(page)).find((p) => p['id'] === stored['id'])!['points'] as object))
		.toHaveLength(1);

	// It goes with its picture.
	await page.getByRole('link', { name: 'Photographs', exact: true }).click();
	await page.getByRole('button', { name: /^Remove: Front/ }).click();
	await page.getByRole('button', { name: 'Remove it' }).click();
	await expect(page.getByText('No photograph yet.')).toBeVisible();
});

test('the simulated camera takes a face whose truth is known, after a countdown', async ({ page }) => {
	await withSuggestions(page);
	await page.goto(`${demoURL}/progress/photos?client=demo-odile`);
	await page.getByRole('link', { name: 'Simulated camera' }).click();
	await expect(page.getByRole('heading', { name: /Simulated camera: Odile K\., front/ })).toBeVisible();
	await page.getByRole('slider', { name: 'Full under the eyes' }).fill('3');
	// Nobody was photographed before: the head is to be held straight, and the hints say how.
	await expect(page.getByText('Held straight.')).toBeVisible({ timeout: 90_000 });
	await page.getByRole('slider', { name: 'Chin up' }).fill('10');
	await expect(page.getByText('Chin a little down.')).toBeVisible();
	await page.getByRole('slider', { name: 'Chin up' }).fill('0');
	await expect(page.getByText('Held straight.')).toBeVisible();
	await page.getByRole('button', { name: 'Take it in 3 seconds' }).click();
	await expect(page.getByRole('button', { name: 'Place all where they are' })).toBeVisible({ timeout: 60_000 });
	// What aligns is suggested and placed by nobody; what a treatment moves is not suggested by what is seen.
	await page.getByRole('button', { name: 'Suggest points' }).click();
	await expect
		.poll(async () =>
			Object.keys((await photosOf(page)).find((p) => p['clientId'] === 'demo-odile')!['suggested'] as object).sort()
		)
		.toEqual(['alL', 'alR', 'cphL', 'cphR', 'enL', 'enR', 'li', 'ls', 'pL', 'pR', 'prn', 'se', 'sn', 'sto']);
	await expect(page.getByText('0 of 52 placed')).toBeVisible();
	await page.getByRole('button', { name: 'Place all where they are' }).click();
	await expect(page.getByText('52 of 52 placed')).toBeVisible();
	// A marker that says otherwise than the irises is minded.
	await page.getByRole('radio', { name: 'A marker' }).click();
	await page.getByLabel('Its length, mm').fill('900');
	await page.getByLabel('Its length, mm').press('Tab');
	await expect(page.getByRole('alert')).toContainText('5 to 200 mm');

	// Pictures without a face, and with two, are doubted; whoever knows better keeps them.
	await page.getByRole('link', { name: 'Photographs', exact: true }).click();
	await expect(page.locator('main img').first()).toBeVisible();
	const pictures = await page.evaluate(async () => {
		const face = document.querySelector<HTMLImageElement>('main img')!;
		await face.decode();
		const drawn = async (draw: (on: OffscreenCanvasRenderingContext2D) => void) => {
			const canvas = new OffscreenCanvas(900, 600);
			const on = canvas.getContext('2d')!;
			on.fillStyle = '#cfc8ba';
			on.fillRect(0, 0, 900, 600);
			draw(on);
			const blob = await canvas.convertToBlob({ type: 'image/png' });
			return [...new Uint8Array(await blob.arrayBuffer())];
		};
		return {
			none: await drawn(() => {}),
			two: await drawn((on) => [0, 450].forEach((x) => on.drawImage(face, x, 0, 450, 600)))
		};
	});
	const offer = (name: keyof typeof pictures) =>
		page
			.locator('input[type=file]')
			.setInputFiles({ name: `${name}.png`, mimeType: 'image/png', buffer: Buffer.from(pictures[name]) });
	await offer('none');
	await expect(page.getByRole('alert')).toContainText('No face is seen');
	await offer('two');
	await expect(page.getByRole('alert')).toContainText('More than one face');
	expect((await photosOf(page)).filter((p) => p['clientId'] === 'demo-odile')).toHaveLength(1);
	await page.getByRole('button', { name: 'Keep it all the same' }).click();
	await expect(page.getByText('30 points to place')).toBeVisible();
});

test('the tape is taken by keys alone, with a guide; centimetres are asked about; a second round is blind', async ({
	page
}) => {
	await beginDemo(page, '/session');
	await page.getByRole('button', { name: 'All seven distances and the middle of the neck' }).click();
	await page.getByRole('button', { name: 'One by one, with a guide' }).click();
	const room = page.getByRole('dialog', { name: 'Tape, one by one' });
	const reading = room.getByRole('textbox');
	await expect(reading).toBeFocused();
	await expect(room.getByRole('heading', { name: /1 of 17/ })).toContainText('Tragus to mouth corner, client’s left');
	await expectAccessible(page);
	await page.keyboard.type('10.2');
	await page.keyboard.press('Enter');
	await room.getByRole('button', { name: /102/ }).click();
	await expect(room.getByRole('heading', { name: /2 of 17/ })).toBeVisible();
	for (const mm of ['86', '94', '146', '108', '115']) {
		await reading.focus();
		await page.keyboard.type(mm);
		await page.keyboard.press('Enter');
	}
	await expect(room.getByText('6 of 17 taken')).toBeVisible();
	await room.getByRole('radio', { name: 'Again' }).click();
	await reading.fill('103');
	await reading.press('Enter');
	await reading.press('ArrowUp');
	await expect(room.getByText('These lie 1.0 mm apart.')).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(page.getByLabel('Tragus to mouth corner, client’s left, mm')).toHaveValue('102.5');
});

test('her record is a page to print, in plain words', async ({ page }) => {
	await beginDemo(page, '/progress/report?client=demo-svea');
	await expect(page.getByRole('heading', { name: 'What changed' })).toBeVisible();
	await expect(page.getByText('This is one person’s record, not proof')).toBeVisible();
	await page.getByLabel('with photographs').check();
	await expect(page.getByRole('figure')).toHaveCount(2);
	await expectAccessible(page);
	const download = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Series as JSON' }).click();
	const file = JSON.parse(readFileSync((await (await download).path())!, 'utf8')) as {
		format: string;
		visits: unknown[];
	};
	expect(file.format).toBe('soft-tide/series');
	expect(file.visits.length).toBeGreaterThan(8);
});

test('over the weeks: a face for each visit, the tape with its error, what goes with what; an old entry that is changed stays readable', async ({
	page
}) => {
	await beginDemo(page, '/progress?client=demo-svea');
	const card = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Save the card of this session' }).click();
	await page.getByRole('menuitem', { name: /SVG/ }).click();
	expect(readFileSync((await (await card).path())!, 'utf8')).toContain('Svea L.');
	await page.getByRole('link', { name: 'Over the weeks' }).click();
	const faces = page.getByRole('list', { name: /Puffiness before each session/ }).getByRole('button');
	await expect(faces).toHaveCount(12);
	await faces.nth(2).click();
	await expect(page.getByText(/^Visit 3 of 12, /)).toBeVisible();
	const visit = page.getByRole('slider', { name: 'Visit' });
	await visit.focus();
	await page.keyboard.press('ArrowRight');
	await expect(visit).toHaveAttribute('aria-valuetext', /^Visit 4 of 12, .*client’s right .* mm/);
	await expect(faces.nth(3)).toHaveAttribute('aria-pressed', 'true');
	await page.getByText('The same as a table').click();
	await expect(page.getByRole('columnheader', { name: /Left less right/ })).toBeVisible();
	await expect(page.getByText(/of so many looked at, about\s+\d+\s+do(es)?\s+by chance/i)).toBeVisible();
	const chart = page.waitForEvent('download');
	await page.getByRole('button', { name: /^Save as a picture/ }).click();
	await page.getByRole('menuitem', { name: /SVG/ }).click();
	expect(readFileSync((await (await chart).path())!, 'utf8')).toContain('Left less right');
	// The practice says how exactly is measured.
	await page.goto(`${demoURL}/progress/practice`);
	await expect(page.getByText(/from\s+\d+\s+repeats\s+and the working value/)).toBeVisible();

	// A session of long ago: what stood there before a change is kept, and said.
	await page.goto(`${demoURL}/session/demo-svea-4`);
	const reading = page.getByLabel('Tragus to mouth corner, client’s left, mm');
	const was = await reading.inputValue();
	await reading.fill(String(Number(was) + 1));
	await reading.press('Tab');
	await page.getByText('Changed after the session: once').click();
	await expect(page.getByText(`${was} mm, now ${(Number(was) + 1).toFixed(1)} mm`)).toBeVisible();
});
