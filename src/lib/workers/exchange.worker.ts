import * as Comlink from 'comlink';
import { kindOf } from '../core/records/kinds';
import { readBackup } from '../formats/backup/readBackup';
import { writeBackup } from '../formats/backup/writeBackup';
import { MAX_BACKUP_BYTES, MAX_SEQUENCE_BYTES } from '../formats/readJson';
import { checkSequenceObject } from '../formats/sequenceFile';
import { firstOf, refuse, type Problem } from '../formats/problem';
import { pagesFrom } from '../store/backup';
import { makeDb, type SoftTideDb } from '../store/db';
import { applyImport, planImport, planOfSequence, previewOf, type ImportPlan } from '../store/importPlan';
import { Vault } from '../store/lock/vault';
import type { Stamp } from '../store/saveRecord';
import type { ExchangeWorker, Progress, ReadFile, StoreAt } from './protocol';

/** Files come in and go out here: reading, checking and writing them would hold up the page. */
const stamp = (): Stamp => ({ now: new Date().toISOString(), newId: () => crypto.randomUUID() });
let opened: SoftTideDb | null = null;
const vault = new Vault();
function database({ name, hold }: StoreAt): SoftTideDb {
	vault.hold = hold;
	return opened?.name === name ? opened : (opened = makeDb(name, undefined, vault));
}

/** What was read, and the plan whose preview the page shows; it is carried out, planned anew or forgotten. */
interface Held {
	readonly plan: ImportPlan;
	readonly leftOut: readonly Problem[];
	readonly again: () => Promise<ImportPlan>;
}
let held: Held | null = null;

/** Bytes of a file that are held in memory while it is written. */
const HELD_BYTES = 32 * 1024 * 1024;

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

async function hold(planning: () => Promise<ImportPlan>, leftOut: readonly Problem[] = []): Promise<ReadFile> {
	held = { plan: await planning(), leftOut: firstOf(leftOut), again: planning };
	return { ok: true, value: previewOf(held.plan, held.leftOut) };
}

const worker: ExchangeWorker = {
	async write(at, progress) {
		// What was written is handed to the browser by and by, which keeps it on the disk.
		let file = new Blob([]);
		let chunks: Uint8Array<ArrayBuffer>[] = [];
		let held = 0;
		const hand = () => {
			file = new Blob([file, ...chunks]);
			[chunks, held] = [[], 0];
		};
		const { now } = stamp();
		const leftOut = await writeBackup(
			now,
			pagesFrom(database(at)),
			(chunk) => {
				chunks.push(new Uint8Array(chunk));
				if ((held += chunk.length) > HELD_BYTES) hand();
			},
			counter('write', progress)
		);
		hand();
		return { exportedAt: now, file: new Blob([file], { type: 'application/zip' }), leftOut: firstOf(leftOut) };
	},
	async read(at, file, mend, progress) {
		held = null;
		if (file.size > MAX_BACKUP_BYTES) {
			const [size, most] = [file.size, MAX_BACKUP_BYTES].map((n) => Math.round(n / 1024 / 1024));
			return {
				...refuse(`The file has ${size} MB; at most ${most} MB are read.`, 'Choose a smaller file.'),
				mendable: false
			};
		}
		const db = database(at);
		const sequence = file.size <= MAX_SEQUENCE_BYTES ? sequenceIn(new Uint8Array(await file.arrayBuffer())) : null;
		if (sequence && !sequence.ok) return { ...sequence, mendable: false };
		if (sequence) return hold(() => planOfSequence(db, sequence.value));
		const backup = await readBackup(file, { onrecords: counter('check', progress), mend, letGo: true });
		if (!backup.ok) return backup;
		const { rows, bytesOf, leftOut } = backup.value;
		return hold(() => planImport(db, rows, counter('compare', progress), bytesOf), leftOut);
	},
	async apply(at, progress) {
		if (!held) throw new Error('nothing was read that could be imported');
		const { plan, leftOut, again } = held;
		try {
			await applyImport(database(at), plan, stamp(), counter('bring', progress));
		} catch (error) {
			if (!(error instanceof Error) || error.name !== 'PlanStale') throw error;
			held = { plan: await again(), leftOut, again };
			return previewOf(held.plan, leftOut);
		}
		held = null;
		// What is not named in the preview is not counted in the answer.
		return plan.records.filter((r) => r.effect !== 'skipped' && kindOf(r.kind).preview !== 'silent').length;
	},
	forget() {
		held = null;
	}
};
Comlink.expose(worker);
