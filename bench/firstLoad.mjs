// Measures the first load of each page as the server sends it. Held to the budget are the Brotli bytes of the scripts without
// which nothing of the page runs: its own and all that they import, one from the other. Told beside them: what it has fetched
// when its drawings are there too, and what with all that is made ready for the first touch. Also the largest paint, of
// five loads the middle one, and the largest shift of the layout. The demo practice is made beforehand, the cache is off and
// service workers are blocked. Ends with 1 where a page is over its budget. Run `npm run bench:load`; the figures go into docs/performance.md.
import { chromium } from '@playwright/test';
import { launchOptions, serveDemo } from '../scripts/setup.mjs';
import { calibrate } from './calibration.mjs';

/** kB of script to open it, by page; and what holds for every page. */
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

/** ms after the load until the drawings are there, and then until what the first touch needs is too. */
const DRAWN_MS = 1700;
const READY_MS = 3500;

/** The scripts that a page has asked for: when, and how large they came over the wire. */
const scriptsOf = (page) =>
	page.evaluate(() =>
		performance
			.getEntriesByType('resource')
			.filter((e) => new URL(e.name).pathname.endsWith('.js'))
			.map((e) => ({ url: e.name, name: e.name.split('/').pop(), size: e.encodedBodySize }))
	);
const ROOTS = /\/(entry\/(start|app)\.|nodes\/)/;
const IMPORT = /(?:from|import)\s*["'](\.{1,2}\/[^"']+\.js)["']/g;
/** Of the scripts of a page its own, and what these import before they run. What they fetch later is written with brackets. */
async function toOpen(scripts) {
	const byUrl = new Map(scripts.map((c) => [c.url, c]));
	const queue = scripts.filter((c) => ROOTS.test(c.url)).map((c) => c.url);
	const needed = new Set(queue);
	for (let url = queue.pop(); url; url = queue.pop()) {
		const text = await (await fetch(url)).text();
		for (const [, path] of text.matchAll(IMPORT)) {
			const next = new URL(path, url).href;
			if (needed.has(next) || !byUrl.has(next)) continue;
			needed.add(next);
			queue.push(next);
		}
	}
	return [...needed].map((url) => byUrl.get(url));
}
/** What a page that is open has fetched: what it cannot run without, what it drew with, what it made ready. */
async function filesOf(page) {
	const drawn = await scriptsOf(page);
	await page.waitForTimeout(READY_MS);
	return { drawn, counted: await toOpen(drawn), ready: await scriptsOf(page) };
}
/** Loads of each page; what else the machine does moves a single one by a third. */
const LOADS = 5;
const kBOf = (scripts) => scripts.reduce((a, c) => a + c.size, 0) / 1000;

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
	/** One load of a page; it stays open. */
	async function load(path) {
		const page = await context.newPage();
		const cdp = await context.newCDPSession(page);
		await cdp.send('Network.setCacheDisabled', { cacheDisabled: true });
		await page.addInitScript(() => {
			window.measured = { lcp: 0, shift: 0, moved: [] };
			performance.setResourceTimingBufferSize(2000);
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
		await page.goto(base + path, { waitUntil: 'load' });
		await page.locator('main').first().waitFor();
		await page.waitForTimeout(DRAWN_MS);
		return { page, ...(await page.evaluate(() => window.measured)) };
	}
	calibrate();
	// Round by round, so that a moment in which the machine does something else touches one load of each page.
	const loads = new Map(Object.keys(BUDGETS_KB).map((path) => [path, []]));
	const last = new Map();
	for (let round = 0; round < LOADS; round++)
		for (const path of loads.keys()) {
			const { page, ...measured } = await load(path);
			loads.get(path).push(measured);
			if (round === LOADS - 1) last.set(path, await filesOf(page));
			await page.close();
		}
	for (const [path, measured] of loads) {
		const budget = BUDGETS_KB[path];
		const paints = measured.map((l) => l.lcp).sort((a, b) => a - b);
		const lcp = paints[(LOADS - 1) / 2];
		const { shift, moved } = measured.reduce((a, b) => (b.shift > a.shift ? b : a));
		const { counted, drawn, ready } = last.get(path);
		const kB = kBOf(counted);
		const bad = kB > budget || lcp > MOST_LCP_MS || shift > MOST_SHIFT;
		over += bad ? 1 : 0;
		console.log(
			`${bad ? 'over ' : 'ok   '}${path.padEnd(36)} ${kB.toFixed(0)} kB of ${budget}, ${counted.length} files; drawn ${kBOf(drawn).toFixed(0)}, made ready ${kBOf(ready).toFixed(0)}; LCP ${lcp.toFixed(0)} ms (${paints[0].toFixed(0)} to ${paints.at(-1).toFixed(0)}), shift ${shift.toFixed(3)}`
		);
		if (process.argv.includes('--files'))
			for (const c of counted.sort((a, b) => b.size - a.size).slice(0, 14))
				console.log(`       ${(c.size / 1000).toFixed(1).padStart(6)} kB ${c.name}`);
		if (shift > MOST_SHIFT) for (const what of moved.slice(0, 8)) console.log(`       moved: ${what}`);
	}
} finally {
	await browser.close();
	stop();
}
process.exitCode = over ? 1 : 0;
