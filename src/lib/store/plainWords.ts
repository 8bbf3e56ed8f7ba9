/** A storage failure in words that say what to do. */
export function storageTrouble(error: unknown): string {
	const name = error instanceof Error ? error.name : '';
	const inner =
		error && typeof error === 'object' && 'inner' in error ? String((error.inner as Error | null)?.name ?? '') : '';
	const names = `${name} ${inner}`;
	if (name === 'RecordGone') return (error as Error).message;
	if (/Quota/.test(names))
		return 'The disk or the browser’s share of it is full, so the last change is not saved. Export a backup now, then free some space.';
	if (/Blocked|VersionError|VersionChange|DatabaseClosed/.test(names))
		return 'Another window holds the records in an older or newer version. Close the other windows of Soft Tide and reload. Until then, export what you have here.';
	if (/OpenFailed|MissingAPI|InvalidState|Security|Unknown/.test(names))
		return 'This browser does not let Soft Tide keep records, perhaps because of a private window. Export your work before you close it.';
	return `The last change could not be saved (${error instanceof Error ? error.message : String(error)}). Export a backup, then reload.`;
}

/** Asks the browser to keep the records for good. Answers whether it will. */
export async function askToPersist(): Promise<boolean> {
	if (typeof navigator === 'undefined' || !navigator.storage?.persist) return false;
	return (await navigator.storage.persisted()) || (await navigator.storage.persist());
}
