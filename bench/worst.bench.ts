import { overLimits, sequenceCost, SEQUENCE_LIMITS } from '../src/lib/core/sequence/cost';
import type { Sequence } from '../src/lib/core/sequence/sequence.schema';
import { checkAnswer } from '../src/lib/core/rules/answer';
import { judge } from '../src/lib/core/rules/judge';
import { COST_KINDS, STEP_LIMITS } from '../src/lib/core/step/stepCost';
import { CONTEXT, sequenceOf, step } from '../src/lib/core/testing';
import { planOfSequence } from '../src/lib/core/flow/compile';
import { gradesOfStart } from '../src/lib/core/flow/starts';
import { tideOf } from '../src/lib/core/flow/tide';
import { PLACE_IDS, type PlaceRef } from '../src/lib/core/atlas/places';
import type { Step } from '../src/lib/core/step/step.schema';

/**
 * The dearest sequences that are let in: each stands at a limit. Judging one is to stay below 300 ms.
 */
const reps = (n: number) => ({ kind: 'reps' as const, min: 1, target: n, max: n });
const long = (n: number): PlaceRef[] =>
	Array.from({ length: n }, (_, i) => PLACE_IDS[(i * 7) % PLACE_IDS.length]! as PlaceRef);
const many = (count: number, of: (i: number) => Step): Sequence =>
	sequenceOf(Array.from({ length: count }, (_, i) => of(i)));
/** As many of a step as the limits allow. */
function most(of: (i: number) => Step): Sequence {
	let [low, high] = [1, 2000];
	while (low < high) {
		const mid = Math.ceil((low + high) / 2);
		if (overLimits(many(mid, of)).length) high = mid - 1;
		else low = mid;
	}
	return many(low, of);
}
const link = (n: number) => ({ kind: 'link' as const, places: long(n), pumps: 3, by: 'hand' as const });
const WORST: Record<string, Sequence> = {
	'stations, in turn': most((i) =>
		step(`s${i}`, ['chin', 'jawline'], {
			dose: reps(300),
			side: { alternate: true, first: 'left' },
			stations: { places: ['jawline'], hold: { kind: 'seconds', amount: 0.1 } }
		})
	),
	'long ways, deep': most((i) => step(`s${i}`, long(40), { pressure: 4, aim: 'release', dose: reps(1) })),
	'long ways, draining, each side': most((i) =>
		step(`s${i}`, long(20), { side: { each: true, first: 'left' }, end: link(20), dose: reps(1) })
	),
	'many short ones': most((i) =>
		step(`s${i}`, long(3 + (i % 5)), {
			pressure: (i % 5) as 0,
			side: { each: true, first: 'left' },
			aim: i % 2 ? 'drain' : 'release'
		})
	),
	'one-sided, everywhere': most((i) =>
		step(`s${i}`, long(6), {
			side: i % 2 ? 'left' : 'right',
			contact: 'tool',
			tool: { id: 'stone-plate', edge: 'corner' }
		})
	),
	'quick repetitions': most((i) =>
		step(`s${i}`, ['chin', 'jawline', 'preauricular'], { dose: reps(1000), paceSeconds: 0.1 })
	),
	pumps: most((i) =>
		step(`s${i}`, ['n:terminus', 'n:tonsillar'], { motion: 'pump', aim: 'open', dose: reps(500), paceSeconds: 0.1 })
	)
};
const timed = (run: () => unknown): string => {
	const times = Array.from({ length: 5 }, () => {
		const from = performance.now();
		run();
		return performance.now() - from;
	}).sort((a, b) => a - b);
	return times[2]!.toFixed(1);
};
console.log('limits of a step', STEP_LIMITS, 'and of a sequence', SEQUENCE_LIMITS);
console.table(
	Object.entries(WORST).map(([name, sequence]) => {
		const cost = sequenceCost(sequence);
		const nearest = COST_KINDS.reduce((a, b) => (cost[a] / SEQUENCE_LIMITS[a] > cost[b] / SEQUENCE_LIMITS[b] ? a : b));
		const file = JSON.stringify(sequence);
		return {
			sequence: name,
			steps: sequence.phases[0]!.blocks[0]!.steps.length,
			limit: `${nearest} ${Math.round((100 * cost[nearest]) / SEQUENCE_LIMITS[nearest])} %`,
			MB: (file.length / 1e6).toFixed(2),
			'cost ms': timed(() => sequenceCost(sequence)),
			'judged ms': timed(() => judge(sequence, CONTEXT)),
			findings: judge(sequence, CONTEXT).findings.length,
			'answer ms': timed(() => checkAnswer(sequence, CONTEXT)),
			'tide ms': timed(() => {
				try {
					tideOf(planOfSequence(sequence, CONTEXT), gradesOfStart('morning'));
				} catch (e) {
					return e;
				}
			})
		};
	})
);
