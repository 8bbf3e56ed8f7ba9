import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import {
	BlobReader,
	configure,
	Uint8ArrayReader,
	Uint8ArrayWriter,
	ZipReader,
	ZipWriter,
	type FileEntry
} from '@zip.js/zip.js';
import { z } from 'zod';
import { problemOf, refuse, type Mendable, type Parsed, type Problem } from '../problem';
import { MAX_BACKUP_BYTES, MAX_BACKUP_JSON_BYTES, readJson } from '../readJson';
import { BACKUP_FILES, BACKUP_JSON } from './backupSchema';

// It runs in a worker already; the browser’s own packing needs no WebAssembly, which the policy of the worker forbids.
configure({ useWebWorkers: false, useCompressionStream: true });

/** Name of the list of all that a backup holds, with the digest of each. */
export const BACKUP_MANIFEST = 'manifest.json';
const MANIFEST_FORMAT = 'soft-tide/manifest';
const ManifestSchema = z.strictObject({
	format: z.literal(MANIFEST_FORMAT),
	version: z.literal(1),
	files: z.array(
		z.strictObject({ name: z.string(), bytes: z.int().min(0), sha256: z.string().regex(/^[0-9a-f]{64}$/) })
	)
});
type Listed = z.infer<typeof ManifestSchema>['files'][number];

/** A zip ends with the digest of all of its bytes before it, as its comment: no bit of it can change unseen. */
const MARK = 'sha256:';
const TAIL_BYTES = MARK.length + 64;
const ascii = { to: new TextEncoder(), from: new TextDecoder() };

const AGAIN = 'Export the backup again, or choose another file.';

/** Takes what a zip writes; its last bytes, a comment of the same length, are held back and become its digest. */
function withDigest(onchunk: (bytes: Uint8Array) => void) {
	const whole = sha256.create();
	let held = new Uint8Array();
	const pass = (bytes: Uint8Array) => {
		whole.update(bytes);
		onchunk(bytes);
	};
	return {
		writable: new WritableStream<Uint8Array>({
			write(chunk) {
				const all = new Uint8Array(held.length + chunk.length);
				all.set(held);
				all.set(chunk, held.length);
				if (all.length <= TAIL_BYTES) return void (held = all);
				pass(all.slice(0, -TAIL_BYTES));
				held = all.slice(-TAIL_BYTES);
			}
		}),
		end: () => onchunk(ascii.to.encode(MARK + bytesToHex(whole.digest())))
	};
}

/** Bytes that are packed already are stored as they are. */
const STORED = { compressionMethod: 0 } as const;

/** A backup as it is written: entry by entry, none of them in memory longer than it takes. */
export class ArchiveWriter {
	readonly #listed: Listed[] = [];
	readonly #out: ReturnType<typeof withDigest>;
	readonly #zip: ZipWriter<unknown>;
	constructor(onchunk: (bytes: Uint8Array) => void) {
		this.#out = withDigest(onchunk);
		this.#zip = new ZipWriter(this.#out.writable, { bufferedWrite: false, extendedTimestamp: false });
	}

