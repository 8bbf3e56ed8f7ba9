// Counts what a hand does for three everyday tasks in the real application, and adds it up by the keystroke-level model
// (Card, Moran and Newell 1980): K 0.28 s a key, P 1.1 s to point, B 0.1 s a button press or release, H 0.4 s between keys and
// pointer, M 1.35 s to think before each unit. Waiting for the page is measured, not assumed. Run `npm run bench:actions`.
import { chromium } from '@playwright/test';
import { launchOptions, serveDemo } from '../scripts/setup.mjs';

const S = { key: 0.28, point: 1.1, press: 0.1, home: 0.4, think: 1.35 };
const { base, stop } = await serveDemo();
const browser = await chromium.launch(launchOptions());

/** Does what a hand does, and counts it. */
function handOn(page) {
	const count = { key: 0, point: 0, press: 0, home: 0, think: 0 };
	let at = 'pointer';
	const by = (device) => {
		if (at !== device) count.home++;
		at = device;
	};
	const began = Date.now();
	return {
		think: () => count.think++,
		async click(locator) {
			by('pointer');
			count.point++;
			count.press += 2;
			await locator.click();
		},
		async drag(from, to) {
			by('pointer');
			count.point += 2;
			count.press += 2;
			const centre = async (id) => {
				const box = await page
					.locator(`[data-place="${id}"][data-side="left"]`)
					.locator('path, circle')
					.first()
					.boundingBox();
				return [box.x + box.width / 2, box.y + box.height / 2];
			};
			const [[x, y], [u, v]] = [await centre(from), await centre(to)];
			await page.mouse.move(x, y);
			await page.mouse.down();
			await page.mouse.move((x + u) / 2, (y + v) / 2, { steps: 3 });
			await page.mouse.move(u, v, { steps: 3 });
			await page.mouse.up();
		},
		async type(text) {
			by('keys');
			count.key += text.length;
			await page.keyboard.type(text);
		},
		async key(name) {
			by('keys');
			count.key++;
			await page.keyboard.press(name);
		},
		said() {
			const hand = Object.entries(count).reduce((sum, [kind, n]) => sum + n * S[kind], 0);
			const actions = count.key + count.point + count.press / 2;
			return `${actions} actions, ${hand.toFixed(0)} s by hand; the page took ${((Date.now() - began) / 1000).toFixed(0)} s with them`;
		}
	};
}
const newPage = async (path) => {
	const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
	await page.goto(base + path);
	await page.getByRole('button', { name: 'I have read this' }).click();
	return page;
};
try {
	const map = await newPage('/compose');
	await map.getByRole('button', { name: 'New sequence' }).click();
	await map.locator('[data-place]').first().waitFor();
	let hand = handOn(map);
	for (const place of ['n:terminus', 'n:submandibular']) {
		hand.think();
		await hand.click(map.locator(`[data-place="${place}"][data-side="left"]`).locator('circle').first());
		await hand.click(map.locator('[data-technique]').first());
	}
	for (const [from, to] of [
		['lower-eyelid', 'preauricular'],
		['malar', 'zygoma'],
		['nasolabial', 'buccal'],
		['chin', 'jawline'],
		['forehead-medial', 'temple']
	]) {
		hand.think();
		await hand.drag(from, to);
		await hand.click(map.locator('[data-technique]').first());
	}
	if ((await map.locator('[data-row]').count()) !== 7) throw new Error('not seven moves');
	console.log('seven moves by the map        ', hand.said(), '(budget 60 s)');

	const words = await newPage('/compose');
	await words.getByRole('button', { name: 'New sequence' }).click();
	await words.locator('[data-place]').first().waitFor();
	hand = handOn(words);
	await hand.key('/');
	await words.getByRole('textbox', { name: 'Type a step' }).waitFor();
	const lines = [
		'~ Neck',
		'open collarbone, 7',
		'open under the jaw, 7',
		'drain neck > collarbone, 7 each',
		'~ Face',
		'release masseter, knuckles, firm, 40 s',
		'lift jaw > front of the ear, 8',
		'drain chin > under the jaw, 8 each',
		'drain malar > front of the ear, 8',
		'drain lower eyelid > front of the ear, ring finger, 8',
		'drain forehead > temple, 6',
		'close collarbone, 10'
	];
	for (const line of lines) {
		hand.think();
		await hand.type(line);
		await hand.key('Enter');
		await words.waitForTimeout(80);
	}
	if ((await words.locator('[data-row]').count()) !== 10)
		throw new Error(`not ten steps: ${await words.locator('[data-row]').count()}`);
	console.log('twelve lines by words         ', hand.said(), '(budget 240 s)');

	const client = await newPage('/');
	await client.getByRole('heading', { name: 'Odile K.' }).waitFor();
	hand = handOn(client);
	hand.think();
	await hand.click(client.getByRole('link', { name: 'Someone new' }));
	await client.getByLabel('Name of the new client').waitFor();
	hand.think();
	await hand.type('Lamp 14');
	await hand.key('Enter');
	await hand.click(client.getByRole('button', { name: 'Begin a session' }));
	hand.think();
	await client.getByRole('button', { name: /^Start, / }).waitFor();
	await hand.click(client.getByRole('button', { name: /^Start, / }));
	await client.waitForURL(/session\/.+/);
	console.log('a new client to Start         ', hand.said(), '(budget 40 s)');
} finally {
	await browser.close();
	stop();
}
