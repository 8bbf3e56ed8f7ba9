// Takes the pictures of docs/screenshots from the demo practice: one a main view, 1280 × 800.
import { mkdirSync, readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { launchOptions, root, serveDemo } from './setup.mjs';

const { base, stop } = await serveDemo();
const out = `${root}docs/screenshots`;
mkdirSync(out, { recursive: true });
const browser = await chromium.launch(launchOptions());
const page = await browser.newPage({
	viewport: { width: 1280, height: 800 },
	locale: 'en-GB',
	timezoneId: 'Europe/Berlin',
	reducedMotion: 'reduce'
});
const shot = async (name) => {
	await page.mouse.move(2, 798);
	await page.waitForTimeout(400);
	await page.screenshot({ path: `${out}/${name}.png` });
	taken.add(name);
	console.log(name);
};
/** The same moment in three sizes and both looks, on one sheet. */
const sheet = async (name) => {
	const pictures = [];
	for (const theme of ['day', 'evening'])
		for (const [width, height] of [
			[1280, 800],
			[820, 1180],
			[390, 844]
		]) {
			await page.evaluate((t) => (document.documentElement.dataset.theme = t), theme);
			await page.setViewportSize({ width, height });
			await page.waitForTimeout(400);
			pictures.push([(await page.screenshot()).toString('base64'), width / height]);
		}
	await page.evaluate(() => (document.documentElement.dataset.theme = 'day'));
	await page.setViewportSize({ width: 1280, height: 800 });
	const paper = await browser.newPage({ viewport: { width: 1102, height: 800 } });
	await paper.setContent(
		`<body style="margin:0;padding:8px;display:flex;flex-wrap:wrap;gap:8px;background:#8a8f98">${pictures
			.map(([data, ratio]) => `<img style="height:388px;width:${388 * ratio}px" src="data:image/png;base64,${data}">`)
			.join('')}</body>`
	);
	await paper.screenshot({ path: `${out}/${name}.png` });
	await paper.close();
	taken.add(name);
	console.log(name);
};
/** Every view of the list that names a picture has one. */
const views = JSON.parse(readFileSync(`${root}src/lib/ui/parts/shell/views.json`, 'utf8'));
const taken = new Set();
const open = async (path) => {
	await page.goto(base + path);
	await page.getByRole('heading').first().waitFor();
};
try {
	await page.goto(`${base}/`);
	await page.getByRole('alertdialog').waitFor();
	await page.getByRole('button', { name: 'I have read this' }).click();
	await page.getByRole('heading', { name: 'Odile K.' }).waitFor();
	await shot('today');
	await open('/compose');
	await shot('sequences');
	await open('/compose/demo-bakers-dawn');
	await page.locator('[data-ribbon]').first().waitFor();
	await page.locator('[data-row="s13"] [data-step-button]').click();
	const clock = page.getByRole('slider', { name: 'Moment in the sequence' });
	for (let i = 0; i < 9; i++) await clock.press('ArrowRight');
	await shot('compose');
	await open('/compose/demo-stone-knuckle');
	await page.locator('[data-ribbon]').first().waitFor();
	await page.getByRole('tab', { name: /Findings/ }).click();
	await page.getByRole('button', { name: 'What each step is worth' }).click();
	await page.locator('[data-worth-lane] title').first().waitFor({ state: 'attached' });
	await page.getByRole('radio', { name: 'Evening' }).click();
	await clock.press('End');
	for (let i = 0; i < 140; i++) await clock.press('ArrowLeft');
	await shot('compose-evening');
	await page.getByRole('radio', { name: 'Day' }).click();
	await open('/session?sequence=demo-bakers-dawn');
	for (const [place, side, taps] of [
		['lower-eyelid', 'left', 3],
		['lower-eyelid', 'right', 2],
		['malar', 'left', 2],
		['malar', 'right', 1],
		['jawline', 'left', 2],
		['submental', 'left', 1]
	])
		for (let i = 0; i < taps; i++) await page.locator(`[data-place="${place}"][data-side="${side}"]`).click();
	await shot('session-before');
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).waitFor();
	await page.keyboard.press('Space');
	for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight');
	await page.waitForTimeout(10_500);
	await sheet('session-stage-sizes');
	await page.keyboard.press('Space');
	await page.keyboard.press('e');
	await page.getByRole('heading', { name: 'And now' }).waitFor();
	for (const [place, side] of [
		['lower-eyelid', 'left'],
		['lower-eyelid', 'right'],
		['malar', 'left']
	])
		await page.locator(`[data-place="${place}"][data-side="${side}"]`).click();
	await shot('session-after');
	await open('/progress?client=demo-odile&session=demo-odile-13');
	await page.locator('main svg[role="img"]').last().waitFor();
	await shot('progress');
	await open('/progress/weeks?client=demo-svea');
	await page.getByText('What goes with what').waitFor();
	await shot('weeks');
	await open('/progress/photos/demo-svea-front-4');
	await page.getByRole('button', { name: /left palpebrale superius/i }).click();
	await shot('photo-points');
	await open('/progress/compare?a=demo-svea-front-1&b=demo-svea-front-4');
	for (const name of ['Eye opening, left', 'Eye opening, right', 'Jaw contour, left', 'Brow height, left'])
		await page.getByLabel(name, { exact: true }).check();
	await page.getByRole('button', { name: 'Look at these 4' }).click();
	await page.getByRole('table', { name: 'Declared before looking' }).waitFor();
	await shot('photo-pair');
	await open('/progress/report?client=demo-odile');
	await page.getByRole('heading', { name: 'What changed' }).waitFor();
	await shot('report');
	await open('/library?move=under-eye-out');
	await page.locator('[data-move]').first().waitFor();
	await page.getByRole('button', { name: 'drain', exact: true }).click();
	await page.getByRole('button', { name: 'Play it' }).click();
	await page.waitForTimeout(2200);
	await shot('library');
	await open('/compose/tide?ids=demo-bakers-dawn,demo-glass-jaw');
	await page.getByRole('button', { name: /^Run them over/ }).click();
	await page.getByRole('button', { name: 'Save this comparison' }).waitFor();
	await shot('tide-compare');
	await open('/compose/compare?a=demo-bakers-dawn&b=demo-glass-jaw');
	await page.getByRole('region', { name: 'Time per zone' }).waitFor();
	await shot('compare');
	await open('/practise');
	await page.getByRole('button', { name: 'Begin a press' }).click();
	await page.getByText(/within the level after/).waitFor();
	await shot('practise');
	await open('/clients/demo-l14');
	await page.getByRole('list', { name: 'What today allows' }).waitFor();
	await shot('clients');
	await open('/exchange');
	await shot('exchange');
	await open('/settings');
	await page.getByRole('button', { name: 'Opening and drain links' }).click();
	const fades = page.getByLabel('An opening fades by half in, s');
	await fades.fill('480');
	await fades.blur();
	await page.getByRole('button', { name: 'All as shipped (1 changed)' }).waitFor();
	await page.locator('#working-values').evaluate((section) => (section.scrollIntoView(), scrollTo(0, 0)));
	await shot('settings');
	const missing = views.filter((v) => v.picture && !taken.has(v.picture)).map((v) => v.path);
	if (missing.length) throw new Error(`no picture was taken of ${missing.join(', ')}`);
} finally {
	await browser.close();
	stop();
}
