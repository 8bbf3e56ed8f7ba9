import { parentPort } from 'node:worker_threads';
import { JOBS, type JobName } from './jobs';

/** What runs in a thread of the pool: one question, one answer. */
parentPort?.on('message', ({ name, bytes }: { name: JobName; bytes: Uint8Array }) => {
	try {
		const value = JOBS[name].run(bytes);
		parentPort!.postMessage({ ok: true, value }, [value.body.buffer]);
	} catch (error) {
		const { name: kind, message } = error instanceof Error ? error : new Error(String(error));
		parentPort!.postMessage({ ok: false, name: kind, message });
	}
});
