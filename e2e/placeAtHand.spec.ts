import { expect, test } from '@playwright/test';
import { sequenceSaved, writeLine } from './steps.mjs';
import { beginDemo, demoURL, expectAccessible, skipUntil } from './support';

test('the stage marks and names the place at hand of several, says what a wash is, and takes an instruction away with its step', async ({
	page
}) => {
	await beginDemo(page, '/compose/demo-three-minutes');
	await page.getByRole('tab', { name: 'Text' }).click();
	await expect(page.getByText('In step with the list: 12 steps.')).toBeVisible();
	await writeLine(
		page,
		'\ncleanse, of hands, 20 s\nrelease temple, two pads, press hold, light, 6 s both, eyes open' +
			'\nopen n:terminus + n:deep-cervical + n:tonsillar + n:submandibular + n:submental + n:preauricular, 9 at each place'
	);
	await expect(page.getByText('In step with the list: 15 steps.')).toBeVisible();
	await sequenceSaved(page);
	await page.goto(`${demoURL}/session?sequence=demo-three-minutes`);
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).click();
	const words = page.getByRole('region', { name: 'This step' });
	await skipUntil(page, words.getByText('Wash your hands').first());
	await expect(words).not.toContainText('Hands off the face');
	await skipUntil(page, words.getByText('Eyes open'));
	await skipUntil(page, words.getByText(/15 of 15$/));
	await expect(words.getByRole('heading')).toHaveAccessibleName('Collarbone');
	await expect(words.getByText(/^place 1 of 6 · 15 of 15$/)).toBeVisible();
	await expect(words).not.toContainText('Eyes open');
	await expect(words).toContainText('Eyes closed again');
	// As it is worked, each place has its own mark, the one at hand alone is large, and it is named.
	const atHand = page.locator('[data-state="at-hand"]');
	for (const [n, name] of [
		[2, 'Side of the neck'],
		[3, 'Below the ear'],
		[4, 'Under the jaw']
	] as const) {
		await expect(words.getByText(`place ${n} of 6`)).toBeVisible();
		await expect(words.getByRole('heading')).toHaveAccessibleName(name);
		await expect(atHand.first()).toHaveText(String(n));
		await expect(atHand).toHaveCount(2);
		await expect(page.locator('[data-place]')).toHaveCount(12);
	}
	await page.keyboard.press('Space');
	// It stays so while it stands still.
	await expect(page.getByText(/^Paused for/)).toBeVisible();
	await expect(atHand).toHaveCount(2);
	await expectAccessible(page);
});
