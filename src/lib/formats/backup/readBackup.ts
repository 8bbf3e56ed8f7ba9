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
import { MAX_BACKUP_JSON_BYTES, readJson, versionOf } from '../readJson';
import { openArchive, type Archive } from './archive';
import { BACKUP_FILES, BACKUP_FORMAT, outlineSchema, type Rows } from './backupSchema';
import { crossProblems, withoutFaults } from './crossChecks';

export interface Backup {
	readonly exportedAt: string;
	readonly rows: Rows;
	/** Records that were left out to mend the file, and why; empty where nothing was wrong. */
	readonly leftOut: readonly Problem[];
	/** The bytes of a record that has such, by its id. */
	readonly bytesOf: (id: string) => Promise<Uint8Array>;
}
interface ReadOptions {
	/** Hears how many more records have been checked. */
	readonly onrecords?: (count: number) => void;
	/** Leaves out what cannot be read, and says so. */
	readonly mend?: boolean;
	/** Checks binary files and lets go of them: `bytesOf` reads them once more. */
	readonly letGo?: boolean;
}
const isZip = async (file: Blob): Promise<boolean> => {
	const [first, second] = new Uint8Array(await file.slice(0, 2).arrayBuffer());
	return first === 0x50 && second === 0x4b;
};

/** The JSON of a backup and its binary files; older backups are the JSON alone. */
async function unpack(file: Blob, mend: boolean): Promise<Mendable<Archive>> {
	if (await isZip(file)) return openArchive(file, mend);
	if (file.size > MAX_BACKUP_JSON_BYTES)
		return {
			...refuse(
				`The file has ${Math.ceil(file.size / 1024 / 1024).toLocaleString('en')} MB of text; at most ${MAX_BACKUP_JSON_BYTES / 1024 / 1024} MB are read.`,
				'Choose a smaller file.'
			),
			mendable: false
		};
	return { ok: true, value: { text: await file.text(), bytesOf: async () => undefined, problems: [] } };
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
async function checked(
	kind: RecordKind,
	list: readonly unknown[],
	bytesOf: Archive['bytesOf'],
	problems: Problem[],
	{ mend: all = false, letGo = false }: ReadOptions
): Promise<StoredRecord[]> {
	const good: StoredRecord[] = [];
	for (const [i, raw] of list.entries()) {
		// The first ones tell what is wrong with the file; the rest of it is not looked at.
		if (!all && problems.length > MAX_PROBLEMS) break;
		const path = `${kind.table}[${i}]`;
		const withBytes = kind.bytes ? await bytesIn(kind, raw, bytesOf, path, problems) : raw;
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
		else good.push(kind.bytes && letGo ? { ...result.data, [kind.bytes]: new Uint8Array() } : result.data);
	}
	return good;
}

async function bytesIn(
	kind: RecordKind,
	raw: unknown,
	bytesOf: Archive['bytesOf'],
	path: string,
	problems: Problem[]
): Promise<unknown> {
	const id = String((raw as Raw | null)?.id ?? '');
	const wrong = (message: string) => problems.push(problemOf(path, message, 'Export the backup again.'));
	let bytes: Uint8Array | undefined;
	try {
		bytes = await bytesOf(BACKUP_FILES + id);
		if (!bytes) wrong(`the archive does not hold the file ${BACKUP_FILES}${id.slice(0, 80)}`);
	} catch (error) {
		wrong(error instanceof Error ? error.message : String(error));
	}
	return { ...(raw as Raw), [kind.bytes!]: bytes };
}

/**
 * Reads a backup of any version, zip or JSON. Nothing is taken over: it is checked whole, and either all of it is good
 * or the problems say where and what.
 */
export async function readBackup(source: Blob | Uint8Array, options: ReadOptions = {}): Promise<Mendable<Backup>> {
	const { onrecords = () => {}, mend = false } = options;
	const outline = await outlineOf(source instanceof Blob ? source : new Blob([new Uint8Array(source)]), mend);
	if (!outline.ok) return { mendable: false, ...outline };
	const { lists, archive } = outline.value;
	const problems: Problem[] = [];
	const byKind: [string, StoredRecord[]][] = [];
	for (const kind of allKinds()) {
		const good = await checked(kind, lists[kind.table]!, archive.bytesOf, problems, options);
		onrecords(good.length);
		byKind.push([kind.id, good]);
	}
	problems.push(...archive.problems);
	const rows = Object.fromEntries(byKind) as unknown as Rows;
	const { exportedAt } = lists;
	const bytesOf = async (id: string) => (await archive.bytesOf(BACKUP_FILES + id))!;
	if (mend) {
		const mended = withoutFaults(rows);
		return { ok: true, value: { exportedAt, rows: mended.rows, leftOut: [...problems, ...mended.leftOut], bytesOf } };
	}
	if (!problems.length) problems.push(...crossProblems(rows));
	return problems.length
		? { ok: false, problems: firstOf(problems), mendable: true }
		: { ok: true, value: { exportedAt, rows, leftOut: [], bytesOf } };
}

type Lists = Record<string, readonly unknown[]> & { readonly exportedAt: string };

/** The lists of a backup in the form of today, their records not yet checked. */
async function outlineOf(
	file: Blob,
	mend: boolean
): Promise<Parsed<{ lists: Lists; archive: Archive }> | Extract<Mendable<never>, { ok: false }>> {
	const unpacked = await unpack(file, mend);
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
	return { ok: true, value: { lists: outline.data as unknown as Lists, archive: unpacked.value } };
}
