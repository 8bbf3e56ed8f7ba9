import { planOfSequence } from '../src/lib/core/flow/compile';
import { FlowEngine } from '../src/lib/core/flow/engine';
import { faceNetwork } from '../src/lib/core/flow/network';
import { PairedRun } from '../src/lib/core/flow/paired';
import { DEFAULT_FLOW } from '../src/lib/core/flow/parameterTable';
import { programmeSeconds, type Programme } from '../src/lib/core/flow/programme';
import { gradesOfStart } from '../src/lib/core/flow/starts';
import { tideOf } from '../src/lib/core/flow/tide';
import { resultOf } from '../src/lib/core/flow/verdict';
import { WorthRun } from '../src/lib/core/flow/worth';
import { CONTEXT } from '../src/lib/core/testing';
import { sequenceOfSteps } from './sequences';

// The flow model against its budgets. Every figure stands beside the calibration of the same run: indexed multiply-adds.
const median = (list: number[]): number => list.sort((a, b) => a - b)[list.length >> 1]!;
function measure(name: string, times: number, work: () => void): void {
	for (let i = 0; i < Math.min(times, 60); i++) work();
	const each = Array.from({ length: times }, () => {
		const begun = performance.now();
		work();
		return performance.now() - begun;
	});
	const best = Math.min(...each);
	rows.push({ task: name, 'best ms': best.toFixed(3), 'median ms': median(each).toFixed(3) });
}
const rows: Record<string, string>[] = [];

const table = new Float64Array(1024).map((_, i) => i * 1e-6);
let sum = 0;
function multiplyAdds(): void {
	for (let i = 0; i < 1_000_000; i++) sum = sum * 0.999 + table[i & 1023]!;
}
for (let i = 0; i < 20; i++) multiplyAdds();
measure('calibration: 1,000,000 indexed multiply-adds', 40, multiplyAdds);

/** So many seconds of a programme, the last op cut. */
function cutTo(programme: Programme, seconds: number): Programme {
	let left = seconds;
	return programme.flatMap((op) => {
		const reps = op.seconds > 0 ? Math.min(op.reps, Math.floor(left / op.seconds)) : op.reps;
		left -= reps * op.seconds;
		return reps > 0 ? [{ ...op, reps }] : [];
	});
}
const grades = gradesOfStart('morning');
const sequence = sequenceOfSteps(60);
const plan = planOfSequence(sequenceOfSteps(100), CONTEXT);
const quarter = cutTo(plan.programme, 900);
console.log(`a sequence of ${(programmeSeconds(quarter) / 60).toFixed(1)} minutes, ${quarter.length} ops`);
for (const step of [2, 4]) {
	const engine = new FlowEngine(faceNetwork(), step);
	engine.setParameters(DEFAULT_FLOW);
	engine.prepare((z) => grades[z]!);
	measure(`15 minutes, passive steps of ${step} s at most`, 400, () => {
		engine.reset();
		engine.run(quarter);
	});
	if (step === 2) {
		measure('prepare: the steady state', 400, () => engine.prepare((z) => grades[z]!));
		measure('parameters taken', 400, () => engine.setParameters(DEFAULT_FLOW));
	}
}
measure('60 steps: expanded and compiled', 200, () => void planOfSequence(sequence, CONTEXT));
const sixty = planOfSequence(sequence, CONTEXT);
measure(
	`60 steps (${(sixty.seconds / 60).toFixed(1)} min): the whole tide with its looks and marks`,
	100,
	() => void tideOf(sixty, grades)
);
const worth = new WorthRun(sixty, grades);
measure('60 steps: what one step is worth', 60, () => void worth.of(20));
measure('1,000 draws × 2 sequences of 15 minutes, passive steps of 4 s', 5, () => {
	const run = new PairedRun({
		programmes: [quarter, [...quarter].reverse()],
		grades,
		draws: 1000,
		seed: 1,
		lookAfterSeconds: 0
	});
	run.advance(1000);
});
measure('the same, looked at ten minutes later, with verdicts', 5, () => {
	const run = new PairedRun({ programmes: [quarter, [...quarter].reverse()], grades, draws: 1000, seed: 1 });
	run.advance(1000);
	resultOf(run.figures);
});
console.table(rows);
if (!(sum > 0)) throw new Error('nothing was computed');
