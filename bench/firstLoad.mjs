// Measures the first load of each page as the server sends it: Brotli bytes of all `.js` answers until the page is still, the
// largest paint and the shift of the layout. The demo practice is made beforehand, the cache is off and service workers are
// blocked, so that a page pays for what it needs and for nothing else. Ends with 1 where a page is over its budget.
// Run `npm run bench:load`; the figures go into docs/performance.md.
import { chromium } from '@playwright/test';
import { launchOptions, serveDemo } from '../scripts/setup.mjs';

/** kB of script, by page; and what holds for every page. */
const BUDGETS_KB = {
	'/': 130,
	'/clients': 130,
	'/progress?client=demo-odile': 130,
	'/exchange': 130,
	'/settings': 130,
	'/session?sequence=demo-bakers-dawn': 170,
	'/library': 200,
	'/compose/demo-bakers-dawn': 250
};
const MOST_LCP_MS = 1500;
const MOST_SHIFT = 0.02;

const { base, stop } = await serveDemo();
const browser = await chromium.launch(launchOptions());
let over = 0;
try {
	const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
	const first = await context.newPage();
	await first.goto(base);
	await first.getByRole('button', { name: 'I have read this' }).click();
	await first.getByRole('heading', { name: 'Odile K.' }).waitFor();
	await first.close();
	for (const [path, budget] of Object.entries(BUDGETS_KB)) {
		const page = await context.newPage();
		const cdp = await context.newCDPSession(page);
		await cdp.send('Network.setCacheDisabled', { cacheDisabled: true });
		await page.addInitScript(() => {
			window.measured = { lcp: 0, shift: 0, moved: [] };
			new PerformanceObserver((list) => {
				for (const entry of list.getEntries()) window.measured.lcp = entry.startTime;
			}).observe({ type: 'largest-contentful-paint', buffered: true });
			new PerformanceObserver((list) => {
				for (const entry of list.getEntries()) {
					if (entry.hadRecentInput) continue;
					window.measured.shift += entry.value;
					window.measured.moved.push(
						...entry.sources.map(
							(s) =>
								`${entry.value.toFixed(3)} ${s.node?.nodeName} ${s.node?.className ?? ''} ${s.node?.textContent?.slice(0, 40)}`
						)
					);
				}
			}).observe({ type: 'layout-shift', buffered: true });
		});
		await cdp.send('Network.enable');
		/** Scripts by the id of their request: as they came over the wire. */
		const scripts = new Map();
		cdp.on('Network.responseReceived', ({ requestId, response }) => {
			const name = new URL(response.url).pathname;
			if (name.endsWith('.js')) scripts.set(requestId, { name: name.split('/').pop(), size: 0 });
		});
		cdp.on('Network.dataReceived', ({ requestId, encodedDataLength }) => {
			const script = scripts.get(requestId);
			if (script) script.size += encodedDataLength;
		});
		await page.goto(base + path, { waitUntil: 'load' });
		await page.locator('main').first().waitFor();
		await page.waitForTimeout(200);
		const counted = [...scripts.values()].map((c) => ({ ...c }));
		await page.waitForTimeout(1500);
		const { lcp, shift, moved } = await page.evaluate(() => window.measured);
		const kB = counted.reduce((a, c) => a + c.size, 0) / 1000;
		const bad = kB > budget || lcp > MOST_LCP_MS || shift > MOST_SHIFT;
		over += bad ? 1 : 0;
		console.log(
			`${bad ? 'over ' : 'ok   '}${path.padEnd(36)} ${kB.toFixed(0)} kB of ${budget}, ${counted.length} files; LCP ${lcp.toFixed(0)} ms, shift ${shift.toFixed(3)}`
		);
		if (process.argv.includes('--files'))
			for (const c of counted.sort((a, b) => b.size - a.size).slice(0, 14))
				console.log(`       ${(c.size / 1000).toFixed(1).padStart(6)} kB ${c.name}`);
		if (shift > MOST_SHIFT) for (const what of moved.slice(0, 8)) console.log(`       moved: ${what}`);
		await page.close();
	}
} finally {
	await browser.close();
	stop();
}
process.exitCode = over ? 1 : 0;
