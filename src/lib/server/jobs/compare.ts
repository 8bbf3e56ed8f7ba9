import { planOfSequence } from '../../core/flow/compile';
import type { ComparisonInput, ComparisonResult } from '../../core/flow/comparison.schema';
import { PairedRun } from '../../core/flow/paired';
import { resultOf } from '../../core/flow/verdict';
import { SHARE_SAYS } from '../../core/flow/words';
import { CORE_VERSION } from '../../core/version';

export interface CompareAnswer {
	readonly core: string;
	readonly says: string;
	readonly titles: readonly string[];
	readonly seed: number;
	readonly result: ComparisonResult;
}

/** Runs sequences over many draws. */
export function compare(input: ComparisonInput): CompareAnswer {
	const context = { working: input.working };
	const run = new PairedRun({
		...input,
		programmes: input.sequences.map((s) => planOfSequence(s, context).programme)
	});
	run.advance(input.draws);
	return {
		core: CORE_VERSION,
		says: SHARE_SAYS,
		titles: input.sequences.map((s) => s.title),
		seed: input.seed,
		result: resultOf(run.figures)
	};
}
