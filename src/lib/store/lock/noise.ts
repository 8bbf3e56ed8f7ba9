import Dexie, { type Table } from 'dexie';

const NAME = 'soft-tide-noise';
/** Bytes of a row, and rows that are written at a time. A larger row lies in a file of its own. */
const ROW_BYTES = 60_000;
const ROWS = 100;
/** So many times they are written one over the other. Found by searching the files of the browser: ten are enough, then nothing is left. */
const ROUNDS = 24;
/** Bytes that it takes for a while. */
export const NOISE_BYTES = 2 * ROW_BYTES * ROWS;

/**
 * Has the browser write its files anew, so that nothing of a database that was deleted stays in them: a browser that deletes
 * one notes that it is gone and leaves its bytes where they lie, until enough else is written over them.
 */
export async function writeNoise(
	onround: (round: number, of: number) => void = () => {},
	rounds = ROUNDS
): Promise<void> {
	const db = new Dexie(NAME);
	db.version(1).stores({ rows: 'id' });
	const rows = db.table('rows') as Table<{ id: number; noise: Uint8Array }, number>;
	try {
		for (let round = 1; round <= rounds; round++) {
			await rows.bulkPut(
				Array.from({ length: ROWS }, (_, id) => ({ id, noise: crypto.getRandomValues(new Uint8Array(ROW_BYTES)) }))
			);
			onround(round, rounds);
		}
	} finally {
		db.close();
		await Dexie.delete(NAME);
	}
}
