import type { ComparisonInput, ComparisonResult } from '../core/flow/comparison.schema';
import { CompareClient } from '../workers/compareClient';

export type ComparisonSource = Pick<CompareClient, 'compare' | 'cancel' | 'close'>;

/** One comparison at a time: how far it is, what came of it, what went wrong. */
export class ComparisonRun {
	running = $state(false);
	/** Draws that are done. */
	done = $state(0);
	draws = $state(0);
	/** What was asked last and answered. */
	input = $state.raw<ComparisonInput | null>(null);
	result = $state.raw<ComparisonResult | null>(null);
	/** What went wrong, or that it was cancelled, as a sentence. */
	trouble = $state('');

	constructor(private readonly source: ComparisonSource = new CompareClient()) {}

	/** Runs a comparison. One that is cancelled or fails leaves the last answer where it is. */
	async run(input: ComparisonInput): Promise<ComparisonResult | null> {
		if (this.running) return null;
		this.running = true;
		this.done = 0;
		this.draws = input.draws;
		this.trouble = '';
		try {
			const result = await this.source.compare(input, (done) => (this.done = done));
			if (result) {
				this.input = input;
				this.result = result;
			} else this.trouble = `Cancelled after ${this.done} of ${input.draws} faces. Nothing was changed.`;
			return result;
		} catch (error) {
			this.trouble = error instanceof Error ? error.message : String(error);
			return null;
		} finally {
			this.running = false;
		}
	}

	/** Shows an answer that was saved. */
	show(input: ComparisonInput, result: ComparisonResult): void {
		this.input = input;
		this.result = result;
		this.trouble = '';
	}

	cancel(): void {
		if (this.running) this.source.cancel();
	}

	close(): void {
		this.source.close();
	}
}
