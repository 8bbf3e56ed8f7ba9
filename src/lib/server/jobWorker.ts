import { parentPort } from 'node:worker_threads';
import { JOBS, type JobName } from './jobs';

/** What runs in a thread of the pool: one question, one answer. */
parentPort?.on('message', ({ name, input }: { name: JobName; input: never }) => {
	try {
		parentPort!.postMessage({ ok: true, value: JOBS[name](input) });
	} catch (error) {
		const { name: kind, message } = error instanceof Error ? error : new Error(String(error));
		parentPort!.postMessage({ ok: false, name: kind, message });
	}
});
