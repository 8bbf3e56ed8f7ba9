// What a practitioner does, over all kinds of records: each action says what it was told to be stored, and how to find it.
import { readFileSync } from 'node:fs';
import {
	addClient,
	closeSession,
	keepVersion,
	newMedium,
	openNewestSession,
	openRecord,
	sequenceSaved,
	setMostSlides,
	typeNote,
	writeLine
} from '../steps.mjs';
import { everything } from './parts.mjs';

const CLIENT = 'demo-odile';
const DAWN = 'demo-bakers-dawn';

/** What was stored for sure, what is on its way, and what is to be found of it afterwards. */
export class Model {
	#fields = new Map();
	#lists = new Map();
	/** A field that holds the last value: on its way, then told to be stored. */
	pend = (name, value) => this.#fields.set(name, { ...this.#fields.get(name), pending: value });
	ack = (name) => this.#fields.set(name, { known: this.#fields.get(name).pending, pending: undefined });
	/** One more in a list: on its way, then told to be stored. */
	add = (name, value) => this.#lists.set(name, new Set([...(this.#lists.get(name) ?? []), value]));
	/** What of it is not in the store. */
	lost(tables) {
		const lost = [];
		for (const [name, { known, pending }] of this.#fields) {
			const stored = FIND[name](tables);
			if (known !== undefined && stored !== known && stored !== pending)
				lost.push(`${name}: ${stored} instead of ${known}`);
		}
		for (const [name, values] of this.#lists) {
			const stored = new Set(FIND[name](tables));
			for (const value of values) if (!stored.has(value)) lost.push(`${name}: ${value}`);
		}
		return lost;
	}
	get count() {
		return (
			[...this.#fields.values()].filter((f) => f.known !== undefined).length +
			[...this.#lists.values()].reduce((n, s) => n + s.size, 0)
		);
	}
}

const sequence = (t) => t.sequences.find((s) => s.id === DAWN)?.sequence;
const steps = (t) => sequence(t)?.phases.flatMap((p) => p.blocks.flatMap((b) => b.steps)) ?? [];
/** The one that Progress opens: her last with a look afterwards. */
const lastSession = (t) =>
	t.sessions
		.filter((s) => s.clientId === CLIENT && s.after)
		.toSorted((a, b) => a.order - b.order)
		.at(-1);
const PICTURE = readFileSync(new URL('../../src/lib/demo/pictures/demo-svea-front-1.jpg', import.meta.url));
/** Each photograph with the digests of its two files. */
const picturesIn = (t) => {
	const files = new Map(t.binaries.map((b) => [b.id, b.bytes]));
	return t.photos.map((p) => `${p.id}: ${files.get(p.fileId)}, ${files.get(p.thumbId)}`);
};
const FIND = {
	lines: (t) => steps(t).map((s) => s.note),
	pictures: picturesIn,
	note: (t) => t.clients.find((c) => c.id === CLIENT)?.note,
	title: (t) => sequence(t)?.title,
	pressure: (t) => steps(t)[4]?.pressure,
	theme: (t) => t.settings[0]?.theme,
	slides: (t) => t.working[0]?.values.slidesPerZone,
	clients: (t) => t.clients.map((c) => c.name),
	kept: (t) => t.kept.map((k) => k.name),
	media: (t) => t.media.map((m) => m.item.title),
	after: (t) => lastSession(t)?.sideEffects
};
const compose = async (page, base) => {
	await page.goto(`${base}/compose/${DAWN}`);
	await page.locator('[data-row]').first().waitFor();
};

/** Each takes a page, the address, the model and a text that was never used before. */
export const ACTIONS = {
	async note(page, base, model, text) {
		await page.goto(`${base}/clients/${CLIENT}`);
		await openRecord(page);
		model.pend('note', text);
		await typeNote(page, text);
		model.ack('note');
	},
	async newClient(page, base, model, text) {
		await page.goto(`${base}/clients?new=1`);
		await addClient(page, text);
		model.add('clients', text);
	},
	async title(page, base, model, text) {
		await compose(page, base);
		model.pend('title', text);
		// It says “Saving …” from the first key on, till what is typed is stored.
		await page.getByLabel('Title of the sequence').fill(text);
		await sequenceSaved(page);
		model.ack('title');
	},
	async pressure(page, base, model, _text, dice) {
		await compose(page, base);
		await page.locator('[data-step-button]').nth(4).click();
		const level = dice.below(3);
		model.pend('pressure', level);
		await page.keyboard.press(String(level));
		await page.waitForTimeout(200);
		await sequenceSaved(page);
		model.ack('pressure');
	},
	async line(page, base, model, text) {
		await compose(page, base);
		await page.getByRole('tab', { name: 'Text' }).click();
		const rows = await page.locator('[data-row]').count();
		await writeLine(page, `\ndrain chin > n:submandibular, index hook, 8 each side, note "${text}"`);
		await page.getByText(`In step with the list: ${rows + 1} steps.`).waitFor();
		await sequenceSaved(page);
		model.add('lines', text);
	},
	async picture(page, base, model) {
		await page.goto(`${base}/progress/photos?client=${CLIENT}`);
		await page.locator('input[type=file]').setInputFiles({ name: 'p.jpg', mimeType: 'image/jpeg', buffer: PICTURE });
		const keep = page.getByRole('button', { name: 'Keep it all the same' });
		const placed = page.getByRole('link', { name: /^Points on: Front/ });
		const before = await placed.count();
		await page.waitForFunction(
			([n]) =>
				[...document.querySelectorAll('a')].filter((a) =>
					/^Points on: Front/.test(a.getAttribute('aria-label') ?? a.textContent)
				).length > n ||
				[...document.querySelectorAll('button')].some((b) => b.textContent.includes('Keep it all the same')),
			[before]
		);
		if (await keep.isVisible()) await keep.click();
		await placed.nth(before).waitFor();
		for (const one of picturesIn(await everything(page))) model.add('pictures', one);
	},
	async keep(page, base, model, text) {
		await compose(page, base);
		await keepVersion(page, text);
		await page.getByRole('region', { name: 'Versions' }).getByText(text).waitFor();
		model.add('kept', text);
	},
	async medium(page, base, model, text) {
		await page.goto(`${base}/library/media`);
		await (await newMedium(page)).getByLabel('Name').fill(text);
		await page.getByRole('button', { name: 'Save' }).click();
		await page.getByRole('rowheader', { name: text }).waitFor();
		model.add('media', text);
	},
	async settings(page, base, model, _text, dice) {
		await page.goto(`${base}/settings`);
		const [name, theme] = dice.of([
			['Evening', 'evening'],
			['Day', 'day']
		]);
		model.pend('theme', theme);
		await page.getByRole('main').getByRole('radio', { name, exact: true }).click();
		await page.waitForFunction((t) => document.documentElement.dataset.theme === t, theme);
		model.ack('theme');
	},
	async working(page, base, model, _text, dice) {
		await page.goto(`${base}/settings`);
		const most = 20 + dice.below(60);
		model.pend('slides', most);
		await setMostSlides(page, most);
		await page
			.locator('#working-values')
			.getByRole('button', { name: /^All as shipped/ })
			.waitFor();
		model.ack('slides');
	},
	async afterSession(page, base, model, text) {
		await page.goto(`${base}/progress?client=${CLIENT}`);
		await openNewestSession(page);
		const field = page.getByLabel('Side effects, if any');
		model.pend('after', text);
		await field.fill(text);
		await page.waitForTimeout(500);
		await closeSession(page);
		await page.waitForURL(/progress/);
		model.ack('after');
	}
};
