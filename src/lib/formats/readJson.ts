import { refuse, type Parsed } from './problem';

/** Largest file that is read, bytes (4 MiB for a sequence; a backup may be larger). */
export const MAX_SEQUENCE_BYTES = 4 * 1024 * 1024;
export const MAX_BACKUP_BYTES = 256 * 1024 * 1024;

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
 * The version of a file of a format. A newer one is refused: this program cannot know what it means.
 * @param version the newest version that is read
 */
export function versionOf(raw: Record<string, unknown>, format: string, version: number): Parsed<number> {
	if (raw.format !== format)
		return refuse(
			`The file is of the format ${shortened(raw.format)}, not ${format}.`,
			'Choose a file of the right format.',
			'format'
		);
	if (typeof raw.version !== 'number' || !Number.isInteger(raw.version) || raw.version < 1)
		return refuse(
			`The version is no whole number from 1 on: ${shortened(raw.version)}.`,
			'Export the file again.',
			'version'
		);
	if (raw.version > version)
		return refuse(
			`The file is of version ${raw.version}; this program reads up to version ${version}.`,
			'Open it with a newer Soft Tide. Nothing here has been changed.',
			'version'
		);
	return { ok: true, value: raw.version };
}

/** A value as it stands in a file, never longer than a line. */
const shortened = (value: unknown): string => (JSON.stringify(value ?? null) ?? 'null').slice(0, 80);
