import { parentPort } from 'node:worker_threads';
import { answerCompare, answerSimulate } from './flowAnswers';

/** What runs in a thread of the pool: one question, one answer. */
parentPort?.on('message', ({ kind, input }: { kind: 'simulate' | 'compare'; input: never }) => {
	try {
		parentPort!.postMessage({ ok: true, value: kind === 'simulate' ? answerSimulate(input) : answerCompare(input) });
	} catch (error) {
		const { name, message } = error instanceof Error ? error : new Error(String(error));
		parentPort!.postMessage({ ok: false, name, message });
	}
});
