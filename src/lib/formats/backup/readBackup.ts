import { strFromU8, unzipSync } from 'fflate';
import { DATA_VERSION } from '../../core/records/dataVersion';
import { allKinds, kindOf, type KindId } from '../../core/records/kinds';
import { migrateRecord } from '../../core/records/migrations/chain';
import { sinceOf, type Raw, type RecordKind, type StoredRecord } from '../../core/records/record';
import {
	firstOf,
	MAX_PROBLEMS,
	problemOf,
	problemsOf,
	refuse,
	type Mendable,
	type Parsed,
	type Problem
} from '../problem';
import { MAX_BACKUP_BYTES, readJson, versionOf } from '../readJson';
import { BACKUP_FILES, BACKUP_FORMAT, BACKUP_JSON, outlineSchema, type Rows } from './backupSchema';
import { crossProblems, withoutFaults } from './crossChecks';

export interface Backup {
	readonly exportedAt: string;
	readonly rows: Rows;
	/** Records that were left out to mend the file, and why; empty where nothing was wrong. */
	readonly leftOut: readonly Problem[];
}
interface ReadOptions {
	/** Hears how many more records have been checked. */
	readonly onrecords?: (count: number) => void;
	/** Leaves out what cannot be read, and says so. */
	readonly mend?: boolean;
}
type Binaries = Readonly<Record<string, Uint8Array>>;

const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** The JSON of a backup and its binary files; older backups are the JSON alone. */
function unpack(bytes: Uint8Array): Parsed<{ text: string; binaries: Binaries }> {
	if (!isZip(bytes)) return { ok: true, value: { text: strFromU8(bytes), binaries: {} } };
	let total = 0;
	try {
		const files = unzipSync(bytes, {
			filter: ({ name, originalSize }) => {
				total += originalSize;
				return total <= MAX_BACKUP_BYTES && (name === BACKUP_JSON || name.startsWith(BACKUP_FILES));
			}
		});
		if (total > MAX_BACKUP_BYTES)
			return refuse(
				`Unpacked, the file is larger than ${MAX_BACKUP_BYTES / 1024 / 1024} MB.`,
				'Choose a smaller file.'
			);
		const json = files[BACKUP_JSON];
		if (!json) return refuse(`The archive holds no ${BACKUP_JSON}.`, 'Choose a file that was exported from Soft Tide.');
		return { ok: true, value: { text: strFromU8(json), binaries: files } };
	} catch (error) {
		const reason = error instanceof Error ? error.message : String(error);
		return refuse(`The archive cannot be opened: ${reason}.`, 'Export the file again, or choose another one.');
	}
}

/** The lists of a file of any version, in the form of today; what came out of a record stands with those of its kind. */
function upToDate(raw: Raw, version: number): Raw {
	const lists = new Map<string, unknown[]>();
	const out: Raw = { ...raw, version: DATA_VERSION };
	const emitted = new Map<KindId, Map<string, Raw>>();
	for (const kind of allKinds()) {
		const given = raw[kind.table];
		// Before version 5 the settings stood alone; a kind that came later was not there.
		const list =
			kind.id === 'settings' && version < 5
				? given
					? [given]
					: []
				: (given ?? ((kind.inBackupSince ?? sinceOf(kind)) > version ? [] : given));
		if (!Array.isArray(list)) out[kind.table] = list;
		else
			lists.set(
				kind.table,
				list.map((record: unknown) =>
					typeof record === 'object' && record !== null && !Array.isArray(record)
						? migrateRecord(kind.id as KindId, record as Raw, version, (id, made) => {
								const known = emitted.get(id) ?? new Map<string, Raw>();
								emitted.set(id, known.set(String(made.id), made));
							})
						: record
				)
			);
	}
	for (const [id, made] of emitted) {
		const { table } = kindOf(id);
		lists.set(table, [...(lists.get(table) ?? []), ...made.values()]);
	}
	return { ...out, ...Object.fromEntries(lists) };
}

