import type { Table } from 'dexie';
import stringify from 'safe-stable-stringify';
import { allKinds, kindOf, type KindId } from '../core/records/kinds';
import { contentOf, stamped, type RecordKind, type StoredRecord } from '../core/records/record';
import { recordOf } from '../core/records/sequenceRecord';
import { EMPTY_HISTORY } from '../core/sequence/history';
import type { Sequence } from '../core/sequence/sequence.schema';
import { rowsOf, type SomeRows } from '../formats/backup/backupSchema';
import type { ImportEffect, ImportPreview } from '../formats/backup/importPreview';
import type { Problem } from '../formats/problem';
import { PAGE_OF_BYTES } from './backup';
import { tableOf, type SoftTideDb } from './db';
import { secondVersionOf, type Stamp } from './saveRecord';

export interface PlannedRecord {
	readonly kind: KindId;
	readonly id: string;
	readonly title: string;
	readonly effect: ImportEffect;
	readonly record: StoredRecord;
	/** The record that stood here when the plan was made, whole where it is replaced; null where none did. */
	readonly known: StoredRecord | null;
}
export interface ImportPlan {
	readonly records: readonly PlannedRecord[];
	/** Bytes of what has such, read when they are written; absent: the records hold them. */
	readonly bytesOf?: (id: string) => Promise<Uint8Array>;
}

/** Records that are read from the database at a time. */
const PAGE = 500;

/** Canonical text: the order of keys must not make a record look changed. */
const same = (kind: RecordKind, a: StoredRecord, b: StoredRecord): boolean =>
	stringify(contentOf(kind, a)) === stringify(contentOf(kind, b));

function effectOf(
	kind: RecordKind,
	record: StoredRecord,
	known: StoredRecord | undefined,
	mine: boolean
): ImportEffect {
	if (kind.meets === 'mine' && !(known && kind.yields?.(known))) return mine ? 'skipped' : 'added';
	if (!known) return 'added';
	return kind.meets === 'first' || same(kind, known, record) ? 'skipped' : 'changed';
}

/**
 * What an import would add, change and skip. Nothing is written.
 * @param onrecords hears how many more records have been compared
 */
export async function planImport(
	db: SoftTideDb,
	rows: SomeRows,
	onrecords: (count: number) => void = () => {},
	bytesOf?: ImportPlan['bytesOf']
): Promise<ImportPlan> {
	const byId = new Map<string, StoredRecord>();
	for (const kind of allKinds()) for (const record of rowsOf(rows, kind)) byId.set(`${kind.id} ${record.id}`, record);
	const nameOf = (id: string, recordId: string): string => {
		const record = byId.get(`${id} ${recordId}`);
		return record ? kindOf(id as KindId).nameOf(record, nameOf) : recordId;
	};
	const records: PlannedRecord[] = [];
	for (const kind of allKinds()) {
		const table = db.table(kind.table) as Table<StoredRecord, string>;
		const list = rowsOf(rows, kind);
		const mine = kind.meets === 'mine' && list.length > 0 && (await table.count()) > 0;
		for (let at = 0; at < list.length; at += PAGE) {
			const page = list.slice(at, at + PAGE);
			const known = await table.bulkGet(page.map((r) => r.id));
			page.forEach((record, i) => {
				const effect = effectOf(kind, record, known[i], mine);
				records.push({
					kind: kind.id as KindId,
					id: record.id,
					title: kind.nameOf(record, nameOf),
					record,
					known: effect === 'changed' ? known[i]! : stateOf(known[i]),
					effect
				});
			});
			onrecords(page.length);
		}
	}
	return bytesOf ? { records, bytesOf } : { records };
}

/** The plan of a sequence that comes alone: its file says nothing of undo and archive, so those of mine stay where it is the same. */
export async function planOfSequence(db: SoftTideDb, sequence: Sequence): Promise<ImportPlan> {
	const mine = await tableOf(db, 'sequence').get(sequence.id);
	const content = ({ revision: _r, updatedAt: _u, ...rest }: Sequence) => stringify(rest);
	const history = mine && content(mine.sequence) === content(sequence) ? mine.history : EMPTY_HISTORY;
	return planImport(db, { sequence: [recordOf(sequence, history, mine?.archived)] });
}

/** Something that the plan speaks of was changed here since it was made: nothing was written, a new plan is needed. */
export class PlanStale extends Error {
	override name = 'PlanStale';
	constructor(readonly count: number) {
		super(`${count} ${count === 1 ? 'record was' : 'records were'} changed here since the file was read.`);
	}
}

/**
 * Writes a plan, all or nothing but for files that nothing speaks of yet. What is replaced is kept as a second version. Everything that the plan speaks of is read
 * again in the same transaction.
 * @param onrecords hears how many more records are written
 * @throws {PlanStale} if something of it was changed here meanwhile
 */
