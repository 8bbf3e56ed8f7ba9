import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import code from 'virtual:job-worker';
import type { Answer } from './answer';
import { JOBS, type JobName, type Manner } from './jobs';

export interface PoolLimits {
	/** Threads at most. */
	readonly size: number;
	/** Longest time for one answer, and longest wait for a thread, ms. */
	readonly answerMs: number;
	readonly waitMs: number;
	/** Most questions that wait. */
	readonly waiting: number;
	/** Most memory of a thread, MB. */
	readonly memoryMb: number;
}
const THREADS = Math.max(1, Math.min(4, availableParallelism() - 1));
const SHORT: PoolLimits = { size: THREADS, answerMs: 20_000, waitMs: 15_000, waiting: 64, memoryMb: 768 };
const LONG: PoolLimits = { ...SHORT, waiting: 16 };

/** How long a thread may go on with what nobody waits for, ms. */
const GRACE_MS = 2_000;

/** Too many wait, or one has waited too long: worth asking again. */
export class PoolBusy extends Error {
	override name = 'PoolBusy';
}
export class PoolTimeout extends Error {
	override name = 'PoolTimeout';
}
/** Who asked has gone. */
export class Gone extends Error {
	override name = 'Gone';
}

interface Job {
	readonly name: JobName;
	readonly bytes: Uint8Array<ArrayBuffer>;
	readonly manner: Manner;
	readonly signal: AbortSignal | undefined;
	readonly resolve: (answer: Answer) => void;
	readonly reject: (reason: Error) => void;
	/** Ends the wait. */
	leave: () => void;
}

/**
 * A few threads that answer one question each at a time. A thread that takes too long is ended and made anew; one whose
 * question nobody waits for any more is told to stop.
 */
export class JobPool {
	readonly #idle: Worker[] = [];
	#waiting: Job[] = [];
	#threads = 0;

	constructor(private readonly limits: PoolLimits = SHORT) {}

	/**
	 * @param bytes handed over to the thread
	 * @param signal tells when who asked has gone: what waits is dropped, what runs is told to stop
	 * @param manner what is said of the question besides its bytes
	 * @throws {PoolBusy} if too many wait, or this one has waited too long; PoolTimeout; Gone
	 */
	ask(name: JobName, bytes: Uint8Array<ArrayBuffer>, signal?: AbortSignal, manner: Manner = {}): Promise<Answer> {
		const { waiting, waitMs } = this.limits;
		if (signal?.aborted) return Promise.reject(new Gone());
		if (this.#waiting.length >= waiting)
			return Promise.reject(new PoolBusy(`${waiting} questions are waiting already. Ask again in a moment.`));
		return new Promise((resolve, reject) => {
			const job: Job = { name, bytes, manner, signal, resolve, reject, leave: () => {} };
			const drop = (reason: Error) => {
				job.leave();
				this.#waiting = this.#waiting.filter((j) => j !== job);
				reject(reason);
			};
			const timer = setTimeout(
				() => drop(new PoolBusy(`No thread was free within ${waitMs / 1000} s. Ask again in a moment.`)),
				waitMs
			);
			const gone = () => drop(new Gone());
			signal?.addEventListener('abort', gone);
			job.leave = () => {
				clearTimeout(timer);
				signal?.removeEventListener('abort', gone);
			};
			this.#waiting.push(job);
			this.#next();
		});
	}

	/** Ends all threads. */
	async close(): Promise<void> {
		await Promise.all(this.#idle.splice(0).map((w) => w.terminate()));
	}

	#next(): void {
		if (!this.#waiting.length) return;
		const worker = this.#idle.pop() ?? (this.#threads < this.limits.size ? this.#open() : null);
		if (worker) this.#give(worker, this.#waiting.shift()!);
	}

	#open(): Worker {
		this.#threads++;
		return new Worker(code, { eval: true, resourceLimits: { maxOldGenerationSizeMb: this.limits.memoryMb } });
	}

	#give(worker: Worker, { name, bytes, manner, signal, resolve, reject, leave }: Job): void {
		leave();
		const flag = new Int32Array(new SharedArrayBuffer(4));
		const done = (keep: boolean) => {
			clearTimeout(timer);
			signal?.removeEventListener('abort', gone);
			worker.off('message', answered).off('error', failed);
			worker.unref();
			if (keep) this.#idle.push(worker);
			else {
				this.#threads--;
				// It may still fall over while it ends.
				worker.on('error', () => {});
				void worker.terminate();
			}
			this.#next();
		};
		const end = (reason: Error) => {
			done(false);
			reject(reason);
		};
		/** Nobody waits: the thread is told so. It is ended only if it does not stop by itself: a new one costs more. */
		const gone = () => {
			Atomics.store(flag, 0, 1);
			reject(new Gone());
			clearTimeout(timer);
			timer = setTimeout(() => done(false), GRACE_MS);
		};
		let timer = setTimeout(
			() => end(new PoolTimeout(`The answer took longer than ${this.limits.answerMs / 1000} s and was given up.`)),
			this.limits.answerMs
		);
		const answered = (answer: { ok: true; value: Answer } | { ok: false; name: string; message: string }) => {
			done(true);
			if (answer.ok) resolve(answer.value);
			else reject(Object.assign(new Error(answer.message), { name: answer.name }));
		};
		const failed = (error: unknown) => end(error instanceof Error ? error : new Error(String(error)));
		signal?.addEventListener('abort', gone, { once: true });
		worker.on('message', answered).on('error', failed);
		worker.ref();
		worker.postMessage({ name, bytes, manner, flag }, [bytes.buffer]);
	}
}

const pools: Partial<Record<'short' | 'long', JobPool>> = {};
/** The threads of this server for a job. */
export function poolFor(name: JobName): JobPool {
	const { takes } = JOBS[name];
	return (pools[takes] ??= new JobPool(takes === 'long' ? LONG : SHORT));
}
