import { strToU8, Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { DATA_VERSION } from '../../core/records/dataVersion';
import { allKinds } from '../../core/records/kinds';
import type { RecordKind, StoredRecord } from '../../core/records/record';
import { CORE_VERSION } from '../../core/version';
import { CAUTION_LINE } from '../caution';
import { problemOf, problemsOf, type Problem } from '../problem';
import { orphanProblem, type Ids } from './crossChecks';
import { BACKUP_FILES, BACKUP_FORMAT, BACKUP_JSON, rowsOf, type SomeRows } from './backupSchema';

/** Records by the page, so that a large store is never in memory at once. */
export type Pages = (kind: RecordKind) => AsyncIterable<readonly StoredRecord[]>;

export const pagesOf = (rows: SomeRows): Pages =>
	async function* (kind) {
		yield rowsOf(rows, kind);
	};

/** How hard it is packed: a little more than half as large as the tightest, several times as fast. */
const LEVEL = 3;

/**
 * Writes a backup: a zip of the JSON and of a folder of binary files, each named by the hash of its bytes.
 * What its own import would refuse is left out: a file that nobody can read is worth nothing.
 * @param onchunk takes the bytes in order
 * @param onrecords hears how many more records are written
 * @returns what was left out, and why
 */
export async function writeBackup(
	exportedAt: string,
	pages: Pages,
	onchunk: (bytes: Uint8Array) => void,
	onrecords: (count: number) => void = () => {}
): Promise<Problem[]> {
	const zip = new Zip((error, chunk) => {
		if (error) throw error;
		onchunk(chunk);
	});
	const json = new ZipDeflate(BACKUP_JSON, { level: LEVEL });
	zip.add(json);
	const write = (text: string, last = false) => json.push(strToU8(text), last);
	const binaries: { id: string; bytes: Uint8Array }[] = [];
	const leftOut: Problem[] = [];
	const ids = new Map<string, Set<string>>();
	const head = { format: BACKUP_FORMAT, version: DATA_VERSION, core: CORE_VERSION, caution: CAUTION_LINE, exportedAt };
	write(JSON.stringify(head).slice(0, -1));
	for (const kind of allKinds()) {
		write(`,${JSON.stringify(kind.table)}:[`);
		let first = true;
		let index = 0;
		const written = new Set<string>();
		ids.set(kind.id, written);
		for await (const all of pages(kind)) {
			const page = all.filter((record) => {
				const problem = problemIn(kind, record, index++, ids);
				if (problem) leftOut.push(problem);
				else written.add(record.id);
				return !problem;
			});
			for (const record of page) if (kind.bytes) binaries.push({ id: record.id, bytes: bytesOf(kind, record) });
			const texts = page.map((record) => textOf(kind, record));
			if (texts.length) write(`${first ? '' : ','}${texts.join(',')}`);
			first = first && !texts.length;
			onrecords(page.length);
		}
		write(']');
	}
	write('}', true);
	for (const { id, bytes } of binaries) {
		const file = new ZipPassThrough(BACKUP_FILES + id);
		zip.add(file);
		file.push(bytes, true);
	}
	zip.end();
	return leftOut;
}

/** Why a record would be refused by an import; null where it would not. What it points to is written before it. */
function problemIn(kind: RecordKind, record: StoredRecord, index: number, ids: Ids): Problem | null {
	const result = kind.schema.safeParse(record);
	if (!result.success) {
		const [first] = problemsOf(result.error);
		return problemOf(`${kind.table}[${index}].${first!.path}`, first!.message, first!.remedy);
	}
	const wrong = kind.problemOf?.(record);
	if (wrong) return problemOf(`${kind.table}[${index}]`, wrong, 'Open it and save it again, or remove it.');
	return orphanProblem(kind, record, index, ids);
}

/** A record as JSON, without its bytes. What has none is written by the quick way: a function asked at every value takes several times as long. */
const textOf = (kind: RecordKind, record: StoredRecord): string =>
	JSON.stringify(record, kind.bytes ? (key, v: unknown) => (key === kind.bytes ? undefined : v) : undefined);

const bytesOf = (kind: RecordKind, record: StoredRecord): Uint8Array =>
	(record as unknown as Record<string, Uint8Array>)[kind.bytes!]!;

/** A backup of rows that are in memory, as bytes. */
export async function backupOf(exportedAt: string, rows: SomeRows): Promise<Uint8Array> {
	const chunks: Uint8Array[] = [];
	await writeBackup(exportedAt, pagesOf(rows), (chunk) => chunks.push(chunk));
	const bytes = new Uint8Array(chunks.reduce((n, c) => n + c.length, 0));
	let at = 0;
	for (const chunk of chunks) {
		bytes.set(chunk, at);
		at += chunk.length;
	}
	return bytes;
}
