import { Bench } from 'tinybench';
import { balanceOf } from '../src/lib/core/sequence/balance';
import { expand } from '../src/lib/core/sequence/expand';
import { timingOf } from '../src/lib/core/sequence/timing';
import { judge } from '../src/lib/core/rules/judge';
import type { Answer } from '../src/lib/core/client/answer.schema';
import { makeItFit } from '../src/lib/core/fitted/makeItFit';
import { factsOf } from '../src/lib/core/screening/clientFacts';
import { FLAGS } from '../src/lib/core/screening/flags';
import { CONTEXT } from '../src/lib/core/testing';
import { sequenceOfSteps } from './sequences';

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
/** A client who was asked everything: eight answers act, the others are no. */
const YES = [
	'blood-thinner',
	'filler',
	'eye-surgery',
	'low-blood-pressure',
	'contact-lenses',
	'nut-allergy',
	'jaw-locks',
	'retinoids'
];
const answers = FLAGS.map((flag): Answer => ({
	flag: flag.id,
	says: YES.includes(flag.id) ? 'yes' : 'no',
	places: YES.includes(flag.id) ? ['nasolabial:left'] : [],
	since: '2026-02-20',
	until: null,
	note: '',
	day: '2026-02-25',
	at: '2026-02-25T08:00:00Z'
}));
const client = { cautions: '', answers, marks: [], clearances: [] };
const plan = sequenceOfSteps(60);
bench
	.add('60 steps: screening + judge', () => void judge(plan, { ...CONTEXT, client: factsOf(client, '2026-03-01') }))
	.add('60 steps: make it fit', () => void makeItFit(plan, { ...CONTEXT, client: factsOf(client, '2026-03-01') }));
await bench.run();
console.table(
	bench.tasks.map((task) => {
		const { result } = task;
		const stats = 'latency' in result ? result.latency : null;
		return { task: task.name, 'median ms': stats?.p50?.toFixed(3), 'p99 ms': stats?.p99?.toFixed(3) };
	})
);
