// Takes the pictures of docs/screenshots from the demo practice: one a main view, 1280 × 800.
import { mkdirSync, readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { sequenceSaved, writeLine } from '../e2e/steps.mjs';
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
const SIZES = [
	[1280, 800],
	[820, 1180],
	[390, 844]
];
/** The moment at hand in three sizes and both looks. */
const inSizes = async () => {
	const pictures = [];
	for (const theme of ['day', 'evening'])
		for (const [width, height] of SIZES) {
			await page.evaluate((t) => (document.documentElement.dataset.theme = t), theme);
			await page.setViewportSize({ width, height });
			await page.waitForTimeout(500);
			pictures.push([(await page.screenshot()).toString('base64'), width / height]);
		}
	await page.evaluate(() => (document.documentElement.dataset.theme = 'day'));
	await page.setViewportSize({ width: 1280, height: 800 });
	return pictures;
};
/** Several moments on one sheet, a row each. */
const sheet = async (name, rows) => {
	const high = 330;
	const wide = rows[0].reduce((sum, [, ratio]) => sum + high * ratio + 8, 16);
	const paper = await browser.newPage({ viewport: { width: Math.round(wide), height: rows.length * (high + 8) + 16 } });
	await paper.setContent(
		`<body style="margin:0;padding:8px;display:grid;gap:8px;background:#8a8f98">${rows
			.map(
				(row) =>
					`<div style="display:flex;gap:8px">${row
						.map(
							([data, ratio]) =>
								`<img style="height:${high}px;width:${high * ratio}px" src="data:image/png;base64,${data}">`
						)
						.join('')}</div>`
			)
			.join('')}</body>`
	);
	await paper.screenshot({ path: `${out}/${name}.png` });
	await paper.close();
	taken.add(name);
	console.log(name);
};
/** Steps that show what the stage must be able to lead: with the second of each at which it is looked at. */
const LEADS = [
	[
		'open n:terminus + n:deep-cervical + n:tonsillar + n:submandibular + n:submental + n:preauricular + n:postauricular, three pads, 8 at each place',
		19
	],
	[
		'lift chin > jawline > masseter > preauricular, with stone plate notch 15°, sweep, light, 2 each side, 2 lanes inner to outer, pace 3 s, support at chin, mouth parted, end wiggle',
		11
	],
	[
		'fix glabella, no movement, with tape, 30 s, strip 3 of 40 × 15 mm anchor glabella held 10 mm towards forehead-lateral for 2 to 3 h first wear',
		6
	],
	['point inner-canthus, ring finger, light, 1, pace 15 s, next stationary circle for 15 s, point BL1', 4],
	['release masseter, knuckles, press hold, light, 20 s, rises to firm, until softer within 60 s', 6],
	['prepare, glide light-oil 6 drops, 10 s, only if "the glide falls"', 0],
	['close n:terminus, pump, 10', 0]
];
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
	await page.waitForTimeout(1200);
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
	await open('/compose/demo-three-minutes');
	await page.getByRole('tab', { name: 'Text' }).click();
	await page.getByText('In step with the list: 12 steps.').waitFor();
	await writeLine(page, `\n${LEADS.map(([line]) => line).join('\n')}`);
	await page.getByText(`In step with the list: ${12 + LEADS.length} steps.`).waitFor();
	await sequenceSaved(page);
	await open('/session?sequence=demo-three-minutes');
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).click();
	const step = page.getByRole('region', { name: 'This step' });
	const rows = [];
	for (const [i, [, seconds]] of LEADS.entries()) {
		if (!seconds) continue;
		while (!(await step.getByText(new RegExp(`(^|· )${13 + i} of ${12 + LEADS.length}$`)).count())) {
			await page.keyboard.press('ArrowRight');
			await page.waitForTimeout(1100);
		}
		await page.waitForTimeout(1000 * seconds);
		rows.push(await inSizes());
	}
	await sheet('session-stage-sizes', rows);
	const missing = views.filter((v) => v.picture && !taken.has(v.picture)).map((v) => v.path);
	if (missing.length) throw new Error(`no picture was taken of ${missing.join(', ')}`);
} finally {
	await browser.close();
	stop();
}
