import { DATA_VERSION } from '../../core/records/dataVersion';
import { allKinds } from '../../core/records/kinds';
import type { RecordKind, StoredRecord } from '../../core/records/record';
import { CORE_VERSION } from '../../core/version';
import { CAUTION_LINE } from '../caution';
import { problemOf, problemsOf, type Problem } from '../problem';
import { orphanProblem, type Ids } from './crossChecks';
import { ArchiveWriter } from './archive';
import { BACKUP_FILES, BACKUP_FORMAT, BACKUP_JSON, rowsOf, type SomeRows } from './backupSchema';

/** Records by the page, so that a large store is never in memory at once. */
export type Pages = (kind: RecordKind) => AsyncIterable<readonly StoredRecord[]>;

export const pagesOf = (rows: SomeRows): Pages =>
	async function* (kind) {
		yield rowsOf(rows, kind);
	};

/**
 * Writes a backup: a zip of the JSON, of a folder of binary files, each named by the hash of its bytes, and of a list with the
 * digest of each. What its own import would refuse is left out: a file that nobody can read is worth nothing.
 * @param onchunk takes the bytes in order
 * @param onrecords hears how many more records are written
 * @returns what was left out, and why
 * @throws {RangeError} where there is more than an import reads
 */
export async function writeBackup(
	exportedAt: string,
	pages: Pages,
	onchunk: (bytes: Uint8Array) => void,
	onrecords: (count: number) => void = () => {}
): Promise<Problem[]> {
	const zip = new ArchiveWriter(onchunk);
	const leftOut: Problem[] = [];
	const ids = new Map<string, Set<string>>();
	await zip.addText(BACKUP_JSON, textOfAll(exportedAt, pages, { ids, leftOut, onrecords }));
	// Their bytes are read once more, a few at a time: all of them at once are more than a browser holds.
	for (const kind of allKinds().filter((k) => k.bytes))
		for await (const page of pages(kind))
			for (const record of page)
				if (ids.get(kind.id)!.has(record.id)) await zip.addBytes(BACKUP_FILES + record.id, bytesOf(kind, record));
	await zip.close();
	return leftOut;
}

interface Written {
	readonly ids: Map<string, Set<string>>;
	readonly leftOut: Problem[];
	readonly onrecords: (count: number) => void;
}
/** The JSON of a backup, page by page. */
async function* textOfAll(
	exportedAt: string,
	pages: Pages,
	{ ids, leftOut, onrecords }: Written
): AsyncGenerator<string> {
	const head = { format: BACKUP_FORMAT, version: DATA_VERSION, core: CORE_VERSION, caution: CAUTION_LINE, exportedAt };
	yield JSON.stringify(head).slice(0, -1);
	for (const kind of allKinds()) {
		yield `,${JSON.stringify(kind.table)}:[`;
		let first = true;
		let index = 0;
		const written = new Set<string>();
		ids.set(kind.id, written);
		for await (const all of pages(kind)) {
			const page = all.filter((record) => {
				const problem = written.size < kind.limit ? problemIn(kind, record, index++, ids) : tooMany(kind, index++);
				if (problem) leftOut.push(problem);
				else written.add(record.id);
				return !problem;
			});
			const texts = page.map((record) => textOf(kind, record));
			if (texts.length) yield `${first ? '' : ','}${texts.join(',')}`;
			first = first && !texts.length;
			onrecords(page.length);
		}
		yield ']';
	}
	yield '}';
}
const tooMany = (kind: RecordKind, index: number): Problem =>
	problemOf(
		`${kind.table}[${index}]`,
		`at most ${kind.limit.toLocaleString('en')} ${kind.titles.toLowerCase()} are read`,
		'Export clients one by one, on their pages.'
	);

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
