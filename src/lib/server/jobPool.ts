import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import code from 'virtual:job-worker';
import type { JobAnswer, JobInput, JobName } from './jobs';

/** Longest time for one question, and most questions that wait for a thread. */
const TIME_LIMIT_MS = 20_000;
const MAX_WAITING = 16;

export class PoolBusy extends Error {
	override name = 'PoolBusy';
}
export class PoolTimeout extends Error {
	override name = 'PoolTimeout';
}

interface Job {
	readonly message: { name: JobName; input: unknown };
	readonly resolve: (value: never) => void;
	readonly reject: (reason: Error) => void;
}

/** A few threads that answer one question each at a time. A thread that takes too long is ended and made anew. */
export class JobPool {
	readonly #idle: Worker[] = [];
	readonly #waiting: Job[] = [];
	#threads = 0;

	/**
	 * @param size threads at most
	 * @param timeLimitMs longest time for one answer
	 */
	constructor(
		private readonly size = Math.max(1, Math.min(4, availableParallelism() - 1)),
		private readonly timeLimitMs = TIME_LIMIT_MS
	) {}

	/** @throws {PoolBusy} if too many wait; PoolTimeout; RangeError as the core throws it */
	ask<N extends JobName>(name: N, input: JobInput<N>): Promise<JobAnswer<N>> {
		if (this.#waiting.length >= MAX_WAITING)
			return Promise.reject(new PoolBusy(`${MAX_WAITING} questions are waiting already. Ask again in a moment.`));
		return new Promise((resolve, reject) => {
			this.#waiting.push({ message: { name, input }, resolve: resolve as (value: never) => void, reject });
			this.#next();
		});
	}

	/** Ends all threads. */
	async close(): Promise<void> {
		await Promise.all(this.#idle.splice(0).map((w) => w.terminate()));
	}

	#next(): void {
		if (!this.#waiting.length) return;
		const worker = this.#idle.pop() ?? (this.#threads < this.size ? this.#open() : null);
		if (worker) this.#give(worker, this.#waiting.shift()!);
	}

	#open(): Worker {
		this.#threads++;
		return new Worker(code, { eval: true });
	}

	#give(worker: Worker, { message, resolve, reject }: Job): void {
		const done = (keep: boolean) => {
			clearTimeout(timer);
			worker.off('message', answered).off('error', failed);
			worker.unref();
			if (keep) this.#idle.push(worker);
			else {
				this.#threads--;
				void worker.terminate();
			}
			this.#next();
		};
		const timer = setTimeout(() => {
			done(false);
			reject(new PoolTimeout(`The answer took longer than ${this.timeLimitMs / 1000} s and was given up.`));
		}, this.timeLimitMs);
		const answered = (answer: { ok: boolean; value: never; name: string; message: string }) => {
			done(true);
			if (answer.ok) resolve(answer.value);
			else reject(Object.assign(new Error(answer.message), { name: answer.name }));
		};
		const failed = (error: unknown) => {
			done(false);
			reject(error instanceof Error ? error : new Error(String(error)));
		};
		worker.on('message', answered).on('error', failed);
		worker.ref();
		worker.postMessage(message);
	}
}

let shared: JobPool | undefined;
/** The pool of this server. */
export const jobPool = (): JobPool => (shared ??= new JobPool());
