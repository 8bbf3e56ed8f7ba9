import { problemOf } from '../store/lock/refusals';
import type { LockRow } from '../store/lock/lockRow';
import { LockWork } from './lockWork.svelte';

/** What is done with a lock that is on: another passphrase, other minutes, off. */
export class LockChange extends LockWork {
	/** What came of it. */
	said = $state('');

	/** Work that may ask for the passphrase. @returns whether it is done */
	async #done(first: string, work: () => Promise<boolean>): Promise<boolean> {
		if (!this.doing) this.said = '';
		const right = await this.run(first, work);
		if (right === false)
			this.problem = `${this.lock.said} ${this.lock.wait > 0 ? `The next try is possible in ${this.lock.wait} s.` : ''}`;
		return right === true;
	}

	async change(from: string, to: string, again: string): Promise<boolean> {
		this.problem = problemOf(to, again);
		if (this.problem) return false;
		return this.#done('Looking whether it can be changed …', () => this.lock.change(from, to));
	}
	takeOff = (passphrase: string): Promise<boolean> =>
		this.#done('Looking whether it can be taken off …', () => this.lock.takeOff(passphrase));
	setIdle = (minutes: LockRow['idleMinutes']): Promise<boolean> =>
		this.#done('', async () => {
			await this.lock.setIdle(minutes);
			return true;
		});
}
