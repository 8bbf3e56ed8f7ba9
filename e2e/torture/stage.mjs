// A running stage under keys that are held and bounced, frozen pages, clocks that are set and crashes: what the record says is
// what was guided. Nothing that was not guided counts as done; nothing that was done is lost beyond one repetition.
import { chromium } from '@playwright/test';
import { launchOptions } from '../../scripts/setup.mjs';
import { agree } from '../steps.mjs';
import { chance, everything, faultsIn } from './parts.mjs';

/** Longest repetition, pause between two notes of the place, and what a clock reads at once, seconds. */
const BEYOND_SECONDS = 11;
const KEYS = ['Space', 'ArrowRight', 'ArrowLeft', 'ArrowUp', 'ArrowDown', 's', 'x', 'u', 'y', 'Escape', 't', 'o'];

const GO_ON = /^(Go on|Begin) space/;

/** Keys that change what is guided, never what was: nothing is lost by them. */
const UNHARMING = KEYS.filter((key) => !['u', 'ArrowLeft'].includes(key));

/** What the stage says of itself. */
const seen = (page) =>
	page.evaluate(() => ({
		playing: [...document.querySelectorAll('button')].some((b) => /^Pause: touch the face/.test(b.ariaLabel ?? '')),
		over: [...document.querySelectorAll('h1')].some((h) => h.textContent?.trim() === 'And now'),
		step: document.querySelector('h1')?.textContent ?? ''
	}));

export async function tortureStage({ base, seed, until, crashes = 200 }) {
	const dice = chance(seed);
	const faults = [];
	const figures = {
		sessions: 0,
		moves: 0,
		'keys pressed': 0,
		'keys held': 0,
		freezes: 0,
		'clock jumps': 0,
		crashes: 0,
		ended: 0,
		'most lost at a break, s': 0
	};
	const browser = await chromium.launch(launchOptions());
	try {
		while (Date.now() < until && (figures.crashes < crashes || figures.sessions < 3)) {
			const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
			let page = await context.newPage();
			await page.clock.install();
			await page.goto(`${base}/session?client=demo-odile&sequence=demo-three-minutes`);
			await agree(page);
			await page.getByRole('button', { name: /^Start, / }).click();
			await page.getByRole('button', { name: /^Begin/ }).click();
			figures.sessions++;
			const address = page.url();
			/** Seconds in which hands were guided for sure, by the page’s own clock, and breaks in which some may be lost. */
			let [guided, breaks] = [0, 1];
			const run = async (ms) => {
				// In pieces, as a page that is looked at: each is guided if it played before.
				for (let left = ms; left > 0; left -= 1000) {
					const piece = Math.min(left, 1000);
					const { playing } = await seen(page);
					await page.clock.runFor(piece);
					if (playing) guided += piece / 1000;
				}
			};
			// However slow the machine, something is done.
			for (let i = 0; i < 48 && (Date.now() < until || i < 10); i++) {
				figures.moves++;
				const { over } = await seen(page);
				if (over) {
					figures.ended++;
					await page.getByRole('button', { name: 'Resume session' }).click();
					await page.getByRole('button', { name: GO_ON }).first().waitFor();
					breaks++;
				}
				const what = dice.of([
					'run',
					'run',
					'run',
					'key',
					'key',
					'hold',
					'bounce',
					'freeze',
					'clock',
					'crash',
					'crash'
				]);
				if (what === 'run') {
					// A practitioner whose stage stands still goes on.
					const go = page.getByRole('button', { name: GO_ON }).first();
					if (await go.isVisible()) await go.click();
					await run(500 + dice.below(9000));
				} else if (what === 'key') {
					figures['keys pressed']++;
					const key = dice.of(KEYS);
					await page.keyboard.press(key);
					if (!UNHARMING.includes(key)) breaks++;
				} else if (what === 'hold') {
					figures['keys held']++;
					const { step } = await seen(page);
					for (let n = 0; n < 15; n++) await page.keyboard.down('ArrowRight');
					await page.keyboard.up('ArrowRight');
					await page.clock.runFor(50);
					const [from, to] = [step, (await seen(page)).step].map((s) => Number(/^\s*(\d+) of/.exec(s)?.[1] ?? NaN));
					if (to - from > 1) faults.push(`session ${figures.sessions}: a held key skipped from step ${from} to ${to}`);
				} else if (what === 'bounce') {
					const { playing } = await seen(page);
					await page.evaluate(() => {
						for (let n = 0; n < 14; n++)
							window.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', code: 'Space' }));
					});
					const after = await seen(page);
					if (!after.over && after.playing !== !playing && after.playing !== playing)
						faults.push('a bounce left it undecided');
				} else if (what === 'freeze') {
					figures.freezes++;
					const { playing } = await seen(page);
					await page.clock.fastForward(4000 + dice.below(600_000));
					breaks++;
					if (playing && (await seen(page)).playing)
						faults.push(`session ${figures.sessions}: it went on over a freeze`);
				} else if (what === 'clock') {
					figures['clock jumps']++;
					const now = await page.evaluate(() => Date.now());
					await page.clock.setSystemTime(now + (dice.below(2) ? 1 : -1) * dice.below(7_200_000));
				} else {
					figures.crashes++;
					breaks++;
					// The process of the page is gone, with no word to the page.
					const cdp = await context.newCDPSession(page);
					const crashed = page.waitForEvent('crash');
					void cdp.send('Page.crash').catch(() => {});
					await crashed;
					await page.close().catch(() => {});
					page = await context.newPage();
					await page.clock.install();
					await page.goto(address);
					const go = page.getByRole('button', { name: GO_ON }).first();
					const taken = page.getByRole('button', { name: 'Take it over' });
					await go
						.or(taken)
						.or(page.getByRole('heading', { name: 'And now' }))
						.first()
						.waitFor();
					if (await taken.isVisible()) await taken.click();
					if (await go.isVisible()) await go.click();
				}
			}
			// To its end by hand, and what the record says of it.
			if (!(await seen(page)).over) {
				await page.clock.runFor(2500);
				if ((await seen(page)).playing) await page.keyboard.press('e');
				await page.clock.runFor(1200);
				await page.keyboard.press('e');
				await page.getByRole('heading', { name: 'And now' }).waitFor();
			}
			const tables = await everything(page);
			const session = tables.sessions.find((s) => address.endsWith(s.id));
			const worked = session.workedSeconds;
			const lost = (guided - worked) / breaks;
			figures['most lost at a break, s'] = Math.max(figures['most lost at a break, s'], Math.round(lost * 10) / 10);
			if (worked > guided + BEYOND_SECONDS)
				faults.push(`session ${figures.sessions}: ${worked} s recorded, ${guided} s guided`);
			if (lost > BEYOND_SECONDS)
				faults.push(`session ${figures.sessions}: ${guided} s guided, ${worked} s recorded, ${breaks} breaks`);
			if (session.endedAt < session.startedAt) faults.push(`session ${figures.sessions}: it ended before it began`);
			const steps = session.done.reduce((sum, d) => sum + d.seconds, 0);
			if (steps > worked + BEYOND_SECONDS)
				faults.push(`session ${figures.sessions}: steps of ${steps} s in ${worked} s`);
			for (const fault of faultsIn(tables)) faults.push(`session ${figures.sessions}: ${fault}`);
			await context.close();
		}
	} finally {
		await browser.close();
	}
	return { figures, faults };
}
