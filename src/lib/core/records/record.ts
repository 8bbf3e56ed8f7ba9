import type { z } from 'zod';
import type { Facts } from './facts';
import type { TableRow } from './tables';

/** What every record has: an id, how often it was saved, and when. */
export interface StoredRecord {
	readonly id: string;
	readonly revision: number;
	readonly updatedAt: string;
}
export type Raw = Record<string, unknown>;

/** A sequence in a record, and the undo history that goes with it, as they come from an older version or of today. */
export interface Embedded {
	sequence: (raw: unknown) => unknown;
	/** @param version of the sequence format that the history was written with */
	history: (raw: unknown, version: number) => unknown;
}
/** Where a kind of record embeds sequences: gives each of them to `visit` and puts back what comes of it. */
export type Lens = (raw: Raw, visit: Embedded) => Raw;

/** A record points to another one. */
export interface Ref<T> {
	/** Id of the kind that is pointed to; `any`: the record itself says which. */
	readonly to: string;
	/** Key under which the pointing record is found; null where the table is small and is looked through. */
	readonly index: string | null;
	readonly of: (record: T) => readonly string[];
	/** When what it points to is removed: it goes too, or it forgets. */
	readonly removed: 'go' | ((record: T) => T);
	/** A file must hold what it points to. */
	readonly must: boolean;
}

/**
 * One kind of record: all that saving, second versions, import, backup, removal and docs need to know of it. To add a kind
 * is to add a file here, a row in `tables.ts` and a line in `kindTable.ts`.
 */
export interface RecordKind<T extends StoredRecord = StoredRecord> extends TableRow {
	readonly id: string;
	readonly title: string;
	readonly titles: string;
	/** What it holds, in a sentence. */
	readonly what: string;
	readonly schema: z.ZodType<T>;
	/** The version since which a backup holds them, where that is later than they came. */
	readonly inBackupSince?: number;
	/** Most of them in a backup. */
	readonly limit: number;
	readonly refs?: readonly Ref<T>[];
	readonly sequences?: Lens;
	/**
	 * When a record of the same id comes from elsewhere: `beside`, the replaced one is kept as a second version; `first`,
	 * the one that is there stays, since such a record never changes; `mine`, there is one of it, and mine stays.
	 */
	readonly meets: 'beside' | 'first' | 'mine';
	/** In the preview of an import: each by its name, as a count with these words, or not at all. */
	readonly preview: 'listed' | 'silent' | { readonly one: string; readonly many: string; readonly rest: string };
	/** What it is called in a list. @param nameOf the name of another record of the same file */
	readonly nameOf: (record: T, nameOf: (kind: string, id: string) => string) => string;
	/** The record with its new revision; absent where the fields of the record itself are all. */
	readonly stamped?: (record: T, revision: number, updatedAt: string) => T;
	/** Of a kind of which there is one: mine says nothing of its own yet, so that the one of a file takes its place. */
	readonly yields?: (mine: T) => boolean;
	/** What a file brings in place of mine, with what of mine stays. */
	readonly over?: (mine: T, theirs: T) => T;
	/** What it says in words: how two versions of it are told apart. */
	readonly facts?: (record: T) => Facts;
	/** What counts as a change of it: revision and time of saving do not. */
	readonly contentOf?: (record: T) => unknown;
	/** It is there only as long as another record points to it. */
	readonly keptWhileReferred?: boolean;
	readonly bytes?: keyof T & string;
	/** What a file must show beyond the schema; a sentence, or null. */
	readonly problemOf?: (record: T) => string | null;
}

/** The record with a new revision. */
export const stamped = <T extends StoredRecord>(
	kind: RecordKind<T>,
	record: T,
	revision: number,
	updatedAt: string
): T => (kind.stamped ? kind.stamped(record, revision, updatedAt) : { ...record, revision, updatedAt });

/** What of a record counts as its content. */
export function contentOf<T extends StoredRecord>(kind: RecordKind<T>, record: T): unknown {
	if (kind.contentOf) return kind.contentOf(record);
	const { revision: _r, updatedAt: _u, ...rest } = record;
	return rest;
}

/** The data version in which a kind came. */
export const sinceOf = (kind: Pick<RecordKind, 'indexes'>): number =>
	Math.min(...Object.keys(kind.indexes).map(Number));

export const isObject = (value: unknown): value is Raw =>
	typeof value === 'object' && value !== null && !Array.isArray(value);

/** The sequence of a field, with the history of another one where there is one. */
export const sequenceAt =
	(field: string, historyField?: string): Lens =>
	(raw, visit) => {
		const sequence = raw[field];
		if (!isObject(sequence)) return raw;
		const version = typeof sequence.version === 'number' ? sequence.version : 1;
		const history =
			historyField && historyField in raw ? { [historyField]: visit.history(raw[historyField], version) } : {};
		return { ...raw, [field]: visit.sequence(sequence), ...history };
	};
