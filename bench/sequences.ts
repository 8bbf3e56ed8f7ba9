import { stepsOf } from '../src/lib/core/sequence/walk';
import type { Sequence } from '../src/lib/core/sequence/sequence.schema';
import { demoSequences } from '../src/lib/demo/sequences';

/** The demo's six sequences, one after the other, cut to a number of steps. */
export function sequenceOfSteps(count: number): Sequence {
	const all = demoSequences('2026-01-01T00:00:00.000Z');
	const steps = Array.from({ length: Math.ceil(count / 100) }, (_, round) =>
		all.flatMap((s) => stepsOf(s)).map(({ step }, i) => ({ ...step, id: `s${round}-${i}` }))
	)
		.flat()
		.slice(0, count);
	const blocks = [{ id: 'b', title: '', sides: 'asSteps' as const, steps }];
	return {
		...all[0]!,
		budgetSeconds: 4 * 3600,
		phases: [{ id: 'p', title: 'All', exitAfter: false, blocks }]
	};
}
