import { MIN_PASSPHRASE, problemOf } from '../store/lock/refusals';
import { IDLE_MINUTES } from '../store/lock/lockRow';
import type { Prepared } from '../store/lock/lock';
import type { Tried } from '../store/lock/moving';
import { LockWork } from './lockWork.svelte';

export { IDLE_MINUTES, MIN_PASSPHRASE };

/** The way to a lock: it is read what it means, a passphrase is set, it is tried on a copy, and only then put on. */
export class LockSetup extends LockWork {
	understood = $state(false);
	passphrase = $state('');
	again = $state('');
	idleMinutes = $state<(typeof IDLE_MINUTES)[number]>(10);
	/** How many records lie sealed in the copy; null before there is one. */
	copied = $state<number | null>(null);
	/** What came of opening the copy. */
	tried = $state.raw<Tried | null>(null);
	/** The copy was opened, and every record of it is as it was. */
	proven = $derived.by(() => this.tried !== null && this.tried.lost === 0);
	#prepared: Prepared | null = null;

	/** Another passphrase is another lock: what was tried with the one before is forgotten. */
	retype(field: 'passphrase' | 'again', typed: string): void {
		this[field] = typed;
		if (this.copied !== null) void this.lock.lock.dropCopy();
		[this.copied, this.tried, this.#prepared, this.problem] = [null, null, null, ''];
	}

	/** Seals a copy of everything. */
	makeCopy = async (): Promise<void> => {
		this.problem = problemOf(this.passphrase, this.again);
		if (this.problem) return;
		await this.run('Making the key …', async () => {
			this.#prepared = await this.lock.lock.prepare(this.passphrase);
			this.tried = null;
			this.copied = await this.lock.lock.copy(this.#prepared, this.passphrase, this.counted('Sealed in the copy'));
		});
	};
	/** Opens the copy by what is typed from memory. */
	tryCopy = (typed: string): Promise<unknown> =>
		this.run('Opening the copy …', async () => {
			if (!this.#prepared) return;
			this.tried = null;
			this.tried = await this.lock.lock.tryCopy(this.#prepared, typed, this.counted('Opened in the copy'));
		});
	/** Locks the records themselves, by the passphrase that opened the copy. */
	putOn = (): Promise<unknown> =>
		this.run('Sealing …', async () => {
			if (!this.#prepared || !this.proven) return;
			await this.lock.lock.dropCopy();
			this.copied = null;
			await this.lock.putOn(this.#prepared, this.passphrase, this.idleMinutes);
		});
	/** The page is left: no copy stays behind. */
	leave = (): void => {
		if (this.copied !== null) void this.lock.lock.dropCopy().catch(() => {});
	};
}
