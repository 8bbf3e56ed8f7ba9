import { allKinds, kindOf, KIND_IDS, type KindId } from '../../core/records/kinds';
import type { RecordKind, StoredRecord } from '../../core/records/record';
import { firstOf, problemOf, type Problem } from '../problem';
import { rowsOf, type Rows, type SomeRows } from './backupSchema';

/** A record that cannot be in a file as it is. */
interface Fault {
	readonly kind: KindId;
	readonly index: number;
	readonly problem: Problem;
}
/** Ids by kind, of what a file holds. */
export type Ids = ReadonlyMap<string, ReadonlySet<string>>;

const titleOf = (id: string): string =>
	KIND_IDS.includes(id as KindId) ? kindOf(id as KindId).title.toLowerCase() : id;

/** What a record must point to and what is not in the file; null where all is. */
export function orphanProblem(kind: RecordKind, record: StoredRecord, index: number, ids: Ids): Problem | null {
	for (const ref of (kind.refs ?? []).filter((r) => r.must)) {
		const missing = ref.of(record).find((id) => !ids.get(ref.to)?.has(id));
		if (missing !== undefined)
			return problemOf(
				`${kind.table}[${index}]${ref.index ? `.${ref.index}` : ''}`,
				`no ${titleOf(ref.to)} of the file has this id: ${missing}`,
				`Add the ${titleOf(ref.to)}, or remove the ${kind.title.toLowerCase()}.`
			);
	}
	return null;
}

function faultsIn(rows: SomeRows): Fault[] {
	const faults: Fault[] = [];
	const ids = new Map<string, Set<string>>();
	for (const kind of allKinds()) {
		const seen = new Set<string>();
		rowsOf(rows, kind).forEach(({ id }, index) => {
			const problem = problemOf(`${kind.table}[${index}].id`, `the id stands twice: ${id}`, 'Remove one of the two.');
			if (seen.has(id)) faults.push({ kind: kind.id as KindId, index, problem });
			seen.add(id);
		});
		ids.set(kind.id, seen);
	}
	for (const kind of allKinds())
		rowsOf(rows, kind).forEach((record, index) => {
			const problem = orphanProblem(kind, record, index, ids);
			if (problem) faults.push({ kind: kind.id as KindId, index, problem });
		});
	return faults;
}

/** What a schema cannot say: no id twice in a list, and whatever a record points to is in the file. */
export const crossProblems = (rows: SomeRows): Problem[] => firstOf(faultsIn(rows).map((f) => f.problem));

/** The rows without those that cannot be in a file, and what was wrong with each: what hangs on one that goes, goes too. */
export function withoutFaults(rows: Rows): { rows: Rows; leftOut: Problem[] } {
	const leftOut: Problem[] = [];
	let left = rows;
	for (let faults = faultsIn(left); faults.length; faults = faultsIn(left)) {
		leftOut.push(...faults.map((f) => f.problem));
		const bad = new Set(faults.map((f) => `${f.kind} ${f.index}`));
		left = Object.fromEntries(
			allKinds().map((kind) => [kind.id, rowsOf(left, kind).filter((_, i) => !bad.has(`${kind.id} ${i}`))])
		) as unknown as Rows;
	}
	return { rows: left, leftOut };
}
