import Dexie from 'dexie';

/** What `Dexie.waitFor` asks of the transaction at hand; it is not in Dexie's types. */
export interface Waiting {
	waitFor<T>(promise: PromiseLike<T>): PromiseLike<T>;
}
/** The transaction at hand; null outside of one. */
export const atHand = (): Waiting | null => Dexie.currentTransaction as unknown as Waiting | null;

/**
 * Waits for what is no part of the database without letting a transaction end.
 * @param transaction the one at hand; given where it is entered from outside, as a cursor is
 */
export function within<T>(work: () => Promise<T>, transaction: Waiting | null = atHand()): Promise<T> {
	const started = Dexie.Promise.resolve(Dexie.ignoreTransaction(work));
	return (transaction ? transaction.waitFor(started) : started) as unknown as Promise<T>;
}
