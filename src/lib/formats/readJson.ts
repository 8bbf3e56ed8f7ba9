import { refuse, type Parsed } from './problem';

/** Largest file that is read, bytes (4 MiB for a sequence; a backup may be larger). */
export const MAX_SEQUENCE_BYTES = 4 * 1024 * 1024;
export const MAX_BACKUP_BYTES = 256 * 1024 * 1024;

export type Migration = {
	readonly name: string;
	readonly from: number;
	migrate(raw: Record<string, unknown>): Record<string, unknown>;
};

const isObject = (raw: unknown): raw is Record<string, unknown> =>
	typeof raw === 'object' && raw !== null && !Array.isArray(raw);

/** JSON text as an object, or a sentence that says where it breaks. */
export function readJson(text: string): Parsed<Record<string, unknown>> {
	try {
		const raw: unknown = JSON.parse(text.replace(/^\uFEFF/, ''));
		return isObject(raw)
			? { ok: true, value: raw }
			: refuse('The file holds no object.', 'Choose a file that was exported from Soft Tide.');
	} catch (error) {
		const reason = error instanceof Error ? error.message : String(error);
		return refuse(`The file is not JSON: ${reason}.`, 'Choose a file that was exported from Soft Tide, unchanged.');
	}
}

/**
 * Checks format and version, and brings an older file up to date by named migrations in order.
 * A newer version is refused: this program cannot know what it means.
 */
export function upToDate(
	raw: Record<string, unknown>,
	format: string,
	version: number,
	migrations: readonly Migration[]
): Parsed<Record<string, unknown>> {
	if (raw.format !== format)
		return refuse(
			`The file is of the format ${JSON.stringify(raw.format ?? null)}, not ${format}.`,
			'Choose a file of the right format.',
			'format'
		);
	if (typeof raw.version !== 'number' || !Number.isInteger(raw.version) || raw.version < 1)
		return refuse(
			`The version is no whole number from 1 on: ${JSON.stringify(raw.version ?? null)}.`,
			'Export the file again.',
			'version'
		);
	if (raw.version > version)
		return refuse(
			`The file is of version ${raw.version}; this program reads up to version ${version}.`,
			'Open it with a newer Soft Tide. Nothing here has been changed.',
			'version'
		);
	let value = raw;
	for (let v = raw.version; v < version; v++) {
		const step = migrations.find((m) => m.from === v);
		if (!step) return refuse(`No way leads from version ${v} to ${v + 1}.`, 'Export the file again.', 'version');
		value = { ...step.migrate(value), version: v + 1 };
	}
	return { ok: true, value };
}
