import * as Comlink from 'comlink';
import { kindOf } from '../core/records/kinds';
import { readBackup } from '../formats/backup/readBackup';
import { writeBackup } from '../formats/backup/writeBackup';
import { MAX_BACKUP_BYTES } from '../formats/readJson';
import { checkSequenceObject } from '../formats/sequenceFile';
import { refuse, type Parsed } from '../formats/problem';
import { pagesFrom } from '../store/backup';
import { makeDb, type SoftTideDb } from '../store/db';
import { applyImport, planImport, planOfSequence, previewOf, type ImportPlan } from '../store/importPlan';
import type { Stamp } from '../store/saveRecord';
import type { ExchangeWorker, Progress } from './protocol';

/** Files come in and go out here: reading, checking and writing them would hold up the page. */
const stamp = (): Stamp => ({ now: new Date().toISOString(), newId: () => crypto.randomUUID() });
let opened: SoftTideDb | null = null;
const database = (name: string): SoftTideDb => (opened?.name === name ? opened : (opened = makeDb(name)));
/** The plan whose preview the page shows; it is carried out or forgotten. */
let plan: ImportPlan | null = null;

/** Tells the page how far it is, not more often than it can show. */
function counter(stage: Progress['stage'], progress: (p: Progress) => void): (count: number) => void {
	let [done, told] = [0, 0];
	return (count) => {
		done += count;
		if (done - told < 250) return;
		told = done;
		progress({ stage, done });
	};
}

/** A sequence file alone, or null where it is something else. */
function sequenceIn(bytes: Uint8Array) {
	if (bytes[0] === 0x50) return null;
	try {
		const raw: unknown = JSON.parse(new TextDecoder().decode(bytes).replace(/^\uFEFF/, ''));
		const isOne =
			typeof raw === 'object' && raw !== null && (raw as { format?: unknown }).format === 'soft-tide/sequence';
		return isOne ? checkSequenceObject(raw as Record<string, unknown>) : null;
	} catch {
		return null;
	}
}

async function planOf(db: SoftTideDb, bytes: Uint8Array, progress: (p: Progress) => void): Promise<Parsed<ImportPlan>> {
	const sequence = sequenceIn(bytes);
	if (sequence) return sequence.ok ? { ok: true, value: await planOfSequence(db, sequence.value) } : sequence;
	const backup = readBackup(bytes, counter('check', progress));
	return backup.ok
		? { ok: true, value: await planImport(db, backup.value.rows, counter('compare', progress)) }
		: backup;
}

const worker: ExchangeWorker = {
	async write(name, progress) {
		const chunks: Uint8Array<ArrayBuffer>[] = [];
		const { now } = stamp();
		await writeBackup(
			now,
			pagesFrom(database(name)),
			(chunk) => chunks.push(new Uint8Array(chunk)),
			counter('write', progress)
		);
		return { exportedAt: now, file: new Blob(chunks, { type: 'application/zip' }) };
	},
	async read(name, file, progress) {
		plan = null;
		if (file.size > MAX_BACKUP_BYTES)
			return refuse(
				`The file has ${Math.round(file.size / 1024 / 1024)} MB; at most ${MAX_BACKUP_BYTES / 1024 / 1024} MB are read.`,
				'Choose a smaller file.'
			);
		const planned = await planOf(database(name), new Uint8Array(await file.arrayBuffer()), progress);
		if (!planned.ok) return planned;
		plan = planned.value;
		return { ok: true, value: previewOf(plan) };
	},
	async apply(name, progress) {
		if (!plan) throw new Error('nothing was read that could be brought in');
		const taken = plan;
		await applyImport(database(name), taken, stamp(), counter('bring', progress));
		plan = null;
		// What is not named in the preview is not counted in the answer.
		return taken.records.filter((r) => r.effect !== 'skipped' && kindOf(r.kind).preview !== 'silent').length;
	},
	forget() {
		plan = null;
	}
};
Comlink.expose(worker);
