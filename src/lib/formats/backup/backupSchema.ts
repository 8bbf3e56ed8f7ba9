import { z } from 'zod';
import { DATA_VERSION } from '../../core/records/dataVersion';
import { allKinds, type KindId, type RecordOf } from '../../core/records/kinds';
import type { RecordKind, StoredRecord } from '../../core/records/record';

export const BACKUP_FORMAT = 'soft-tide/backup';
/** Name of the JSON inside of a backup, and of the folder of its binary files. */
export const BACKUP_JSON = 'backup.json';
export const BACKUP_FILES = 'files/';

/** All records, by kind. */
export type Rows = { readonly [K in KindId]: readonly RecordOf<K>[] };
/** Some records, by kind: what is imported. */
export type SomeRows = Partial<Rows>;

/** The rows of a kind, whatever its record looks like. */
export const rowsOf = (rows: SomeRows, kind: RecordKind): readonly StoredRecord[] =>
	(rows as Partial<Record<string, readonly StoredRecord[]>>)[kind.id] ?? [];

/** What stands around the records in a backup. */
export const HeadSchema = {
	format: z.literal(BACKUP_FORMAT),
	version: z.literal(DATA_VERSION),
	core: z.string().max(40),
	caution: z.string().max(2000).optional(),
	exportedAt: z.iso.datetime()
};

/** A record as it stands in the JSON: what is kept as a binary file is left out. */
export function inJson(kind: RecordKind): z.ZodType {
	const { bytes, schema } = kind;
	return bytes ? (schema as unknown as z.ZodObject).omit({ [bytes]: true } as never) : schema;
}

/** The outline of a backup: its lists, whose records are checked one by one. */
export const outlineSchema = () =>
	z.strictObject({
		...HeadSchema,
		...Object.fromEntries(
			allKinds().map((k) => [
				k.table,
				z.array(z.unknown()).max(k.limit, `at most ${k.limit} ${k.titles.toLowerCase()} are read`)
			])
		)
	});

/** Everything that the application holds, as JSON Schema is made of it. */
export const backupSchema = () =>
	z.strictObject({
		...HeadSchema,
		...Object.fromEntries(allKinds().map((k) => [k.table, z.array(inJson(k)).max(k.limit)]))
	});