	/** A text that comes in pieces. @throws {RangeError} where it is longer than what is read */
	async addText(name: string, pieces: AsyncIterable<string>): Promise<void> {
		const digest = sha256.create();
		let bytes = 0;
		const walk = pieces[Symbol.asyncIterator]();
		const readable = new ReadableStream<Uint8Array>({
			async pull(to) {
				const { value, done } = await walk.next();
				if (done) return to.close();
				const piece = ascii.to.encode(value);
				bytes += piece.length;
				if (bytes > MAX_BACKUP_JSON_BYTES)
					throw new RangeError(
						`The records come to more than ${MAX_BACKUP_JSON_BYTES / 1024 / 1024} MB of text, which no import reads. Export clients one by one, on their pages.`
					);
				digest.update(piece);
				to.enqueue(piece);
			}
		});
		await this.#zip.add(name, { readable });
		this.#listed.push({ name, bytes, sha256: bytesToHex(digest.digest()) });
	}
	/** Bytes that are packed already, as pictures are. */
	async addBytes(name: string, bytes: Uint8Array): Promise<void> {
		await this.#zip.add(name, new Uint8ArrayReader(bytes), STORED);
		this.#listed.push({ name, bytes: bytes.length, sha256: bytesToHex(sha256(bytes)) });
	}
	async close(): Promise<void> {
		const manifest = JSON.stringify({ format: MANIFEST_FORMAT, version: 1, files: this.#listed });
		await this.#zip.add(BACKUP_MANIFEST, new Uint8ArrayReader(ascii.to.encode(manifest)));
		await this.#zip.close(new Uint8Array(TAIL_BYTES));
		this.#out.end();
	}
}

/** What a backup holds, as far as it was read. */
export interface Archive {
	readonly text: string;
	/** The bytes of a file, read when they are asked for. @throws {Error} in words, if they are not as they were written; undefined if it holds none of that name */
	readonly bytesOf: (name: string) => Promise<Uint8Array | undefined>;
	/** What differs from what was written, without its being known which record it touches. */
	readonly problems: readonly Problem[];
}

/** Bytes of a file that are read at a time. */
const STRETCH_BYTES = 4 * 1024 * 1024;
/** Whether the digest at the end of a file is that of all before it; null where there is none. */
async function digestFits(file: Blob): Promise<boolean | null> {
	const end = file.size - TAIL_BYTES;
	const said = ascii.from.decode(await file.slice(Math.max(0, end)).arrayBuffer());
	if (!said.startsWith(MARK)) return null;
	const whole = sha256.create();
	for (let at = 0; at < end; at += STRETCH_BYTES)
		whole.update(new Uint8Array(await file.slice(at, Math.min(end, at + STRETCH_BYTES)).arrayBuffer()));
	return said === MARK + bytesToHex(whole.digest());
}

const damaged = (name: string) => `${name} is not as it was written: the file is damaged`;
const megabytes = (bytes: number) => `${Math.ceil(bytes / 1024 / 1024).toLocaleString('en')} MB`;

/** Longest that one entry may take, ms: where its bytes are damaged, unpacking may wait for more of them for ever. */
const ENTRY_MS = 60_000;
function ended<T>(work: Promise<T>): Promise<T> {
	let timer: ReturnType<typeof setTimeout> | undefined;
	const late = new Promise<never>((_, fail) => {
		timer = setTimeout(() => fail(new Error('it does not end')), ENTRY_MS);
	});
	return Promise.race([work, late]).finally(() => clearTimeout(timer));
}

/** Reads one entry, with its own checksum and that of the list. @throws {Error} in words */
async function bytesIn(entry: FileEntry, listed: Listed | undefined): Promise<Uint8Array> {
	let bytes: Uint8Array;
	try {
		bytes = await ended(entry.getData(new Uint8ArrayWriter(), { checkSignature: true }));
	} catch {
		throw new Error(damaged(entry.filename));
	}
	const wrong = bytes.length !== entry.uncompressedSize || (listed && bytes.length !== listed.bytes);
	if (wrong || (listed && bytesToHex(sha256(bytes)) !== listed.sha256)) throw new Error(damaged(entry.filename));
	return bytes;
}

/** What of the entries no backup holds, by name; null where all are well. */
function refusal(entries: readonly FileEntry[]): Problem[] | null {
	const seen = new Set<string>();
	let total = 0;
	for (const { filename: name, encrypted, uncompressedSize } of entries) {
		if (encrypted)
			return refuse(`${name} is encrypted.`, 'Export without a password, or choose another file.').problems;
		if (seen.has(name)) return refuse(`The archive holds ${name} twice.`, AGAIN).problems;
		seen.add(name);
		if (![BACKUP_JSON, BACKUP_MANIFEST].includes(name) && !name.startsWith(BACKUP_FILES))
			return refuse(`The archive holds ${name}, which is no part of a backup.`, AGAIN).problems;
		total += uncompressedSize;
		if (total > MAX_BACKUP_BYTES || (name === BACKUP_JSON && uncompressedSize > MAX_BACKUP_JSON_BYTES))
			return refuse(
				`Unpacked, the file has ${megabytes(total)}; at most ${megabytes(MAX_BACKUP_BYTES)} are read, of them ${megabytes(MAX_BACKUP_JSON_BYTES)} of text.`,
				'Choose a smaller file.'
			).problems;
	}
	return null;
}

/**
 * Opens the archive of a backup: only its text is read, each file when it is asked for. Backups of before the list have none.
 * @param mend a file that is not as it was written is opened all the same
 */
export async function openArchive(file: Blob, mend: boolean): Promise<Mendable<Archive>> {
	const fits = await digestFits(file);
	if (fits === false && !mend) return { ok: false, problems: [CHANGED], mendable: true };
	const opened = await unpacked(file, fits === true);
	return opened.ok ? opened : { ...opened, mendable: false };
}
const CHANGED = problemOf('', 'The file is not as it was written: at least one bit of it is another one.', AGAIN);

async function unpacked(file: Blob, fits: boolean): Promise<Parsed<Archive>> {
	const zip = new ZipReader(new BlobReader(file));
	let entries: FileEntry[];
	try {
		entries = (await zip.getEntries()).filter((entry): entry is FileEntry => !entry.directory);
	} catch (error) {
		const reason = error instanceof Error ? error.message : String(error);
		return refuse(`The archive cannot be opened: ${reason}.`, AGAIN);
	}
	const byName = new Map(entries.map((entry) => [entry.filename, entry]));
	const json = byName.get(BACKUP_JSON);
	if (!json) return refuse(`The archive holds no ${BACKUP_JSON}.`, 'Choose a file that was exported from Soft Tide.');
	const refused = refusal(entries);
	if (refused) return { ok: false, problems: refused };
	try {
		const list = byName.get(BACKUP_MANIFEST);
		const files = list ? manifestIn(await bytesIn(list, undefined)) : null;
		const listed = new Map(files?.map((f) => [f.name, f]));
		const text = new TextDecoder().decode(await bytesIn(json, listed.get(BACKUP_JSON)));
		return {
			ok: true,
			value: {
				text,
				bytesOf: async (name) => {
					const entry = byName.get(name);
					return entry && (await bytesIn(entry, listed.get(name)));
				},
				problems: files ? differences(files, byName, fits) : []
			}
		};
	} catch (error) {
		return refuse(`${error instanceof Error ? error.message : String(error)}.`, AGAIN);
	}
}

function manifestIn(bytes: Uint8Array): readonly Listed[] {
	const raw = readJson(ascii.from.decode(bytes), 2);
	const read = ManifestSchema.safeParse(raw.ok ? raw.value : null);
	if (!read.success) throw new Error(damaged(BACKUP_MANIFEST));
	return read.data.files;
}

/** What of the archive is not what its list says, or what its digest was made of. */
function differences(files: readonly Listed[], byName: ReadonlyMap<string, FileEntry>, fits: boolean): Problem[] {
	const lacking = files.filter((f) => !byName.has(f.name));
	const known = new Set([BACKUP_MANIFEST, ...files.map((f) => f.name)]);
	const foreign = [...byName.keys()].filter((name) => !known.has(name));
	return [
		...lacking.map(({ name }) => problemOf('', `the archive does not hold ${name}, which its list names`, AGAIN)),
		...foreign.map((name) => problemOf('', `the archive holds ${name}, which its list does not name`, AGAIN)),
		...(fits ? [] : [CHANGED])
	];
}