/** Checks each record of a list; says of the first wrong ones where and what. */
function checked(
	kind: RecordKind,
	list: readonly unknown[],
	binaries: Binaries,
	problems: Problem[],
	all: boolean
): StoredRecord[] {
	const good: StoredRecord[] = [];
	for (const [i, raw] of list.entries()) {
		// The first ones tell what is wrong with the file; the rest of it is not looked at.
		if (!all && problems.length > MAX_PROBLEMS) break;
		const path = `${kind.table}[${i}]`;
		const withBytes = kind.bytes ? bytesIn(kind, raw, binaries, path, problems) : raw;
		const result = kind.schema.safeParse(withBytes);
		if (!result.success) {
			// To mend a file, one reason a record is enough.
			problems.push(
				...problemsOf(result.error)
					.slice(0, all ? 1 : undefined)
					.map((p) => problemOf(p.path ? `${path}.${p.path}` : path, p.message, p.remedy))
			);
			continue;
		}
		const wrong = kind.problemOf?.(result.data) ?? null;
		if (wrong) problems.push(problemOf(path, wrong, 'Export the file again, or take this record out of it.'));
		else good.push(result.data);
	}
	return good;
}

function bytesIn(kind: RecordKind, raw: unknown, binaries: Binaries, path: string, problems: Problem[]): unknown {
	const id = String((raw as Raw | null)?.id ?? '');
	const bytes = binaries[BACKUP_FILES + id];
	if (!bytes)
		problems.push(
			problemOf(
				path,
				`the archive does not hold the file ${BACKUP_FILES}${id.slice(0, 80)}`,
				'Export the backup again.'
			)
		);
	return { ...(raw as Raw), [kind.bytes!]: bytes };
}

/**
 * Reads a backup of any version, zip or JSON. Nothing is taken over: it is checked whole, and either all of it is good
 * or the problems say where and what.
 */
export function readBackup(
	bytes: Uint8Array,
	{ onrecords = () => {}, mend = false }: ReadOptions = {}
): Mendable<Backup> {
	const outline = outlineOf(bytes);
	if (!outline.ok) return { ...outline, mendable: false };
	const { lists, binaries } = outline.value;
	const problems: Problem[] = [];
	const rows = Object.fromEntries(
		allKinds().map((kind) => {
			const good = checked(kind, lists[kind.table]!, binaries, problems, mend);
			onrecords(good.length);
			return [kind.id, good];
		})
	) as unknown as Rows;
	const { exportedAt } = lists;
	if (mend) {
		const mended = withoutFaults(rows);
		return { ok: true, value: { exportedAt, rows: mended.rows, leftOut: [...problems, ...mended.leftOut] } };
	}
	if (!problems.length) problems.push(...crossProblems(rows));
	return problems.length
		? { ok: false, problems: firstOf(problems), mendable: true }
		: { ok: true, value: { exportedAt, rows, leftOut: [] } };
}

type Lists = Record<string, readonly unknown[]> & { readonly exportedAt: string };

/** The lists of a backup in the form of today, their records not yet checked. */
function outlineOf(bytes: Uint8Array): Parsed<{ lists: Lists; binaries: Binaries }> {
	const unpacked = unpack(bytes);
	if (!unpacked.ok) return unpacked;
	const raw = readJson(unpacked.value.text, 2);
	if (!raw.ok) return raw;
	if (raw.value.format === 'soft-tide/sequence')
		return refuse(
			'The file holds one sequence, not a backup.',
			`Choose a file of the format ${BACKUP_FORMAT}.`,
			'format'
		);
	const version = versionOf(raw.value, BACKUP_FORMAT, DATA_VERSION);
	if (!version.ok) return version;
	const outline = outlineSchema().safeParse(upToDate(raw.value, version.value));
	if (!outline.success) return { ok: false, problems: problemsOf(outline.error) };
	return { ok: true, value: { lists: outline.data as unknown as Lists, binaries: unpacked.value.binaries } };
}
