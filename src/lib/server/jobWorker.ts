import { parentPort } from 'node:worker_threads';
import { JOBS, type JobName, type Manner } from './jobs';

/** A question, as it crosses into the thread. */
interface Question {
	readonly name: JobName;
	readonly bytes: Uint8Array;
	readonly manner: Manner;
	readonly flag: Int32Array;
}

/** What runs in a thread of the pool: one question, one answer. */
parentPort?.on('message', ({ name, bytes, manner, flag }: Question) => {
	try {
		const value = JOBS[name].run(bytes, () => Atomics.load(flag, 0) === 1, manner);
		parentPort!.postMessage({ ok: true, value }, [value.body.buffer]);
	} catch (error) {
		const { name: kind, message } = error instanceof Error ? error : new Error(String(error));
		parentPort!.postMessage({ ok: false, name: kind, message });
	}
});
