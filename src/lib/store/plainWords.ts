/** Why the store as a whole cannot be used, by the names of the errors. */
const STORELESS: readonly { names: RegExp; words: string }[] = [
	{
		names: /Blocked|VersionChange/,
		words:
			'Another window still uses the records in an older form. Close the other windows of Soft Tide: this one goes on by itself.'
	},
	{
		names: /StoreLocked/,
		words: 'The records are locked in this window. Reload it and open them with the passphrase; nothing is lost.'
	},
	{
		names: /VersionError/,
		words:
			'A newer Soft Tide has used these records, and this window is of an older one. Reload it. Until then, export what you have here.'
	},
	{
		names: /Security/,
		words:
			'The settings of this browser forbid pages to keep anything. Allow this site to store data, then reload. Export your work before you close the window.'
	},
	{
		names: /MissingAPI/,
		words:
			'This browser offers no place for records. Use another one, or a window that is not private. Export your work before you close it.'
	},
	{
		names: /OpenFailed|InvalidState|Unknown/,
		words:
			'This browser does not let Soft Tide keep records, perhaps because of a private window. Export your work before you close it.'
	},
	// Last: it is what follows when opening failed for one of the reasons above.
	{
		names: /DatabaseClosed/,
		words:
			'The records were closed under this window, by a newer version or by the browser. Reload it. Until then, export what you have here.'
	}
];

const namesOf = (error: unknown): string => {
	const name = error instanceof Error ? error.name : '';
	const inner =
		error && typeof error === 'object' && 'inner' in error ? String((error.inner as Error | null)?.name ?? '') : '';
	// The inner one is the cause: it is looked at first.
	return `${inner} ${name}`;
};

/** Whether it is the store as a whole that cannot be used, rather than one piece of work that failed. */
export const isStoreless = (error: unknown): boolean => STORELESS.some(({ names }) => names.test(namesOf(error)));

/** Whether it says no more than that the store is closed. */
export const isClosed = (error: unknown): boolean => /^\s*DatabaseClosed/.test(namesOf(error));

/** Errors whose own words say what happened and what to do. */
const SAYS_ITSELF = new Set(['RecordGone', 'WrongPassphrase', 'TooEarly', 'NoRoom', 'AtWorkElsewhere', 'LockThere']);

/** A storage failure in words that say what to do. */
export function storageTrouble(error: unknown): string {
	const names = namesOf(error);
	if (error instanceof Error && SAYS_ITSELF.has(error.name)) return error.message;
	if (/Quota/.test(names))
		return 'The disk or the browser’s share of it is full, so the last change is not saved. Export a backup now, then free some space.';
	const known = STORELESS.find(({ names: of }) => of.test(names));
	if (known) return known.words;
	return `The last change could not be saved (${error instanceof Error ? error.message : String(error)}). Export a backup, then reload.`;
}

/** Asks the browser to keep the records for good. Answers whether it will. */
export async function askToPersist(): Promise<boolean> {
	if (typeof navigator === 'undefined' || !navigator.storage?.persist) return false;
	return (await navigator.storage.persisted()) || (await navigator.storage.persist());
}

/** From this share on the place for records is nearly full. */
const NEARLY_FULL = 0.9;
/** That the browser's place for records is nearly full, and what to do; empty where it is not, or cannot be told. */
export async function nearlyFull(
	estimate: () => Promise<StorageEstimate> = () => navigator.storage.estimate()
): Promise<string> {
	try {
		const { usage = 0, quota = 0 } = await estimate();
		if (!quota || usage / quota < NEARLY_FULL) return '';
		const free = Math.max(0, (quota - usage) / 1_048_576);
		return `This browser’s place for records is nearly full: about ${free.toFixed(0)} MB are left. Export a backup now, then remove photographs you no longer need.`;
	} catch {
		return '';
	}
}

/** Names of tables, as one speaks of what lies in them. */
const TABLE_SAID = (table: string): string => table.replace(/([A-Z])/g, (c) => ` ${c.toLowerCase()}`);

interface DamagedRow {
	readonly table: string;
	readonly id: string;
}
/** Up to three of them by name. */
export function namesOfDamaged(rows: readonly DamagedRow[]): string {
	const names = rows.slice(0, 3).map(({ table, id }) => `${TABLE_SAID(table)}, ${id}`);
	return `${names.join('; ')}${rows.length > names.length ? ` and ${rows.length - names.length} more` : ''}`;
}

/** Records that cannot be opened, by name: what happened, what is safe, what to do. */
export function damagedWords(rows: readonly DamagedRow[]): string {
	const one = rows.length === 1;
	return `${one ? 'One record' : `${rows.length} records`} cannot be opened: ${namesOfDamaged(rows)}. All others are shown. Import a backup from before to get ${one ? 'it' : 'them'} back.`;
}
