// Measures what is heard of the stage in a real Chromium: a pump a second for some minutes, while the page is kept busy now
// and then. Run `npm run bench:sound -- 60` for an hour; the figures go into docs/performance.md.
import { chromium } from '@playwright/test';
import { launchOptions, serveDemo } from '../scripts/setup.mjs';

const minutes = Number(process.argv[2] ?? 5);
const PUMPS = 500;
const MOST_LATE_MS = 30;
const MOST_DRIFT_MS_AN_HOUR = 20;
/** The page is kept busy for so long, once in so many seconds. */
const BUSY_MS = 3000;
const EVERY_SECONDS = 20;

const { base, stop } = await serveDemo();
// The driver mutes Chromium, which then plays to a stand-in with a clock of its own: it is to play to the card that is there.
const browser = await chromium.launch({ ...launchOptions(), ignoreDefaultArgs: ['--mute-audio'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.addInitScript(() => {
	window.laid = new Map();
	/** What of the card’s clock is heard at a moment of the page’s. */
	window.pairs = [];
	const { createOscillator } = AudioContext.prototype;
	AudioContext.prototype.createOscillator = function () {
		if (!window.audio) {
			window.audio = this;
			setInterval(() => window.pairs.push([this.getOutputTimestamp(), performance.now()]), 100);
		}
		const node = createOscillator.call(this);
		const [start, stop] = [node.start.bind(node), node.stop.bind(node)];
		node.start = (at) => {
			window.laid.set(node, { at, lateMs: Math.max(0, 1000 * (this.currentTime - at)), takenBack: false });
			start(at);
		};
		node.stop = (at) => {
			if (at === undefined) window.laid.get(node).takenBack = true;
			stop(at);
		};
		return node;
	};
});
await page.goto(`${base}/`);
await page.getByRole('button', { name: 'I have read this' }).click();
await page.evaluate(
	async ([pumps, seconds]) => {
		const open = indexedDB.open('soft-tide-demo');
		await new Promise((done) => (open.onsuccess = done));
		const at = (mode) => open.result.transaction('sequences', mode).objectStore('sequences');
		const get = at('readonly').get('demo-three-minutes');
		await new Promise((done) => (get.onsuccess = done));
		const row = structuredClone(get.result);
		const pump = row.sequence.phases.flatMap((p) => p.blocks.flatMap((b) => b.steps)).find((s) => s.motion === 'pump');
		const steps = Array.from({ length: Math.ceil(seconds / pumps) }, (_, i) => ({
			...pump,
			id: `s${i}`,
			side: 'both',
			dose: { kind: 'reps', min: pumps, target: pumps, max: pumps },
			paceSeconds: 1
		}));
		row.sequence = {
			...row.sequence,
			id: 'sound',
			title: 'A pump a second',
			budgetSeconds: seconds,
			phases: [{ ...row.sequence.phases[0], id: 'p', blocks: [{ id: 'b', title: '', sides: 'asSteps', steps }] }]
		};
		const put = at('readwrite').put({ ...row, id: 'sound', history: { past: [], future: [] } });
		await new Promise((done) => (put.onsuccess = done));
		open.result.close();
	},
	[PUMPS, 60 * minutes]
);
await page.goto(`${base}/session?sequence=sound`);
await page.getByRole('button', { name: /^Start, / }).click();
await page.getByRole('button', { name: /^Begin/ }).click();
const began = Date.now();
while (Date.now() - began < 60_000 * minutes - 5000) {
	await page.waitForTimeout(1000 * EVERY_SECONDS * (0.5 + Math.random()));
	await page.evaluate((ms) => {
		const until = performance.now() + ms;
		while (performance.now() < until);
	}, BUSY_MS);
}
const { tones, lateMs, pairs } = await page.evaluate(() => {
	const all = [...window.laid.values()].filter((t) => !t.takenBack).sort((a, b) => a.at - b.at);
	return {
		tones: all.map((t) => t.at),
		lateMs: all.map((t) => t.lateMs),
		pairs: window.pairs.map(([t]) => [t.contextTime, t.performanceTime]).filter(([, p]) => p > 0)
	};
});
await browser.close();
stop();

/** When a moment of the card was heard, ms of the page's clock: between two readings along a line. */
let i = 1;
const heard = tones.flatMap((at) => {
	while (pairs[i] && pairs[i][0] < at) i++;
	if (!pairs[i] || at < pairs[i - 1][0]) return [];
	const [[c0, p0], [c1, p1]] = [pairs[i - 1], pairs[i]];
	return c1 > c0 ? [p0 + ((at - c0) / (c1 - c0)) * (p1 - p0)] : [];
});
// Each tone against the moment of the first one and so many whole seconds.
const off = heard.map((ms) => ms - heard[0] - 1000 * Math.round((ms - heard[0]) / 1000));
const sorted = off.toSorted((a, b) => a - b);
const middle = sorted[Math.floor(sorted.length / 2)];
const aside = off.map((x) => Math.abs(x - middle)).sort((a, b) => a - b);
const n = off.length;
// The middle of the slopes over half the time: a card that stalls now and then does not lead it astray.
const half = n >> 1;
const slopes = Array.from({ length: n - half }, (_, j) => (off[j + half] - off[j]) / half).sort((a, b) => a - b);
const drift = Math.abs(slopes[slopes.length >> 1] * 3600);
const late = Math.max(...lateMs);
const [first, last] = [pairs[0], pairs.at(-1)];
const lost = (1000 * (last[0] - first[0]) - (last[1] - first[1])) / ((last[1] - first[1]) / 60_000);
console.log(`${n} tones over ${minutes} min, page busy ${BUSY_MS / 1000} s about every ${EVERY_SECONDS} s`);
console.log(`the card's clock against the page's: ${lost.toFixed(1)} ms a minute`);
console.log(`laid after it was due, at most ${late.toFixed(1)} ms (${MOST_LATE_MS})`);
console.log(
	`heard beside its moment: half within ${aside[n >> 1].toFixed(1)}, 95 % within ${aside[Math.floor(0.95 * n)].toFixed(1)}, at most ${aside.at(-1).toFixed(1)} ms`
);
console.log(`drift of what is heard ${drift.toFixed(1)} ms an hour (${MOST_DRIFT_MS_AN_HOUR})`);
if (late > MOST_LATE_MS || drift > MOST_DRIFT_MS_AN_HOUR) process.exitCode = 1;
