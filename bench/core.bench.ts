import { Bench } from 'tinybench';
import { balanceOf } from '../src/lib/core/sequence/balance';
import { expand } from '../src/lib/core/sequence/expand';
import { timingOf } from '../src/lib/core/sequence/timing';
import { judge } from '../src/lib/core/rules/judge';
import { demoSequences } from '../src/lib/demo/sequences';
import { CONTEXT } from '../src/lib/core/testing';
import { stepsOf } from '../src/lib/core/sequence/walk';
import type { Sequence } from '../src/lib/core/sequence/sequence.schema';

/** The demo's six sequences, one after the other, cut to a number of steps. */
function sequenceOfSteps(count: number): Sequence {
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

const bench = new Bench({ time: 1500, warmupTime: 1500 });
/** How fast the machine is just now: dependent multiply-adds, beside which every other figure is read. */
let calibrated = 1;
bench.add('calibration: 100,000 multiply-adds', () => {
	for (let i = 0; i < 100_000; i++) calibrated = calibrated * 1.0000001 + 1e-9;
});
for (const count of [60, 120, 500, 2000]) {
	const sequence = sequenceOfSteps(count);
	const events = expand(sequence, CONTEXT);
	bench
		.add(`${count} steps: expand`, () => void expand(sequence, CONTEXT))
		.add(`${count} steps: timing (three expansions)`, () => void timingOf(sequence, CONTEXT))
		.add(`${count} steps: balance`, () => void balanceOf(events, CONTEXT.working))
		.add(`${count} steps: expand + timing + balance + all rules`, () => void judge(sequence, CONTEXT));
}
await bench.run();
console.table(
	bench.tasks.map((task) => {
		const { result } = task;
		const stats = 'latency' in result ? result.latency : null;
		return { task: task.name, 'median ms': stats?.p50?.toFixed(3), 'p99 ms': stats?.p99?.toFixed(3) };
	})
);
