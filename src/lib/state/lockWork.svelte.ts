import { storageTrouble } from '../store/plainWords';
import type { LockState } from './lock.svelte';

/** Work on the lock that takes a while: one at a time, said as it goes; meanwhile the records do not lock by themselves. */
export class LockWork {
	/** What is being done, and how far it is; empty at rest. */
	doing = $state('');
	problem = $state('');

	constructor(protected readonly lock: LockState) {}

	/** Counts records into what is being done. */
	protected counted(words: string): (count: number) => void {
		let done = 0;
		return (count) => (this.doing = `${words}: ${(done += count).toLocaleString('en')} records …`);
	}
	/** @returns what came of it; null where something went wrong, which is said, or where other work is not done yet */
	protected async run<T>(first: string, work: () => Promise<T>): Promise<T | null> {
		if (this.doing) return null;
		[this.problem, this.doing] = ['', first];
		const release = this.lock.keepOpen();
		try {
			return await work();
		} catch (error) {
			this.problem = storageTrouble(error);
			return null;
		} finally {
			release();
			this.doing = '';
		}
	}
}
