import { deleteLock, readLock, stillToWait, writeLock, type LockRow } from './lockRow';
import { newKey, ROUNDS, unwrapKey, wrapKey, WrongPassphrase, type WrappedKey } from './sealing';
import type { OnRows, Tried } from './sealStore';
import type { Vault } from './vault';

/** Fewest signs of a passphrase. Working value: what is guessed is guessed on a copy of the disk, where nothing is slow but the derivation. */
export const MIN_PASSPHRASE = 10;

/** Told before anything is done: what is wrong with a passphrase that is to be set; empty where nothing is. */
export function problemOf(passphrase: string, again: string): string {
	if (passphrase.length < MIN_PASSPHRASE)
		return `The passphrase has ${passphrase.length} signs; use at least ${MIN_PASSPHRASE}. Four or five words are easy to keep in mind.`;
	if (new Set(passphrase).size < 4) return 'The passphrase repeats the same few signs. Use several words.';
	if (passphrase !== again) return 'The two are not the same. Type the second one again.';
	return '';
}

/** It is too early for another try. */
export class TooEarly extends Error {
	override name = 'TooEarly';
	constructor(readonly seconds: number) {
		super(`Wait ${seconds} s before the next try.`);
	}
}

/** Sealing is fetched by those who seal. */
const seals = () => import('./sealStore');

/** The lock of one database, as this window knows it. Nothing here draws or waits for anybody. */
export class Lock {
	row: LockRow | null = null;
	/** @param rounds fewer in tests only */
	constructor(
		readonly database: string,
		readonly vault: Vault,
		private readonly clock: () => Date,
		private readonly onchange: () => void,
		private readonly rounds = ROUNDS
	) {}

	#now = (): string => this.clock().toISOString();
	#hold(hold: Vault['hold']): void {
		this.vault.hold = hold;
		this.onchange();
	}
	async #write(row: LockRow): Promise<void> {
		await writeLock(row);
		this.row = row;
		this.onchange();
	}

	/** Looks whether there is a lock. Where there is one and no key is known, the records are shut from here on. */
	async look(): Promise<LockRow | null> {
		this.row = await readLock(this.database);
		if (!this.row) this.vault.hold = { kind: 'none' };
		else if (this.vault.hold.kind !== 'open') this.vault.hold = { kind: 'shut' };
		return this.row;
	}

	/** The key, by a passphrase. A wrong one is written down before it is said, so that a new window does not begin at nought. @throws {TooEarly} {WrongPassphrase} */
	async #keyBy(passphrase: string, toWrap = false): Promise<CryptoKey> {
		const row = await this.look();
		if (!row) throw new Error('there is no lock');
		const wait = stillToWait(row, this.clock());
		if (wait > 0) throw new TooEarly(wait);
		try {
			const key = await unwrapKey(row.wrapped, passphrase, toWrap);
			if (row.failed) await this.#write({ ...row, failed: 0, failedAt: null });
			return key;
		} catch (error) {
			if (error instanceof WrongPassphrase)
				await this.#write({ ...row, failed: row.failed + 1, failedAt: this.#now() });
			throw error;
		}
	}

	/** Opens the records for this window. @throws {TooEarly} {WrongPassphrase} */
	async open(passphrase: string): Promise<void> {
		const key = await this.#keyBy(passphrase);
		this.#hold({ kind: 'open', key, seals: this.row?.state !== 'unsealing' });
	}
	/** Goes on with what a closed browser broke off; nothing where nothing was. */
	async resume(onrows?: OnRows): Promise<void> {
		if (this.row?.state === 'sealing') await this.#seal(onrows);
		if (this.row?.state === 'unsealing') await this.#unseal(onrows);
	}

	/** A key for a new lock, and what opens it: nothing is stored. */
	async prepare(passphrase: string): Promise<WrappedKey> {
		return wrapKey(await newKey(), passphrase, this.rounds);
	}
	/** Makes a sealed copy of all records. @returns how many rows it has */
	async copy(wrapped: WrappedKey, passphrase: string, onrows?: OnRows): Promise<number> {
		return (await seals()).sealedCopy(this.database, await unwrapKey(wrapped, passphrase), onrows);
	}
	/** Opens the copy as the lock will be opened. @throws {WrongPassphrase} */
	async tryCopy(wrapped: WrappedKey, passphrase: string, onrows?: OnRows): Promise<Tried> {
		return (await seals()).tryCopy(this.database, await unwrapKey(wrapped, passphrase), onrows);
	}
	dropCopy = async (): Promise<void> => (await seals()).dropCopy(this.database);

	/** Puts the lock on: first what opens it is stored, then every record is sealed. @throws {WrongPassphrase} what the database throws: it then goes on at the next call */
	async putOn(
		wrapped: WrappedKey,
		passphrase: string,
		idleMinutes: LockRow['idleMinutes'],
		onrows?: OnRows
	): Promise<void> {
		const key = await unwrapKey(wrapped, passphrase);
		const since = this.#now();
		await this.#write({ id: this.database, state: 'sealing', wrapped, since, idleMinutes, failed: 0, failedAt: null });
		this.#hold({ kind: 'open', key, seals: true });
		await this.#seal(onrows);
	}
	async #seal(onrows?: OnRows): Promise<void> {
		await (await seals()).sealStore(this.database, this.vault.key, onrows);
		await this.#write({ ...this.row!, state: 'sealed' });
	}

	/** Another passphrase: the key stays, so that no record is touched. @throws {TooEarly} {WrongPassphrase} */
	async change(from: string, to: string): Promise<void> {
		const key = await this.#keyBy(from, true);
		await this.#write({ ...this.row!, wrapped: await wrapKey(key, to, this.rounds) });
	}
	setIdle = (idleMinutes: LockRow['idleMinutes']): Promise<void> => this.#write({ ...this.row!, idleMinutes });

	/** Takes the lock off: every record is made plain, and only then what opened it goes. @throws {TooEarly} {WrongPassphrase} */
	async takeOff(passphrase: string, onrows?: OnRows): Promise<void> {
		const key = await this.#keyBy(passphrase);
		await this.#write({ ...this.row!, state: 'unsealing' });
		this.#hold({ kind: 'open', key, seals: false });
		await this.#unseal(onrows);
	}
	async #unseal(onrows?: OnRows): Promise<void> {
		await (await seals()).openStore(this.database, this.vault.key, onrows);
		await this.forget();
	}
	/** The lock goes without a look at the records: where they were emptied, or are to be. */
	async forget(): Promise<void> {
		await deleteLock(this.database);
		this.row = null;
		this.#hold({ kind: 'none' });
	}
}
