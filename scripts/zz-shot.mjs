// node scripts/zz-shot.mjs <width> <height> <out> <path> [js steps file]
import { chromium } from '@playwright/test';
import { launchOptions, serveDemo } from './setup.mjs';
const { base, stop } = await serveDemo();
const browser = await chromium.launch(launchOptions());
try {
	const jobs = JSON.parse(process.argv[2]);
	let page;
	for (const job of jobs) {
		const [w, h] = job.size ?? [1280, 800];
		page = await browser.newPage({
			viewport: { width: w, height: h },
			locale: 'en-GB',
			timezoneId: 'Europe/Berlin',
			reducedMotion: 'reduce',
			hasTouch: !!job.touch
		});
		page.on('pageerror', (e) => console.log('PAGEERROR', e.message));
		await page.goto(base + (job.path ?? '/'));
		if (!job.bare) await page.getByRole('button', { name: 'I have read this' }).click();
		await page.waitForTimeout(job.wait ?? 1500);
		if (job.do) await new (Object.getPrototypeOf(async function () {}).constructor)('page', 'base', job.do)(page, base);
		await page.waitForTimeout(400);
		await page.screenshot({ path: job.out, fullPage: !!job.full });
		if (job.say) console.log(await page.evaluate(job.say));
		await page.context().close();
	}
} finally {
	await browser.close();
	stop();
}
