import { refuse, type Parsed } from './problem';

/** Largest file that is read, bytes (4 MiB for a sequence; a backup may be larger). */
export const MAX_SEQUENCE_BYTES = 4 * 1024 * 1024;
/** A backup with its pictures, which are read one by one. Export and import keep to the same. */
export const MAX_BACKUP_BYTES = 64 * 1024 * 1024 * 1024;
/** Of it the text, which is read at once: no longer text can be held. */
export const MAX_BACKUP_JSON_BYTES = 480 * 1024 * 1024;

/** Most that anything here is nested, and most entries of a list or an object inside of a record: more is a mistake or an attack. */
const MAX_DEPTH = 40;
const MAX_ENTRIES = 20_000;

/**
 * What is too deep or too wide in parsed JSON, in words; null where nothing is. It walks without recursion: a file that is
 * nested a million times is answered like any other.
 * @param wide how deep the long lists of the file lie: their length is checked elsewhere
 */
function unwieldy(raw: unknown, wide: number): string | null {
	// A floor at a time, so that no depth has to be remembered beside each value.
	let floor: object[] = typeof raw === 'object' && raw !== null ? [raw] : [];
	for (let depth = 1; floor.length; depth++) {
		if (depth > MAX_DEPTH) return `It is nested more than ${MAX_DEPTH} times`;
		const below: object[] = [];
		for (const value of floor) {
			const inner: unknown[] = Array.isArray(value) ? value : Object.values(value);
			if (inner.length > MAX_ENTRIES && depth > wide)
				return `A ${Array.isArray(value) ? 'list' : 'part'} of it has ${inner.length.toLocaleString('en')} entries; at most ${MAX_ENTRIES.toLocaleString('en')} are read`;
			for (const v of inner) if (typeof v === 'object' && v !== null) below.push(v);
		}
		floor = below;
	}
	return null;
}

const isObject = (raw: unknown): raw is Record<string, unknown> =>
	typeof raw === 'object' && raw !== null && !Array.isArray(raw);

/**
 * JSON text as an object, or a sentence that says where it breaks.
 * @param wide how many levels down lists may be of any length: those of a backup, whose limits are those of its kinds
 */
export function readJson(text: string, wide = 0): Parsed<Record<string, unknown>> {
	try {
		const raw: unknown = JSON.parse(text.replace(/^\uFEFF/, ''));
		const trouble = unwieldy(raw, wide);
		if (trouble) return refuse(`${trouble}.`, 'Choose a file that was exported from Soft Tide, unchanged.');
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
