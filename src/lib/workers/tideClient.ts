import type { Tide } from '../core/flow/tide';
import type { AllWorth, StepWorth } from '../core/flow/worth';
import script from './tide.worker.ts?worker&url';
import { openWorker } from './openWorker';
import { Lifeline } from './lifeline';
import type { TideRequest, TideWorker } from './protocol';

const open = () => openWorker(script, 'flow');

/** Runs sequences in a worker. While one runs, only the latest of those that come is kept: it is the one that counts. */
export class TideClient {
	readonly #line: Lifeline<TideWorker>;
	#running = false;
	#next: { request: TideRequest; answer: (tide: Tide | null) => void; fail: (error: unknown) => void } | null = null;

	constructor(make: () => Worker = open) {
		this.#line = new Lifeline(make);
	}

	/**
	 * @returns null if a later request took its place
	 * @throws {WorkerDied} if the worker ends before it answers; RangeError as `tideOf`
	 */
	tide(request: TideRequest): Promise<Tide | null> {
		this.#next?.answer(null);
		const result = new Promise<Tide | null>((answer, fail) => (this.#next = { request, answer, fail }));
		void this.#work();
		return result;
	}

	/** How often the worker has died by itself. */
	get deaths(): number {
		return this.#line.deaths;
	}

	/** What every step is worth in the sequence that was run last; null once another one is run. */
	allWorth(progress: (done: number) => void): Promise<AllWorth | null> {
		return this.#line.ask((remote, whileAsked) => remote.allWorth(whileAsked(progress)));
	}

	/** What a step is worth in the sequence that was run last. */
	worth(stepId: string): Promise<StepWorth | null> {
		return this.#line.ask((remote) => remote.worth(stepId));
	}

	close(): void {
		this.#line.close();
	}

	async #work(): Promise<void> {
		if (this.#running) return;
		this.#running = true;
		while (this.#next) {
			const { request, answer, fail } = this.#next;
			this.#next = null;
			try {
				answer((await this.#line.ask((remote) => remote.tide(request))) as Tide);
			} catch (error) {
				fail(error);
			}
		}
		this.#running = false;
	}
}
