import Dexie from 'dexie';
import {
	copyOf,
	databases,
	deleteLock,
	isEarlier,
	nextName,
	readLock,
	stillToWait,
	writeLock,
	LockThere,
	type EarlierLock,
	type LockRow
} from './lockRow';
import type { Opener } from './lockRow.schema';
import type { OnRows, Place, Tried } from './moving';
import { AtWorkElsewhere, oneAtATime } from './oneAtATime';
import { NoRoom, TooEarly } from './refusals';
import {
	newKey,
	newNames,
	openKey,
	openNames,
	ROUNDS,
	sealKey,
	unwrapKey,
	wrapKey,
	WrongPassphrase,
	type WrappedKey
} from './sealing';
import type { Hold, RecordDamaged, Vault } from './vault';

/** Moving is fetched by those who move. */
const moves = () => import('./moving');
const noise = () => import('./noise');

const PLAIN: Hold = { kind: 'none' };

/** What a lock is made of, before it is put on. */
export interface Prepared {
	readonly opener: Opener;
}
interface Options {
	/** Fewer in tests only. */
	readonly rounds?: number;
	readonly noiseRounds?: number;
}
/** What hears how a move goes. */
export interface Moving {
	readonly onrows?: OnRows | undefined;
	readonly onclear?: (round: number, of: number) => void;
	/** Records that cannot be opened may stay behind. */
	readonly leaveOut?: boolean;
}

/** The lock of one practice, as this window knows it. Nothing here draws or waits for anybody. */
export class Lock {
	row: LockRow | null = null;
	/** There are sealed records, and nothing that opens them. */
	lost = false;
	#earlier: EarlierLock | null = null;
	#spare: LockRow | null = null;
	constructor(
		readonly base: string,
		readonly vault: Vault,
		private readonly clock: () => Date,
		private readonly onchange: () => void,
		private readonly options: Options = {}
	) {}

