// What lies in the files of a browser: names and notes that were typed under the lock, and what was plain before it. Each is looked for
// in every file of the profile, after the browser was closed and after it was killed.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { addClient, agree, changePassphrase, prepareLock, sequenceSaved, typeNote, unlock } from '../steps.mjs';
import { browserWithPast, chance } from './parts.mjs';

const PASS = 'linseed oil by candlelight';
const OTHER = 'four green apples';

/** Files in which a text stands, as it is written or two bytes a sign; what a file packs is not looked into. */
export function filesWith(directory, text) {
	const forms = [Buffer.from(text), Buffer.from(text, 'utf16le')];
	return readdirSync(directory, { recursive: true, withFileTypes: true })
		.filter((entry) => entry.isFile())
		.map((entry) => join(entry.parentPath, entry.name))
		.filter((path) => {
			const bytes = readFileSync(path);
			return forms.some((form) => bytes.includes(form));
		})
		.map((path) => path.slice(directory.length));
}

/** Texts that stand nowhere else: digits, since what is packed on a disk keeps the first of each as it is. */
const marksBy = (dice) =>
	Object.fromEntries(
		['name', 'note', 'told', 'title'].map((what) => [what, Array.from({ length: 14 }, () => dice.below(10)).join('')])
	);

/** Types of a client by the fields that a practitioner uses, and looks at the pages that speak of one. */
async function work(page, base, marks, pass) {
	const go = async (path) => {
		await page.goto(base + path);
		if (pass) await unlock(page, pass);
	};
	await go('/clients?new=1');
	await addClient(page, marks.name);
	await typeNote(page, marks.note);
	await page.getByRole('main').getByRole('link', { name: 'Progress', exact: true }).click();
	await page.getByRole('heading', { name: marks.name }).waitFor();
	await go('/session');
	await page.getByLabel('Her words').fill(marks.told);
	await go('/compose/demo-bakers-dawn');
	await page.getByLabel('Title of the sequence').fill(marks.title);
	await sequenceSaved(page);
	await go('/clients');
	await page.getByPlaceholder('Search by name, note or alert').fill(marks.name);
}

async function putOn(page, base) {
	await page.goto(`${base}/settings/lock`);
	await prepareLock(page, PASS);
	await page.getByRole('button', { name: 'Lock the records' }).click();
	await page.getByRole('heading', { name: 'The records are locked' }).waitFor({ timeout: 120_000 });
	await unlock(page, PASS);
	await page.getByText('every record in this browser').waitFor();
}

export async function tortureByBytes({ base, seed, until, log = () => {} }) {
	const dice = chance(seed);
	const faults = [];
	const figures = { rounds: 0, 'texts looked for': 0, 'files read': 0, 'found while plain': 0 };
	const past = await browserWithPast();
	try {
		let { context, page } = await past.open();
		await page.goto(base);
		await agree(page);
		// Plain first: it must be found, else what is not found later says nothing.
		const plain = marksBy(dice);
		await work(page, base, plain);
		await context.close();
		figures['found while plain'] = Object.values(plain).filter((text) => filesWith(past.directory, text).length).length;
		if (!figures['found while plain'])
			faults.push('nothing is found even where nothing is locked: the search is blind');
		({ context, page } = await past.open());
		await putOn(page, base);
		let pass = PASS;
		const marks = [plain];
		do {
			const killed = figures.rounds % 2 === 1;
			const mark = marksBy(dice);
			marks.push(mark);
			await work(page, base, mark, pass);
			if (killed) await past.kill(context);
			else await context.close();
			figures.rounds++;
			for (const m of marks)
				for (const [what, text] of Object.entries(m)) {
					figures['texts looked for']++;
					const files = filesWith(past.directory, text);
					if (files.length)
						faults.push(
							`${what} of ${m === plain ? 'before the lock' : 'under the lock'}, ${killed ? 'killed' : 'closed'}: ${files.join(' ')}`
						);
				}
			log(figures);
			({ context, page } = await past.open());
			await page.goto(`${base}/settings/lock`);
			await unlock(page, pass);
			await page.getByText('every record in this browser').waitFor();
			if (figures.rounds === 2) {
				// Another passphrase: what was sealed by the one before goes too.
				await changePassphrase(page, pass, OTHER);
				await page.getByRole('heading', { name: 'The records are locked' }).waitFor({ timeout: 120_000 });
				pass = OTHER;
				await unlock(page, pass);
				await page.getByText('every record in this browser').waitFor();
			}
		} while (figures.rounds < 2 || Date.now() < until);
		await context.close();
		figures['files read'] = readdirSync(past.directory, { recursive: true }).length;
	} finally {
		past.forget();
	}
	return { figures, faults };
}
