// Measures Compose in a real Chromium: an edit to its paint, scrubbing, and a sequence of 2,000 steps.
// Run `npm run bench:page`; the figures go into docs/performance.md.
import { chromium } from '@playwright/test';
import { launchOptions, serveDemo } from '../scripts/setup.mjs';
import { calibrate } from './calibration.mjs';

const { base, stop } = await serveDemo();
const browser = await chromium.launch(launchOptions());
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${base}/`);
await page.getByRole('button', { name: 'I have read this' }).click();

/** Puts a sequence of so many steps into the database: the demo's own steps, again and again. */
async function makeLong(id, count) {
	await page.evaluate(
		async ({ id, count }) => {
			const open = indexedDB.open('soft-tide-demo');
			await new Promise((done) => (open.onsuccess = done));
			const at = (mode) => open.result.transaction('sequences', mode).objectStore('sequences');
			const get = at('readonly').get('demo-bakers-dawn');
			await new Promise((done) => (get.onsuccess = done));
			const row = structuredClone(get.result);
			const steps = row.sequence.phases.flatMap((p) => p.blocks.flatMap((b) => b.steps)).filter((s) => s.side);
			const made = Array.from({ length: count }, (_, i) => ({ ...steps[i % steps.length], id: `s${i}` }));
			row.sequence = {
				...row.sequence,
				id,
				title: `${count} steps`,
				phases: [
					{
						...row.sequence.phases[0],
						id: 'p',
						title: 'All',
						blocks: [{ id: 'b', title: '', sides: 'asSteps', steps: made }]
					}
				]
			};
			const put = at('readwrite').put({ ...row, id, history: { past: [], future: [] } });
			await new Promise((done) => (put.onsuccess = done));
			open.result.close();
		},
		{ id, count }
	);
}
const sorted = (list) => [...list].sort((a, b) => a - b);
const at = (list, share) => sorted(list)[Math.min(list.length - 1, Math.floor(list.length * share))] ?? 0;
const ms = (x) => `${x.toFixed(1)} ms`;

/** Runs work under a trace and returns what the main thread of the page did. */
async function traced(work) {
	await browser.startTracing(page, {
		categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline', 'blink.user_timing']
	});
	await work();
	const { traceEvents } = JSON.parse((await browser.stopTracing()).toString());
	const mains = new Set(
		traceEvents
			.filter((e) => e.name === 'thread_name' && e.args.name === 'CrRendererMain')
			.map((e) => `${e.pid}:${e.tid}`)
	);
	const tasks = traceEvents
		.filter((e) => e.name === 'RunTask' && mains.has(`${e.pid}:${e.tid}`))
		.map((e) => e.dur / 1000);
	const keys = traceEvents.filter((e) => e.name === 'EventTiming' && e.ph === 'b' && e.args.data?.type === 'keydown');
	return {
		longest: Math.max(0, ...tasks),
		over50: tasks.filter((t) => t > 50).length,
		keys: keys.map((e) => e.args.data.duration)
	};
}

/** Time from a key to the frame that shows what it did, by the page's own clock, so many times. */
async function editToPaint(times) {
	await page.evaluate(() => {
		window.painted = [];
		window.addEventListener(
			'keydown',
			(e) => {
				const begun = e.timeStamp;
				requestAnimationFrame(() => {
					const channel = new MessageChannel();
					channel.port1.onmessage = () => window.painted.push(performance.now() - begun);
					channel.port2.postMessage(0);
				});
			},
			true
		);
	});
	for (let i = 0; i < times; i++) {
		await page.keyboard.press(i % 2 ? '-' : '+');
		await page.waitForTimeout(260);
	}
	return page.evaluate(() => window.painted);
}

/** Time from a key to the ribbons of the tide that show what it did: the worker's answer drawn. */
const editToRibbons = (times) =>
	page.evaluate(async (count) => {
		const drawing = document.querySelector('[data-tide]');
		const waits = [];
		for (let i = 0; i < count; i++) {
			const begun = performance.now();
			const drawn = new Promise((done) => {
				const watch = new MutationObserver(() => {
					watch.disconnect();
					done(performance.now() - begun);
				});
				watch.observe(drawing, { attributes: true, subtree: true, attributeFilter: ['d'] });
			});
			document.body.dispatchEvent(new KeyboardEvent('keydown', { key: i % 2 ? '-' : '+', bubbles: true }));
			waits.push(await Promise.race([drawn, new Promise((done) => setTimeout(() => done(NaN), 3000))]));
			await new Promise((done) => setTimeout(done, 250));
		}
		return waits;
	}, times);

/** Moves the clock at every frame for a while; the intervals of the frames. */
const scrub = () =>
	page.evaluate(async () => {
		const clock = document.querySelector('input[aria-label="Moment in the sequence"]');
		const intervals = [];
		let last = 0;
		await new Promise((done) => {
			const frame = (time) => {
				if (last) intervals.push(time - last);
				last = time;
				if (intervals.length >= 180) return done();
				clock.value = String(Math.min(Number(clock.max), intervals.length * 4));
				clock.dispatchEvent(new Event('input', { bubbles: true }));
				requestAnimationFrame(frame);
			};
			requestAnimationFrame(frame);
		});
		return intervals;
	});

try {
	await page.goto(`${base}/compose`);
	await page.getByRole('heading').first().waitFor();
	calibrate();
	for (const count of [24, 60, 120, 2000]) {
		await makeLong(`bench-${count}`, count);
		const t0 = performance.now();
		await page.goto(`${base}/compose/bench-${count}`);
		await page.locator('[data-row="s3"] [data-step-button]').click();
		console.log(`\n${count} steps: open and choose a step ${ms(performance.now() - t0)}`);
		await page.waitForTimeout(1500);
		let painted = [];
		const trace = await traced(async () => (painted = await editToPaint(20)));
		console.log(
			`  edit to paint: median ${ms(at(painted, 0.5))}, p95 ${ms(at(painted, 0.95))}; longest task ${ms(trace.longest)}, tasks over 50 ms: ${trace.over50}`
		);
		const ribbons = await page.locator('[data-ribbon]').count();
		if (ribbons) {
			let waits = [];
			const tide = await traced(async () => (waits = await editToRibbons(12)));
			console.log(
				`  edit to refreshed ribbons: median ${ms(at(waits, 0.5))}, p95 ${ms(at(waits, 0.95))}; longest task ${ms(tide.longest)}, tasks over 50 ms: ${tide.over50}`
			);
		}
		let frames = [];
		const scrubbed = await traced(async () => (frames = await scrub()));
		console.log(
			`  scrub: ${(1000 / at(frames, 0.5)).toFixed(0)} frames a second (median), p95 interval ${ms(at(frames, 0.95))}; longest task ${ms(scrubbed.longest)}`
		);
	}
} finally {
	await browser.close();
	stop();
}
