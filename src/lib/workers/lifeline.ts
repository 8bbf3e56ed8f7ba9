import * as Comlink from 'comlink';

/** A worker that ended by itself, whatever the reason. */
export class WorkerDied extends Error {
	override name = 'WorkerDied';
	constructor() {
		super('The part that computes the tide stopped by itself. It is started again with the next question.');
	}
}

/** Passes on what a worker tells while it works. */
type WhileAsked = <A>(hear: (said: A) => void) => ((said: A) => void) & Comlink.ProxyMarked;

/**
 * Owns the life of one worker: it is made when it is first asked, and made anew after it died. Whoever waited for an
 * answer of one that died is told.
 */
export class Lifeline<T> {
	#worker: Worker | null = null;
	#remote: Comlink.Remote<T> | null = null;
	readonly #waiting = new Set<(reason: Error) => void>();
	/** How often it died. */
	deaths = 0;

	/** @param make opens a worker; given, so that tests can open another kind */
	constructor(private readonly make: () => Worker) {}

	/**
	 * What is told on the way comes by a line of its own and may be later than the answer: then it is not heard any more.
	 * @throws {WorkerDied} if the worker ends before it answers
	 */
	async ask<R>(question: (remote: Comlink.Remote<T>, whileAsked: WhileAsked) => Promise<R>): Promise<R> {
		const remote = this.#open();
		let answered = false;
		const whileAsked: WhileAsked = (hear) =>
			Comlink.proxy((said) => {
				if (!answered) hear(said);
			});
		let fail: (reason: Error) => void = () => {};
		const died = new Promise<never>((_, reject) => this.#waiting.add((fail = reject)));
		try {
			return await Promise.race([question(remote, whileAsked), died]);
		} finally {
			answered = true;
			this.#waiting.delete(fail);
		}
	}

	/** Ends it; the next question opens another one. */
	close(): void {
		this.#worker?.terminate();
		this.#worker = this.#remote = null;
		for (const fail of this.#waiting) fail(new WorkerDied());
	}

	#open(): Comlink.Remote<T> {
		if (this.#remote) return this.#remote;
		const worker = this.make();
		worker.addEventListener('error', (e) => {
			e.preventDefault?.();
			if (this.#worker !== worker) return;
			this.deaths++;
			this.close();
		});
		this.#worker = worker;
		return (this.#remote = Comlink.wrap<T>(worker));
	}
}
