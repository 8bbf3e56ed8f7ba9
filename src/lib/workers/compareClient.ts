import { stretchesOf } from '../core/flow/paired';
import type { ComparisonInput, ComparisonResult } from '../core/flow/comparison.schema';
import script from './compare.worker.ts?worker&url';
import { openWorker } from './openWorker';
import { Lifeline } from './lifeline';
import type { CompareWorker } from './protocol';

const open = () => openWorker(script, 'flow');

/** One core is left to the page; of two both are taken, for the page waits most of the time. */
const workersHere = (): number => {
	const cores = globalThis.navigator?.hardwareConcurrency ?? 2;
	return cores <= 2 ? cores : cores - 1;
};

/** Compares sequences over many draws in workers, each a stretch of them; one comparison at a time. */
export class CompareClient {
	readonly #lines: readonly Lifeline<CompareWorker>[];

	constructor(make: () => Worker = open, workers = workersHere()) {
		this.#lines = Array.from({ length: workers }, () => new Lifeline<CompareWorker>(make));
	}

	/**
	 * @param progress told how many draws are done
	 * @returns null if it was cancelled
	 * @throws {WorkerDied} if a worker ends before it answers
	 */
	async compare(input: ComparisonInput, progress: (done: number) => void): Promise<ComparisonResult | null> {
		const stretches = stretchesOf(input.draws, this.#lines.length);
		const done = stretches.map(() => 0);
		const running = stretches.map((stretch, i) => {
			const tell = (n: number) => {
				done[i] = n;
				progress(done.reduce((a, b) => a + b, 0));
			};
			return this.#lines[i]!.ask((remote, whileAsked) => remote.run(input, stretch, whileAsked(tell)));
		});
		try {
			const parts = await Promise.all(running);
			const whole = parts.filter((part) => part !== null);
			if (whole.length < parts.length) return null;
			return await this.#lines[0]!.ask((remote) => remote.result(whole));
		} catch (error) {
			// What the others still do is for nothing.
			this.cancel();
			await Promise.allSettled(running);
			throw error;
		}
	}

	cancel(): void {
		for (const line of this.#lines) void line.ask((remote) => remote.cancel()).catch(() => {});
	}

	close(): void {
		for (const line of this.#lines) line.close();
	}
}
