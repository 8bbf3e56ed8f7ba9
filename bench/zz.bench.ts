import { planOfSequence } from '../src/lib/core/flow/compile';
import { PairedRun } from '../src/lib/core/flow/paired';
import { gradesOfStart } from '../src/lib/core/flow/starts';
import { resultOf } from '../src/lib/core/flow/verdict';
import { CONTEXT } from '../src/lib/core/testing';
import { sequenceOfSteps } from './sequences';
import { Draws } from '../src/lib/core/flow/draws';
import { faceNetwork } from '../src/lib/core/flow/network';
import { FlowEngine } from '../src/lib/core/flow/engine';
const plan = planOfSequence(sequenceOfSteps(100), CONTEXT);
const grades = gradesOfStart('morning');
let left = 900;
const quarter = plan.programme.flatMap((op) => { const reps = op.seconds > 0 ? Math.min(op.reps, Math.floor(left / op.seconds)) : op.reps; left -= reps * op.seconds; return reps > 0 ? [{ ...op, reps }] : []; });
for (let i = 0; i < 6; i++) {
	let t = performance.now();
	const run = new PairedRun({ programmes: [quarter, [...quarter].reverse()], grades, draws: 1000, seed: 1 });
	run.advance(1000);
	const a = performance.now() - t; t = performance.now();
	resultOf(run.figures);
	const b = performance.now() - t; t = performance.now();
	const d = new Draws(faceNetwork(), 1); const e = new FlowEngine(faceNetwork(), 4);
	for (let k = 0; k < 1000; k++) { const { parameters, jitter } = d.next(); e.setParameters(parameters, jitter); }
	const c = performance.now() - t; t = performance.now();
	for (let k = 0; k < 1000; k++) e.prepare((z) => grades[z]!);
	console.log('run', a.toFixed(0), 'verdict', b.toFixed(0), 'draws+set', c.toFixed(0), 'prepare', (performance.now() - t).toFixed(0));
}
