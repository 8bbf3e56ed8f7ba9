import * as Comlink from 'comlink';
import type { ComparisonInput, ComparisonResult } from '../core/flow/comparison.schema';
import script from './compare.worker.ts?worker&url';
import { openWorker } from './openWorker';
import { Lifeline } from './lifeline';
import type { CompareWorker } from './protocol';

const open = () => openWorker(script);

/** Compares sequences over many draws in a worker, one comparison at a time. */
export class CompareClient {
	readonly #line: Lifeline<CompareWorker>;

	constructor(make: () => Worker = open) {
		this.#line = new Lifeline(make);
	}

	/**
	 * @param progress told how many draws are done
	 * @returns null if it was cancelled
	 * @throws {WorkerDied} if the worker ends before it answers
	 */
	async compare(input: ComparisonInput, progress: (done: number) => void): Promise<ComparisonResult | null> {
		const answer = await this.#line.ask((remote) => remote.compare(input, Comlink.proxy(progress)));
		return answer as ComparisonResult | null;
	}

	cancel(): void {
		void this.#line.ask((remote) => remote.cancel()).catch(() => {});
	}

	close(): void {
		this.#line.close();
	}
}
