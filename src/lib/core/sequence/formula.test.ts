import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { placeOf, isZone, SIDES, type Side } from '../atlas/places';
import type { ZoneId } from '../atlas/zones';
import { dosesPerSide } from '../step/doseAt';
import { anySequence, anyStep, CONTEXT, sequenceOf } from '../testing';
import { balanceOf, shareOfSide } from './balance';
import { passedLimits, STEP_LIMITS, stepCost } from '../step/stepCost';
import { expand, holdSeconds, secondsOf, type TimedEvent } from './expand';
import type { Step } from '../step/step.schema';
import { levelsOf } from '../step/levelsOf';

/** Fast results against slow ones, written straight from the definition. */

/** Time of one side: lanes × (reverse ? 2 : 1) × (reps × pace + reps × stations × hold). */
function oneSideSeconds(step: Step): number {
	const { working } = CONTEXT;
	const passes = step.lanes * (step.reverse ? 2 : 1);
	const places = dosesPerSide(step);
	const amount = step.dose.target;
	const holds = (reps: number) => reps * (step.stations?.places.length ?? 0) * holdSeconds(step, working);
	const half = working.cueBreathHalfSeconds;
	const presses = ['press-hold', 'lift-hold', 'skin-stretch'].includes(step.motion) && step.breath.startsWith('out');
	const pace = presses ? half + Math.max(half, step.paceSeconds) : step.paceSeconds;
	if (step.dose.kind === 'reps') return passes * places * (amount * pace + holds(amount));
	if (step.dose.kind === 'breaths') return passes * places * (amount * working.doseBreathSeconds + holds(amount));
	return passes * places * amount;
}
const sidesWorked = (step: Step): number => {
	const { side } = step;
	return typeof side === 'object' ? 2 : 1;
};
const workSeconds = (events: readonly TimedEvent[]) =>
	events
		.filter((e) => e.kind === 'work' || e.kind === 'station' || e.kind === 'rest')
		.reduce((s, e) => s + e.endSeconds - e.startSeconds, 0);

describe('time', () => {
	test('of any step is the formula, once for each side that is worked by itself', () => {
		fc.assert(
			fc.property(anyStep('a'), (step) => {
				const seconds = workSeconds(expand(sequenceOf([step]), CONTEXT));
				expect(seconds).toBeCloseTo(oneSideSeconds(step) * sidesWorked(step), 6);
			}),
			{ numRuns: 400 }
		);
	});
	test('with stations too', () => {
		const stationed = anyStep('a').map((step) => {
			const { levels: _levels, ...rest } = step;
			const places = [...new Set(step.places)];
			if (!places.length || step.dose.kind !== 'reps') return step;
			const hold = { kind: 'breaths' as const, amount: 0.5 };
			return { ...rest, pressure: 1 as const, stations: { places, hold } };
		});
		fc.assert(
			fc.property(stationed, (step) => {
				// Beyond the limits nothing is computed: cost.test.ts.
				fc.pre(!passedLimits(stepCost(step), STEP_LIMITS).length);
				const seconds = workSeconds(expand(sequenceOf([step]), CONTEXT));
				expect(seconds).toBeCloseTo(oneSideSeconds(step) * sidesWorked(step), 6);
			}),
			{ numRuns: 200 }
		);
	});
	test('of a whole is the sum of its parts but for transitions: order changes only those', () => {
		fc.assert(
			fc.property(anyStep('a'), anyStep('b'), (a, b) => {
				const there = expand(sequenceOf([a, b]), CONTEXT);
				const back = expand(sequenceOf([b, a]), CONTEXT);
				expect(workSeconds(there)).toBeCloseTo(workSeconds(back), 6);
			}),
			{ numRuns: 200 }
		);
	});
	test('measured without events is what the events say, for every end of the count ranges, caps included', () => {
		const capped = anyStep('c').map((s) => ({ ...s, until: { signs: ['warm' as const], capSeconds: 37 } }));
		fc.assert(
			fc.property(anySequence, capped, (sequence, step) => {
				const withCap = { ...sequence, phases: [...sequenceOf([step]).phases, ...sequence.phases] };
				for (const count of ['min', 'target', 'max'] as const) {
					const events = expand(withCap, CONTEXT, count);
					const measured = secondsOf(withCap, CONTEXT, count);
					expect(measured.total).toBeCloseTo(events.at(-1)?.endSeconds ?? 0, 6);
					for (const [id, seconds] of measured.steps) {
						const slow = events.filter((e) => e.stepId === id).reduce((s, e) => s + e.endSeconds - e.startSeconds, 0);
						expect(seconds).toBeCloseTo(slow, 6);
					}
				}
			}),
			{ numRuns: 120 }
		);
	});
	test('the same input gives the same output, and the input is left alone', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				const before = JSON.stringify(sequence);
				expect(expand(sequence, CONTEXT)).toEqual(expand(sequence, CONTEXT));
				expect(JSON.stringify(sequence)).toBe(before);
			}),
			{ numRuns: 60 }
		);
	});
	test('every event has one level for each of its places', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				for (const e of expand(sequence, CONTEXT))
					expect(e.levels.length).toBeGreaterThanOrEqual(Math.max(1, e.places.length));
			}),
			{ numRuns: 60 }
		);
	});
});

describe('balance', () => {
	/** Seconds of a zone on a side, the slow way. */
	function slowSeconds(events: readonly TimedEvent[], zone: ZoneId, side: Side): number {
		let sum = 0;
		for (const e of events) {
			if (e.kind === 'transition' || e.kind === 'rest') continue;
			for (const ref of e.places)
				if (placeOf(ref) === zone)
					sum += ((e.endSeconds - e.startSeconds) / e.places.length) * shareOfSide(e, side, ref);
		}
		return sum;
	}
	test('of every zone is what the slow sum says', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				const events = expand(sequence, CONTEXT);
				for (const [zone, load] of balanceOf(events, CONTEXT.working).zones)
					for (const side of SIDES) expect(load[side].seconds).toBeCloseTo(slowSeconds(events, zone, side), 6);
			}),
			{ numRuns: 80 }
		);
	});
	test('overall is at least that of its zones: node groups count there too', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				const { overall, zones } = balanceOf(expand(sequence, CONTEXT), CONTEXT.working);
				for (const side of SIDES) {
					const sum = [...zones.values()].reduce((s, z) => s + z[side].seconds, 0);
					expect(sum).toBeLessThanOrEqual(overall[side].seconds + 1e-6);
					expect(overall[side].weightedSeconds).toBeLessThanOrEqual(overall[side].seconds * 18.5 + 1e-6);
				}
			}),
			{ numRuns: 80 }
		);
	});
	test('swapping left and right in a step swaps its balance', () => {
		const oneSided = anyStep('a').map((s) => ({
			...s,
			side: 'left' as const,
			places: s.places.filter((p) => isZone(placeOf(p)))
		}));
		fc.assert(
			fc.property(oneSided, (step) => {
				fc.pre(step.places.length > 0);
				const { levels: _levels, ...rest } = step;
				const even = { ...rest, pressure: levelsOf(step)[0]! };
				const of = (side: Side) => balanceOf(expand(sequenceOf([{ ...even, side }]), CONTEXT), CONTEXT.working).overall;
				expect(of('left').left).toEqual(of('right').right);
				expect(of('left').right).toEqual(of('right').left);
			}),
			{ numRuns: 150 }
		);
	});
});
