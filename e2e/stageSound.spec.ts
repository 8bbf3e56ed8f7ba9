import { expect, test } from '@playwright/test';
import { beginDemo, counting, demoURL, expectAccessible } from './support';

test('it is guided by ear and by foot: tones are laid ahead, a busy page delays none; a pedal leads', async ({
	page,
	context
}) => {
	await page.addInitScript(() => {
		// What is laid on the sound card, with the moment at which that was done, and what was taken back.
		const state = window as unknown as { laid: { at: number; ahead: number; stopped: boolean }[]; said: string[] };
		state.laid = [];
		state.said = [];
		const { createOscillator } = AudioContext.prototype;
		AudioContext.prototype.createOscillator = function (this: AudioContext) {
			(window as unknown as { card: AudioContext }).card = this;
			const node = createOscillator.call(this);
			const [start, stop] = [node.start.bind(node), node.stop.bind(node)];
			const note = { at: 0, ahead: 0, stopped: false };
			node.start = (at = 0) => {
				Object.assign(note, { at, ahead: at - this.currentTime });
				state.laid.push(note);
				start(at);
			};
			node.stop = (at?: number) => {
				if (at === undefined) note.stopped = true;
				stop(at);
			};
			return node;
		};
		const voice = { name: 'Test voice', lang: 'en-GB', localService: true, default: true };
		speechSynthesis.getVoices = () => [voice as SpeechSynthesisVoice];
		window.SpeechSynthesisUtterance = class {
			constructor(readonly text: string) {}
		} as unknown as typeof SpeechSynthesisUtterance;
		speechSynthesis.speak = (u) => state.said.push(u.text);
	});
	await beginDemo(page, '/settings/guidance');
	await expectAccessible(page);
	await page.getByRole('radio', { name: 'Places' }).click();
	await page.getByRole('button', { name: 'Say an example' }).click();
	await page.getByRole('button', { name: /^Right: next step/ }).click();
	await expect(page.getByText('Heard (1): it goes to the next step.')).toBeVisible();
	await page.goto(`${demoURL}/session?sequence=demo-three-minutes`);
	await page.getByRole('button', { name: /^Start, / }).click();
	await page.getByRole('button', { name: /^Begin/ }).click();
	// First it is said what to mind and where it begins; the hands wait for that.
	await expect(page.getByRole('button', { name: /^Wait/ })).toBeVisible();
	const said = () => page.evaluate(() => (window as unknown as { said: string[] }).said);
	await expect.poll(said).toContain('No nut oils.');
	await expect(page.getByRole('button', { name: /^Pause space/ })).toBeVisible();
	expect(await said()).toContain('Collarbone');
	const laid = () =>
		page.evaluate(() => (window as unknown as { laid: { at: number; ahead: number; stopped: boolean }[] }).laid);
	await expect.poll(async () => (await laid()).length).toBeGreaterThan(4);
	// The page is busy for three seconds: the tones of that time lie ready before.
	const before = (await laid()).length;
	const ready = await page.evaluate(() => {
		const state = window as unknown as { card: AudioContext; laid: { at: number; stopped: boolean }[] };
		const now = state.card.currentTime;
		const until = performance.now() + 3000;
		while (performance.now() < until);
		return state.laid.filter((t) => !t.stopped && t.at > now && t.at < now + 3).length;
	});
	// A pump a second, but for how fast this machine's card runs.
	expect(ready).toBeGreaterThanOrEqual(2);
	await expect.poll(async () => (await laid()).length).toBeGreaterThan(before);
	// None is laid when it was due already, and none twice.
	const tones = (await laid()).filter((t) => !t.stopped).sort((x, y) => x.at - y.at);
	expect(tones.filter((t) => t.ahead < -0.05)).toEqual([]);
	for (const [i, { at }] of tones.slice(1).entries()) expect(at - tones[i]!.at).toBeGreaterThan(0.05);
	// After a correction it is said where one is.
	await page.keyboard.press('ArrowUp');
	await expect.poll(said).toContainEqual(expect.stringMatching(/^One more.*\. both sides\. \d+ of \d+$/));
	// A foot in another window.
	const pedal = await context.newPage();
	await pedal.goto(`${demoURL}/settings/guidance`);
	await pedal.getByRole('button', { name: /^Left: begin/ }).click();
	await expect(page.getByRole('button', { name: /^Go on space/ })).toBeVisible();
	// What lay ready is taken back with the pause.
	expect((await laid()).some((t) => t.stopped)).toBe(true);
	const heading = await page.getByRole('heading', { level: 1 }).innerText();
	await pedal.getByRole('button', { name: /^Right: next step/ }).click();
	await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(heading);
	// The menu of the feet: the left pedal walks it, the right one takes; what lies on it is said and shown.
	await pedal.getByRole('button', { name: /^Hold: Right/ }).click();
	const menu = page.getByRole('status').filter({ hasText: 'right pedal takes it' });
	await expect(menu).toContainText('Undo');
	await pedal.getByRole('button', { name: /^Left: begin/ }).click();
	await expect(menu).toContainText('Tender here');
	await pedal.getByRole('button', { name: /^Right: next step/ }).click();
	await expect(menu).toBeHidden();
	await expect(page.getByText(/^Tender here: .*Noted at/).first()).toBeVisible();
	// Where one is, at any time: by the pedal that is held, and by a key.
	await pedal.getByRole('button', { name: /^Hold: Left/ }).click();
	await expect.poll(said).toContainEqual(expect.stringMatching(/\. both sides\. \d of \d$/));
	await page.keyboard.press('m');
	await expect(page.getByRole('button', { name: 'Voice off' })).toBeVisible();
	await page.keyboard.press('m');
	await expect(page.getByRole('button', { name: 'Voice on' })).toBeVisible();
	// Each step waits for a signal, where that is wanted.
	await pedal.getByRole('radio', { name: 'Waits for a signal' }).click();
	await page.keyboard.press('ArrowLeft');
	await page.keyboard.press('Space');
	await expect(page.getByRole('button', { name: /^Go on space/ })).toBeVisible();
	await pedal.close();
});

test('a browser that keeps silent and a pedal that is gone are said, over the head of the stage; nothing under the hands moves', async ({
	page
}) => {
	await page.addInitScript(() => Object.defineProperty(AudioContext.prototype, 'state', { get: () => 'suspended' }));
	await beginDemo(page, '/session?sequence=demo-three-minutes');
	await page.getByRole('button', { name: /^Start, / }).click();
	const begin = page.getByRole('button', { name: /^Begin/ });
	const where = (await begin.boundingBox())!;
	await begin.click();
	await expect(page.getByRole('alert').filter({ hasText: 'keeps this page silent' })).toBeVisible();
	await page.evaluate(() =>
		dispatchEvent(Object.assign(new Event('gamepaddisconnected'), { gamepad: { id: 'Foot 3' } }))
	);
	await expect(page.getByRole('alert').filter({ hasText: 'The pedal “Foot 3” is not there any more' })).toBeVisible();
	// The numeral goes on counting all the same.
	await counting(page);
	expect(await page.getByRole('button', { name: /^Pause space/ }).boundingBox()).toEqual(where);
	await page.goto(demoURL);
	await expect(page.getByText('keeps this page silent')).toBeHidden();
});
