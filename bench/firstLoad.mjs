// Measures the script of a first load of each page, as the server sends it: bodies of all `.js` answers until the page is
// still. Service workers are blocked, so that nothing is fetched ahead. Run `npm run bench:load`; the figures go into docs/performance.md.
import { chromium } from '@playwright/test';
import { launchOptions, serveDemo } from '../scripts/setup.mjs';

const PAGES = {
	'/': 130,
	'/clients': 130,
	'/progress': 130,
	'/exchange': 130,
	'/settings': 130,
	'/session/demo': 170,
	'/library': 200,
	'/compose/demo-bakers-dawn': 250
};
const { base, stop } = await serveDemo();
const browser = await chromium.launch(launchOptions());
try {
	for (const [path, budget] of Object.entries(PAGES)) {
		const context = await browser.newContext({
			viewport: { width: 1280, height: 800 },
			serviceWorkers: 'block'
		});
		const page = await context.newPage();
		const sizes = [];
		page.on('requestfinished', (request) => {
			if (new URL(request.url()).pathname.endsWith('.js'))
				sizes.push(
					request.sizes().then(
						(s) => s.responseBodySize,
						() => 0
					)
				);
		});
		const at = path === '/session/demo' ? '/session?sequence=demo-bakers-dawn' : path;
		await page.goto(base + at, { waitUntil: 'load' });
		await page.locator('main').first().waitFor();
		await page.waitForTimeout(200);
		const counted = [...sizes];
		const bytes = (await Promise.all(counted)).reduce((a, b) => a + b, 0);
		console.log(path.padEnd(28), `${(bytes / 1000).toFixed(0)} kB of ${budget}, ${counted.length} files`);
		await context.close();
	}
} finally {
	await browser.close();
	stop();
}