export async function applyImport(
	db: SoftTideDb,
	plan: ImportPlan,
	stamp: Stamp,
	onrecords: (count: number) => void = () => {}
): Promise<void> {
	const brought = new Map<string, string[]>();
	try {
		await bringBytes(db, plan, onrecords, brought);
		await bringRecords(db, plan, stamp, onrecords);
	} catch (error) {
		for (const [table, ids] of brought) await (db.table(table) as Table<StoredRecord, string>).bulkDelete(ids);
		throw error;
	}
}

/**
 * Files come first, a few at a time: all of them at once are more than a browser holds. Nothing speaks of them yet; where the
 * records are then not written, or not all of the files, they go again.
 * @param brought takes the ids of those that were not there, by their table
 */
async function bringBytes(
	db: SoftTideDb,
	{ records, bytesOf }: ImportPlan,
	onrecords: (count: number) => void,
	brought: Map<string, string[]>
): Promise<void> {
	if (!bytesOf) return;
	for (const kind of allKinds().filter((k) => k.bytes)) {
		const table = db.table(kind.table) as Table<StoredRecord, string>;
		const mine = records.filter((r) => r.kind === kind.id && r.effect !== 'skipped');
		const ids: string[] = [];
		brought.set(kind.table, ids);
		for (let at = 0; at < mine.length; at += PAGE_OF_BYTES) {
			const page = mine.slice(at, at + PAGE_OF_BYTES);
			const whole: StoredRecord[] = [];
			for (const { record } of page) whole.push({ ...record, [kind.bytes!]: await bytesOf(record.id) } as StoredRecord);
			await table.bulkPut(whole);
			ids.push(...page.map((r) => r.id));
			onrecords(page.length);
		}
	}
}

async function bringRecords(
	db: SoftTideDb,
	plan: ImportPlan,
	stamp: Stamp,
	onrecords: (count: number) => void
): Promise<void> {
	await db.transaction('rw', db.tables, async () => {
		await mustBeFresh(db, plan);
		for (const kind of allKinds().filter((k) => !(plan.bytesOf && k.bytes))) {
			const mine = plan.records.filter((r) => r.kind === kind.id && r.effect !== 'skipped');
			const table = db.table(kind.table) as Table<StoredRecord, string>;
			for (let at = 0; at < mine.length; at += PAGE) {
				const page = mine.slice(at, at + PAGE);
				await tableOf(db, 'second-version').bulkPut(
					page.flatMap((r) => (r.known && kind.meets === 'beside' ? [secondVersionOf(r.kind, r.known, stamp)] : []))
				);
				await table.bulkPut(page.map((r) => replaced(kind, r)));
				onrecords(page.length);
			}
		}
	});
}

/** @throws {PlanStale} */
async function mustBeFresh(db: SoftTideDb, { records, bytesOf }: ImportPlan): Promise<void> {
	let changed = 0;
	for (const kind of allKinds().filter((k) => !(bytesOf && k.bytes))) {
		const planned = records.filter((r) => r.kind === kind.id);
		const table = db.table(kind.table) as Table<StoredRecord, string>;
		for (let at = 0; at < planned.length; at += PAGE) {
			const page = planned.slice(at, at + PAGE);
			const now = await table.bulkGet(page.map((r) => r.id));
			changed += page.filter((r, i) => !sameState(now[i], r.known)).length;
		}
	}
	if (changed) throw new PlanStale(changed);
}

/** What tells whether a record was changed: the rest of it need not be held. */
const stateOf = (record: StoredRecord | undefined): StoredRecord | null =>
	record ? { id: record.id, revision: record.revision, updatedAt: record.updatedAt } : null;
const sameState = (a: StoredRecord | undefined, b: StoredRecord | null): boolean =>
	a === undefined || b === null ? !a && !b : a.revision === b.revision && a.updatedAt === b.updatedAt;

/** A replaced record gets a revision above both, so that an open editor notices. */
function replaced(kind: RecordKind, { record, known }: PlannedRecord): StoredRecord {
	if (!known) return record;
	const taken = kind.over?.(known, record) ?? record;
	return stamped(kind, taken, Math.max(record.revision, known.revision) + 1, record.updatedAt);
}

/** @param leftOut what of the file cannot be brought in */
export function previewOf({ records }: ImportPlan, leftOut: readonly Problem[] = []): ImportPreview {
	const effective = records.filter((r) => r.effect !== 'skipped');
	return {
		records: records
			.filter((r) => kindOf(r.kind).preview === 'listed')
			.map(({ kind, id, title, effect }) => ({ kind: kindOf(kind).title.toLowerCase(), id, title, effect })),
		counts: allKinds().flatMap(({ id, preview }) => {
			const count = effective.filter((r) => r.kind === id).length;
			return typeof preview === 'object' && count ? [{ kind: id, count, ...preview }] : [];
		}),
		leftOut,
		worth: effective.length > 0
	};
}
