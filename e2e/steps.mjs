// What a practitioner does at the screen, by the names that stand there: the journeys and the torture act through the same.

/** Agrees to the caution. @param {import('@playwright/test').Page} page */
export async function agree(page) {
	const button = page.getByRole('button', { name: 'I have read this' });
	await button.click();
	await button.waitFor({ state: 'hidden' });
}

/** Adds a client by name, on the page of all clients. @param {import('@playwright/test').Page} page @param {string} name */
export async function addClient(page, name) {
	const field = page.getByPlaceholder('A code or a name is enough');
	await field.fill(name);
	await field.press('Enter');
	await page.getByRole('heading', { name, level: 1 }).waitFor();
}

/** The record of a client whose page is open. @param {import('@playwright/test').Page} page */
export async function openRecord(page) {
	await page.getByRole('radio', { name: 'Record' }).click();
	return page.getByLabel('Note', { exact: true });
}

/** Types a note of a client whose page is open, until it is said to be stored. @param {import('@playwright/test').Page} page @param {string} text */
export async function typeNote(page, text) {
	const note = await openRecord(page);
	await note.fill(text);
	await page.keyboard.press('Tab');
	await page.getByText('Saved', { exact: true }).waitFor();
}

/** Waits until a sequence is said to be stored. @param {import('@playwright/test').Page} page */
export const sequenceSaved = (page) =>
	page
		.getByText(/^Saved( |$)/)
		.first()
		.waitFor();

/** Opens the records for this sitting. @param {import('@playwright/test').Page} page @param {string} passphrase */
export async function unlock(page, passphrase) {
	await page.getByLabel('Passphrase', { exact: true }).fill(passphrase);
	await page.getByRole('button', { name: 'Open', exact: true }).click();
}

/** Takes the steps to a lock up to its last one. @param {import('@playwright/test').Page} page @param {string} passphrase */
export async function prepareLock(page, passphrase) {
	await page.getByLabel('I have read it').click();
	await page.getByLabel('Passphrase, 10 signs or more').fill(passphrase);
	await page.getByLabel('The same again').fill(passphrase);
	await page.getByRole('button', { name: 'Try it on a copy' }).click();
	await page.getByLabel('Passphrase of the copy').fill(passphrase);
	await page.getByRole('button', { name: 'Open the copy' }).click();
	await page.getByText(/records came back exactly as they were/).waitFor();
}

/** Changes the passphrase, on the page of the lock. @param {import('@playwright/test').Page} page @param {string} from @param {string} to */
export async function changePassphrase(page, from, to) {
	await page.getByLabel('Passphrase until now').fill(from);
	await page.getByLabel('New passphrase', { exact: true }).fill(to);
	await page.getByLabel('New passphrase again').fill(to);
	await page.getByRole('button', { name: 'Change it' }).click();
}

/** Keeps a version of the sequence that is open. @param {import('@playwright/test').Page} page @param {string} name */
export async function keepVersion(page, name) {
	await page.getByRole('tab', { name: 'Sequence' }).click();
	await page.getByLabel('Name of the version').fill(name);
	await page.getByRole('button', { name: 'Save this version' }).click();
}

/** How often a place may be rubbed before it is said, on the page of the settings. @param {import('@playwright/test').Page} page @param {number} most */
export async function setMostSlides(page, most) {
	const values = page.locator('#working-values');
	const field = values.getByLabel('Sliding strokes over one place, times');
	if (!(await field.isVisible())) await values.getByRole('button', { name: 'Limits of repeats and pace' }).click();
	await field.fill(String(most));
	await field.blur();
}

/** The newest session of the client whose Progress is open. @param {import('@playwright/test').Page} page */
export const openNewestSession = (page) => page.getByRole('link', { name: 'open to complete or correct' }).click();

/** Closes the session that is open. @param {import('@playwright/test').Page} page */
export const closeSession = (page) => page.getByRole('button', { name: 'Close session' }).click();

/** The form of a medium of one's own, on the page of the media. @param {import('@playwright/test').Page} page */
export async function newMedium(page) {
	await page.getByRole('button', { name: 'A medium of mine' }).click();
	return page.getByRole('form', { name: 'Your medium' });
}

/** Writes at the end of the text beside the steps, in which a sequence that is open is written. @param {import('@playwright/test').Page} page @param {string} line */
export async function writeLine(page, line) {
	await page.getByRole('textbox', { name: 'The sequence as text' }).click();
	await page.keyboard.press('Control+End');
	await page.keyboard.type(line, { delay: 5 });
	await page.keyboard.press('Escape');
}