	#now = (): string => this.clock().toISOString();
	#hold(hold: Hold): void {
		this.vault.hold = hold;
		this.onchange();
	}
	/** The database in which the records are. */
	get database(): string {
		return this.row?.database ?? this.base;
	}
	/** Whether records are on their way from one database into another. */
	get unfinished(): boolean {
		return (this.row?.move ?? null) !== null || this.#earlier !== null;
	}
	#alone = <T>(work: () => Promise<T>): Promise<T> => oneAtATime(`soft-tide-lock ${this.base}`, work);

	async #write(change: Partial<LockRow>): Promise<void> {
		const row = { ...this.row!, ...change, revision: this.row!.revision + 1 };
		await writeLock(row);
		this.row = row;
		this.onchange();
	}

	/** Looks whether there is a lock. Where there is one and no key is known, the records are shut from here on. */
	async look(): Promise<void> {
		const { row, spare, lost } = await readLock(this.base);
		[this.lost, this.#spare] = [lost, spare];
		this.#earlier = row && isEarlier(row) ? row : null;
		this.row = row && !isEarlier(row) ? row : this.#earlier ? asNow(this.#earlier) : null;
		if (!this.row) this.vault.hold = lost ? { kind: 'shut' } : PLAIN;
		else if (!this.row.by && !this.row.move) this.vault.hold = PLAIN;
		else if (this.vault.hold.kind !== 'open') this.vault.hold = { kind: 'shut' };
		this.onchange();
	}

	/** The first opener that a passphrase opens, with its key. @throws {WrongPassphrase} */
	async #first(passphrase: string, toSeal: boolean, openers: readonly (Opener | null | undefined)[]) {
		for (const opener of openers)
			if (opener)
				try {
					return { opener, key: await unwrapKey(opener.wrapped, passphrase, toSeal) };
				} catch (error) {
					if (!(error instanceof WrongPassphrase)) throw error;
				}
		throw new WrongPassphrase();
	}

	/**
	 * How the records are held here and, where they are on their way, there. A wrong passphrase is written down before it is
	 * said, so that a new window does not begin at nought. @throws {TooEarly} {WrongPassphrase}
	 */
	async #holds(passphrase: string, toSeal = false): Promise<{ here: Hold; there: Hold }> {
		await this.look();
		if (!this.row) throw new Error('there is no lock');
		const { by, move, failed } = this.row;
		const wait = stillToWait(this.row, this.clock());
		if (wait > 0) throw new TooEarly(wait);
		try {
			const found = await this.#first(passphrase, toSeal, [by, move?.by, this.#spare?.by]);
			const isNext = found.opener === move?.by;
			const [before, next] = [
				by && (isNext && move?.keys ? await openKey(move.keys.before, found.key) : found.key),
				move?.by && (isNext ? found.key : move.keys ? await openKey(move.keys.next, found.key) : found.key)
			];
			if (failed) await this.#write({ failed: 0, failedAt: null });
			return { here: await this.#asHeld(before, by), there: await this.#asHeld(next, move?.by) };
		} catch (error) {
			if (error instanceof WrongPassphrase) await this.#write({ failed: failed + 1, failedAt: this.#now() });
			throw error;
		}
	}
	async #asHeld(key: CryptoKey | null | undefined, opener: Opener | null | undefined): Promise<Hold> {
		if (!key || !opener) return PLAIN;
		// Rows of an earlier form have names as they were.
		const names = opener.names.data.length ? await openNames(key, opener.names) : null;
		return { kind: 'open', key, names };
	}

	/**
	 * Opens the records for this window; what a closed browser broke off is gone on with first. Where that is not possible, they
	 * are open as they lie, and it is thrown why. @throws {TooEarly} {WrongPassphrase} {RowsDamaged} what the database throws
	 */
	async open(passphrase: string, moving: Moving = {}): Promise<void> {
		const { here, there } = await this.#holds(passphrase);
		if (!this.unfinished) return this.#hold(here);
		try {
			await this.#alone(async () => {
				if (this.#earlier) await this.#moveIn(here, this.row!.by!.wrapped, passphrase, moving);
				else await this.#goOn(here, there, moving);
			});
			this.#hold(there.kind === 'none' && this.row?.by ? (await this.#holds(passphrase)).here : there);
		} catch (error) {
			this.#hold(here);
			throw error;
		}
	}

	/** What opens a new lock: nothing is stored. */
	async prepare(passphrase: string): Promise<Prepared> {
		const key = await newKey();
		return {
			opener: { wrapped: await wrapKey(key, passphrase, this.options.rounds ?? ROUNDS), names: await newNames(key) }
		};
	}
	async #preparedHold({ opener }: Prepared, passphrase: string): Promise<Hold> {
		return this.#asHeld(await unwrapKey(opener.wrapped, passphrase), opener);
	}
	#here = (): Place => ({ name: this.database, hold: this.vault.hold });
	/** Makes a sealed copy of all records. @returns how many rows it has */
	async copy(prepared: Prepared, passphrase: string, onrows?: OnRows): Promise<number> {
		const hold = await this.#preparedHold(prepared, passphrase);
		return this.#alone(async () => (await moves()).sealedCopy(this.#here(), hold, onrows));
	}
	/** Opens the copy as the lock will be opened. @throws {WrongPassphrase} */
	async tryCopy(prepared: Prepared, passphrase: string, onrows?: OnRows): Promise<Tried> {
		const hold = await this.#preparedHold(prepared, passphrase);
		return (await moves()).tryCopy(this.#here(), hold, onrows);
	}
	dropCopy = async (): Promise<void> => (await moves()).dropCopy(this.database);

	/** @throws {NoRoom} */
	async #mustFit(): Promise<void> {
		const { usage, quota } = (await globalThis.navigator?.storage?.estimate?.()) ?? {};
		if (usage === undefined || quota === undefined) return;
		const needed = 1.2 * usage + (await noise()).NOISE_BYTES;
		if (quota - usage < needed) throw new NoRoom(needed, quota - usage);
	}

	/**
	 * Puts the lock on: what opens it is stored, read back and opened, then every record is sealed into a database of its own,
	 * and the one before is deleted.
	 * @throws {WrongPassphrase} {LockThere} {AtWorkElsewhere} {NoRoom} {RowsDamaged} what the database throws: it then goes on when it is opened
	 */
	putOn = (
		{ opener }: Prepared,
		passphrase: string,
		idleMinutes: LockRow['idleMinutes'],
		moving: Moving = {}
	): Promise<readonly RecordDamaged[]> =>
		this.#alone(async () => {
			await this.#mustFit();
			if ((await readLock(this.base)).row) throw new LockThere();
			const to = await nextName(this.base);
			const use = { id: this.base, since: this.#now(), idleMinutes, failed: 0, failedAt: null };
			const move = { to, by: opener, keys: null, leaveOut: moving.leaveOut ?? false };
			this.row = { ...use, format: 2, revision: 1, database: this.base, by: null, move, trash: [] };
			try {
				await writeLock(this.row, true);
			} catch (error) {
				this.row = null;
				throw error;
			}
			// No record is touched before what was stored opens.
			const { here, there } = await this.#holds(passphrase);
			return this.#goOn(here, there, moving);
		});

	/** A lock of an earlier version: its records get a database of their own, sealed in the form of today. */
	async #moveIn(here: Hold, wrapped: WrappedKey, passphrase: string, moving: Moving): Promise<void> {
		const key = await unwrapKey(wrapped, passphrase);
		const by = { wrapped, names: await newNames(key) };
		const to = await nextName(this.base);
		await this.#write({ move: { to, by, keys: null, leaveOut: moving.leaveOut ?? false } });
		this.#earlier = null;
		await this.#goOn(here, await this.#asHeld(key, by), moving);
	}

	/** Takes all records to where they are to be, and deletes what they leave. */
	async #goOn(here: Hold, there: Hold, moving: Moving): Promise<readonly RecordDamaged[]> {
		const { move, database } = this.row!;
		const { makeDb } = await import('../db');
		const target = makeDb(move!.to);
		await target.open();
		target.close();
		const leaveOut = moving.leaveOut ?? move!.leaveOut;
		// Now that it is there, it holds the lock too.
		await this.#write({ move: { ...move!, leaveOut } });
		const { moveStore } = await moves();
		const left = await moveStore(
			{ name: database, hold: here },
			{ name: move!.to, hold: there },
			{ onrows: moving.onrows, leaveOut }
		);
		await this.#write({ database: move!.to, by: move!.by, move: null, trash: [database] });
		this.vault.hold = there;
		await this.#clear(moving.onclear);
		return left;
	}
	/** Deletes databases that hold nothing any more, and what is left of them on the disk; a lock that opens nothing goes too. */
	async #clear(onclear?: (round: number, of: number) => void): Promise<void> {
		for (const name of this.row!.trash) await Dexie.delete(name);
		await this.writeOver(onclear);
		if (this.row!.by) return this.#write({ trash: [] });
		await deleteLock(this.base);
		this.row = null;
	}
	/** Takes away what an earlier sitting left: databases that hold nothing any more, a copy on which a lock was tried. */
	async tidy(): Promise<void> {
		const there = await databases();
		if (there.includes(copyOf(this.base)))
			await this.#alone(() => Dexie.delete(copyOf(this.base))).catch((error: unknown) => {
				// Another window is trying one.
				if (!(error instanceof AtWorkElsewhere)) throw error;
			});
		if (this.row?.trash.length && !this.row.move) await this.#alone(() => this.#clear());
	}

	/** @throws {TooEarly} {WrongPassphrase} {NoRoom} what would keep a move from beginning */
	async mayMove(passphrase: string): Promise<void> {
		await this.#holds(passphrase);
		await this.#mustFit();
	}

	/**
	 * Another passphrase is another key: what was sealed by the one before is sealed anew, and deleted.
	 * @throws {TooEarly} {WrongPassphrase} {AtWorkElsewhere} {NoRoom} {RowsDamaged} what the database throws: it then goes on when it is opened
	 */
	change = (from: string, to: string, moving: Moving = {}): Promise<readonly RecordDamaged[]> =>
		this.#alone(async () => {
			const { here } = await this.#holds(from, true);
			await this.#mustFit();
			const { opener } = await this.prepare(to);
			const next = await unwrapKey(opener.wrapped, to, true);
			if (here.kind !== 'open' || this.row!.move) throw new Error('the records are on their way already');
			const keys = { next: await sealKey(next, here.key), before: await sealKey(here.key, next) };
			const name = await nextName(this.base);
			await this.#write({ move: { to: name, by: opener, keys, leaveOut: moving.leaveOut ?? false } });
			return this.#goOn(here, await this.#asHeld(next, opener), moving);
		});
	setIdle = (idleMinutes: LockRow['idleMinutes']): Promise<void> => this.#write({ idleMinutes });

	/**
	 * Takes the lock off: every record is taken back into the practice’s own database, plain, and then what was sealed goes.
	 * @throws {TooEarly} {WrongPassphrase} {AtWorkElsewhere} {NoRoom} {RowsDamaged}
	 */
	takeOff = (passphrase: string, moving: Moving = {}): Promise<readonly RecordDamaged[]> =>
		this.#alone(async () => {
			const { here } = await this.#holds(passphrase);
			await this.#mustFit();
			await this.#write({ move: { to: this.base, by: null, keys: null, leaveOut: moving.leaveOut ?? false } });
			const left = await this.#goOn(here, PLAIN, moving);
			this.#hold(PLAIN);
			return left;
		});

	/** Nothing of what was deleted stays in the files of the browser. */
	async writeOver(onclear?: (round: number, of: number) => void): Promise<void> {
		await (await noise()).writeNoise(onclear, this.options.noiseRounds);
	}

	/** Every database of the practice goes, with its lock and the copy on which it was tried. */
	async forget(): Promise<void> {
		for (const name of await databases())
			if ([this.base, copyOf(this.base)].includes(name) || name.startsWith(`${this.base}~`)) await Dexie.delete(name);
		await deleteLock(this.base);
		this.row = null;
		this.lost = false;
		await this.writeOver();
		this.#hold(PLAIN);
	}
}

/** An earlier lock as one of today: its rows lie where they lay, with names as they were. */
function asNow({ id, since, idleMinutes, failed, failedAt, wrapped }: EarlierLock): LockRow {
	const none = { iv: new Uint8Array(), data: new Uint8Array() };
	const by = { wrapped, names: none };
	return { id, since, idleMinutes, failed, failedAt, format: 2, revision: 1, database: id, by, move: null, trash: [] };
}
