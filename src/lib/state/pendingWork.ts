/** What is being stored at the moment, whoever stores it: before a window forgets all it knows, all of it is waited for. */
const running = new Set<Promise<unknown>>();

/** Counts work on the store among what is waited for. */
export function pending<T>(work: Promise<T>): Promise<T> {
	running.add(work);
	const over = () => running.delete(work);
	work.then(over, over);
	return work;
}
/** Whether something is being stored. */
export const isPending = (): boolean => running.size > 0;

/** Resolves when nothing is being stored any more, whatever became of it; what begins meanwhile is waited for too. */
export async function allStored(): Promise<void> {
	while (running.size) await Promise.allSettled([...running]);
}
