import { parentPort } from 'node:worker_threads';
import { JOBS, type JobName } from './jobs';

/** What runs in a thread of the pool: one question, one answer. */
parentPort?.on('message', ({ name, bytes, flag }: { name: JobName; bytes: Uint8Array; flag: Int32Array }) => {
	try {
		const value = JOBS[name].run(bytes, () => Atomics.load(flag, 0) === 1);
		parentPort!.postMessage({ ok: true, value }, [value.body.buffer]);
	} catch (error) {
		const { name: kind, message } = error instanceof Error ? error : new Error(String(error));
		parentPort!.postMessage({ ok: false, name: kind, message });
	}
});
