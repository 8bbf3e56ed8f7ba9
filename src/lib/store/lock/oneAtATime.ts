/** Another window of this browser is at the same work. */
export class AtWorkElsewhere extends Error {
	override name = 'AtWorkElsewhere';
	constructor() {
		super('Another window of this browser is working on the lock. Wait until it is done, then reload this page.');
	}
}

/** Where a browser has no locks between windows, there is at least one within this one. */
const here = new Set<string>();

/** Does work that no other window may do meanwhile. @throws {AtWorkElsewhere} if one does */
export async function oneAtATime<T>(name: string, work: () => Promise<T>): Promise<T> {
	const locks = globalThis.navigator?.locks as LockManager | undefined;
	if (locks)
		return (await locks.request(name, { ifAvailable: true }, (lock) => {
			if (!lock) throw new AtWorkElsewhere();
			return work();
		})) as T;
	if (here.has(name)) throw new AtWorkElsewhere();
	here.add(name);
	try {
		return await work();
	} finally {
		here.delete(name);
	}
}
