// A backup of ten thousand photographs, beyond four gibibytes: written to the disk and read again, one picture at a time.
import { closeSync, openSync, readSync, rmSync, statSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ArchiveWriter, openArchive } from '../src/lib/formats/backup/archive';
import { BACKUP_FILES, BACKUP_JSON } from '../src/lib/formats/backup/backupSchema';

const PICTURES = Number(process.env.SOFT_TIDE_PICTURES ?? 10_000);
const BYTES = 450_000;
/** Bytes that differ from picture to picture, and cannot be packed. */
function picture(n: number): Uint8Array {
	const bytes = new Uint8Array(BYTES);
	let state = (n + 1) * 2654435761;
	for (let i = 0; i < BYTES; i++) {
		state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
		bytes[i] = state >>> 24;
	}
	return bytes;
}
/** A file of any size as a browser gives it: this Node’s own loses what is beyond 4 GiB. */
class FileOnDisk {
	constructor(
		private readonly handle: number,
		private readonly from: number,
		private readonly to: number
	) {}
	get size(): number {
		return this.to - this.from;
	}
	slice(from = 0, to = this.size): FileOnDisk {
		return new FileOnDisk(this.handle, this.from + from, this.from + Math.min(to, this.size));
	}
	arrayBuffer(): Promise<ArrayBuffer> {
		const bytes = new Uint8Array(this.size);
		readSync(this.handle, bytes, 0, bytes.length, this.from);
		return Promise.resolve(bytes.buffer);
	}
}
let peak = 0;
const watch = setInterval(() => (peak = Math.max(peak, process.memoryUsage().rss)), 100);
const megabytes = (n: number) => `${Math.round(n / 1024 / 1024).toLocaleString('en')} MB`;
const file = join(tmpdir(), `soft-tide-archive-${process.pid}.zip`);
try {
	const out = openSync(file, 'w');
	let from = performance.now();
	const archive = new ArchiveWriter((bytes) => void writeSync(out, bytes));
	async function* text() {
		yield JSON.stringify({ pictures: PICTURES });
	}
	await archive.addText(BACKUP_JSON, text());
	for (let n = 0; n < PICTURES; n++) await archive.addBytes(`${BACKUP_FILES}p${n}`, picture(n));
	await archive.close();
	closeSync(out);
	const written = performance.now() - from;
	const blob = new FileOnDisk(openSync(file, 'r'), 0, statSync(file).size) as unknown as Blob;
	console.log(`written: ${megabytes(blob.size)} in ${Math.round(written / 1000)} s, peak of memory ${megabytes(peak)}`);
	peak = 0;
	from = performance.now();
	const opened = await openArchive(blob, false);
	if (!opened.ok) throw new Error(opened.problems[0]!.message);
	console.log(`opened, its digest compared: ${Math.round((performance.now() - from) / 1000)} s`);
	for (let n = 0; n < PICTURES; n++) {
		const bytes = await opened.value.bytesOf(`${BACKUP_FILES}p${n}`);
		const meant = n % 500 ? null : picture(n);
		if (bytes?.length !== BYTES || meant?.some((b, i) => b !== bytes[i]))
			throw new Error(`picture ${n} is another one`);
	}
	console.log(`all read: ${Math.round((performance.now() - from) / 1000)} s, peak of memory ${megabytes(peak)}`);
} finally {
	clearInterval(watch);
	rmSync(file, { force: true });
}
