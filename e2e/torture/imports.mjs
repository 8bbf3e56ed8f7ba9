// Mutated backups brought into a real browser: either all of a file comes in, or nothing does.
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { strFromU8, unzipSync } from 'fflate';
import { chromium } from '@playwright/test';
import { launchOptions } from '../../scripts/setup.mjs';
import { agree } from '../steps.mjs';
import { chance, everything, exportAll, faultsIn } from './parts.mjs';
import { mutated, PLACE } from './requests.mjs';

const mutations = fc.array(
	fc.record({
		kind: fc.constantFrom('replace', 'remove', 'repeat', 'rename', 'widen', 'cut', 'flip'),
		at: PLACE,
		with: fc.oneof(fc.constantFrom(null, -1, '', '__proto__', [], {}, 'x'.repeat(3000)), fc.jsonValue({ maxDepth: 2 })),
		times: fc.integer({ min: 2, max: 60 })
	}),
	{ minLength: 1, maxLength: 3 }
);

/** Files in each of which one bit is another one. */
const FLIPS = 60;

export async function tortureByImports({ base, seed, until }) {
	const faults = [];
	const browser = await chromium.launch(launchOptions());
	let [files, refused, mended, taken, flips] = [0, 0, 0, 0, 0];
	try {
		const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
		await page.goto(`${base}/exchange`);
		await agree(page);
		const whole = readFileSync(await exportAll(page, base));
		const zip = unzipSync(whole);
		const text = strFromU8(zip['backup.json']);
		const preview = page.getByRole('region', { name: 'What the file would do' });
		const alert = page.getByRole('alert');
		let before = JSON.stringify(await everything(page));
		// One bit of the file is another one, anywhere: said, and nothing is written.
		const dice = chance(seed);
		for (; flips < FLIPS; flips++) {
			const buffer = Buffer.from(whole);
			const bit = dice.below(8 * buffer.length);
			buffer[bit >> 3] ^= 1 << (bit & 7);
			await page.locator('input[type=file]').setInputFiles({ name: 'x.zip', mimeType: 'application/zip', buffer });
			await preview.or(alert).first().waitFor();
			if (!(await alert.isVisible()))
				faults.push(`bit ${bit} of ${8 * buffer.length} is another one, and it is read as good`);
		}
		if (JSON.stringify(await everything(page)) !== before) faults.push('a damaged file wrote');
		for (let batch = 0; Date.now() < until || files < 5; batch++)
			for (const list of fc.sample(mutations, { seed: seed + batch, numRuns: 20 })) {
				if (Date.now() >= until && files >= 5) break;
				const buffer = Buffer.from(mutated(text, list));
				await page.locator('input[type=file]').setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer });
				await preview.or(alert).first().waitFor();
				files++;
				if (await alert.isVisible()) {
					refused++;
					const mend = page.getByRole('button', { name: 'Import all but what is wrong' });
					if (JSON.stringify(await everything(page)) !== before) faults.push(`batch ${batch}: a refused file wrote`);
					if (!(await mend.isVisible())) continue;
					await mend.click();
					await preview.waitFor();
					mended++;
				}
				const bring = preview.getByRole('button', { name: /^Import\b/ });
				if (await bring.isVisible()) {
					await bring.click();
					await page.getByText(/records? (is|are) in\./).waitFor();
					taken++;
				} else await preview.getByRole('button', { name: 'Cancel' }).click();
				const tables = await everything(page);
				for (const fault of faultsIn(tables)) faults.push(`batch ${batch}: ${fault}`);
				before = JSON.stringify(tables);
			}
	} finally {
		await browser.close();
	}
	return { figures: { 'bits flipped': flips, files, refused, 'of them mended': mended, 'brought in': taken }, faults };
}
