// Measures photographs in a real Chromium: a 12 megapixel file on its way in, two of one client compared, and her weeks.
// Run `npm run bench:photos`; the figures go into docs/performance.md.
import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { launchOptions, serveDemo } from '../scripts/setup.mjs';

const { base, stop } = await serveDemo();
const browser = await chromium.launch(launchOptions());
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.addInitScript(() => {
	window.longTasks = [];
	new PerformanceObserver((list) => window.longTasks.push(...list.getEntries().map((e) => e.duration))).observe({
		type: 'longtask',
		buffered: true
	});
});
const longest = async () => {
	await page.waitForTimeout(300);
	const task = await page.evaluate(() => Math.max(0, ...window.longTasks.splice(0)));
	return `longest task ${task.toFixed(0)} ms`;
};
async function timed(name, work) {
	await longest();
	const from = Date.now();
	await work();
	const ms = Date.now() - from;
	console.log(name.padEnd(34), `${ms} ms (${await longest()})`);
}

/** A demo photograph drawn as large as a telephone takes it. */
const large = (name) =>
	page.evaluate(
		async (bytes) => {
			const bitmap = await createImageBitmap(new Blob([Uint8Array.from(atob(bytes), (c) => c.charCodeAt(0))]));
			const canvas = new OffscreenCanvas(3000, 4000);
			canvas.getContext('2d').drawImage(bitmap, 0, 0, 3000, 4000);
			const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.92 });
			const out = new Uint8Array(await blob.arrayBuffer());
			let text = '';
			for (let i = 0; i < out.length; i += 0x8000) text += String.fromCharCode(...out.subarray(i, i + 0x8000));
			return btoa(text);
		},
		readFileSync(new URL(`../src/lib/demo/pictures/${name}.jpg`, import.meta.url)).toString('base64')
	);

try {
	await page.goto(`${base}/progress/photos?client=demo-svea`);
	await page.getByRole('button', { name: 'I have read this' }).click();
	const cards = page.locator('main li');
	await cards.first().waitFor();
	for (const [i, name] of ['demo-svea-front-1', 'demo-svea-front-4'].entries()) {
		const file = { name: `${name}.jpg`, mimeType: 'image/jpeg', buffer: Buffer.from(await large(name), 'base64') };
		const before = await cards.count();
		await timed(i ? '12 Mpx, the next one' : '12 Mpx, with the detector to load', async () => {
			await page.locator('input[type=file]').setInputFiles(file);
			await page.waitForFunction((n) => document.querySelectorAll('main li').length > n, before);
		});
	}
	await page.goto(`${base}/progress/compare?a=demo-svea-front-1&b=demo-svea-front-4`);
	await page.getByRole('button', { name: /Look at all/ }).waitFor();
	await page.waitForTimeout(1000);
	await timed('compared, retakes and all', async () => {
		await page.getByRole('button', { name: /Look at all/ }).click();
		await page.getByRole('button', { name: 'Figures as CSV' }).waitFor();
	});
	await page.goto(`${base}/progress?client=demo-svea`);
	await page.getByRole('link', { name: 'Over the weeks' }).waitFor();
	await page.waitForTimeout(1000);
	await timed('over the weeks', async () => {
		await page.getByRole('link', { name: 'Over the weeks' }).click();
		await page.getByText('What goes with what').waitFor();
	});
	await page.goto(`${base}/progress/photos/demo-svea-front-4`);
	await page.getByRole('button', { name: 'Suggest points' }).waitFor();
	await timed('suggested, with the detector to load', async () => {
		await page.getByRole('button', { name: 'Suggest points' }).click();
		await page.getByText('Looking for points').waitFor({ state: 'visible' });
		await page.getByText('Looking for points').waitFor({ state: 'detached', timeout: 30_000 });
	});
} finally {
	await browser.close();
	stop();
}
