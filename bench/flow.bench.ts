import { planOfSequence } from '../src/lib/core/flow/compile';
import { Draws } from '../src/lib/core/flow/draws';
import { FlowEngine } from '../src/lib/core/flow/engine';
import { facesOf } from '../src/lib/core/flow/faces';
import { programmeOf } from '../src/lib/core/flow/fixtures';
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
/** The worked programme of the model's tests, done again until 15 minutes are over: strokes of 4 s, pumps of 3 s. */
const worked = cutTo([...programmeOf('a'), ...programmeOf('a')], 900);
const stepsAt = (programme: Programme, longest: number) =>
	programme.reduce((n, op) => n + op.reps * Math.ceil(op.seconds / longest), 0);
const PACES = [
	{ name: 'strokes of 4 s, pumps of 3 s', programme: worked },
	{ name: 'the demo’s own paces', programme: quarter }
];
for (const { name, programme } of PACES) {
	console.log(
		`15 minutes, ${name}: ${(programmeSeconds(programme) / 60).toFixed(1)} min, ${programme.length} ops, ${stepsAt(programme, 2)} and ${stepsAt(programme, 4)} passive steps`
	);
	for (const step of [2, 4]) {
		const engine = new FlowEngine(faceNetwork(), step);
		engine.setParameters(DEFAULT_FLOW);
		engine.prepare((z) => grades[z]!);
		measure(`15 minutes, ${name}, passive steps of ${step} s at most`, 400, () => {
			engine.reset();
			engine.run(programme);
		});
	}
	const faces = facesOf(faceNetwork(), 4);
	const draws = new Draws(faceNetwork(), 1);
	for (let f = 0; f < faces.width; f++) {
		const { parameters, jitter } = draws.next();
		faces.load(f, parameters, jitter, (z) => grades[z]!);
	}
	measure(`15 minutes, ${name}, ${faces.width} faces side by side, 4 s`, 400, () => {
		faces.reset();
		faces.run(programme);
	});
	measure(`1,000 draws × 2 such sequences, passive steps of 4 s`, 5, () => {
		const run = new PairedRun({
			programmes: [programme, [...programme].reverse()],
			grades,
			draws: 1000,
			seed: 1,
			lookAfterSeconds: 0
		});
		run.advance(1000);
	});
}
const engine = new FlowEngine(faceNetwork());
measure('parameters taken', 400, () => engine.setParameters(DEFAULT_FLOW));
measure('prepare: the steady state', 400, () => engine.prepare((z) => grades[z]!));
measure('60 steps: expanded and compiled', 200, () => void planOfSequence(sequence, CONTEXT));
const sixty = planOfSequence(sequence, CONTEXT);
measure(
	`60 steps (${(sixty.seconds / 60).toFixed(1)} min): the whole tide with its looks and marks`,
	100,
	() => void tideOf(sixty, grades)
);
/** All pieces of a work, one after the other. */
function ended(work: Generator<number, unknown>): void {
	while (!work.next().done);
}
measure('60 steps: what one step is worth, 200 draws', 5, () => ended(new WorthRun({ plan: sixty, grades }).one(20)));
measure('60 steps: what every step is worth, 200 draws', 3, () => ended(new WorthRun({ plan: sixty, grades }).all()));
const hundredTwenty = planOfSequence(sequenceOfSteps(120), CONTEXT);
measure('120 steps: the whole tide with its looks and marks', 60, () => void tideOf(hundredTwenty, grades));
measure('1,000 draws × 2, the demo’s paces, looked at ten minutes later, with verdicts', 5, () => {
	const run = new PairedRun({ programmes: [quarter, [...quarter].reverse()], grades, draws: 1000, seed: 1 });
	run.advance(1000);
	resultOf(run.figures);
});
console.table(rows);
if (!(sum > 0)) throw new Error('nothing was computed');
