import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anySequence, CONTEXT, pump, sequenceOf, step } from '../testing';
import { balanceOf } from './balance';
import { expand } from './expand';
import { timingOf } from './timing';

const secondsOf = (...steps: Parameters<typeof sequenceOf>[0]) =>
	expand(sequenceOf(steps), CONTEXT).at(-1)?.endSeconds ?? 0;

describe('time of one step, by hand', () => {
	test('both sides at once: 5 reps × 2 s = 10 s', () => {
		expect(secondsOf(step('a', ['chin', 'jawline']))).toBe(10);
	});
	test('one side, then the other: 10 s + change of side 2 s + 10 s = 22 s', () => {
		expect(secondsOf(step('a', ['chin', 'jawline'], { side: { each: true, first: 'left' } }))).toBe(22);
	});
	test('alternating: the dose per side, in turn, without a change: 20 s, ten repetitions, one event', () => {
		const turns = step('a', ['chin', 'jawline'], { side: { alternate: true, first: 'right' } });
		const events = expand(sequenceOf([turns]), CONTEXT);
		expect(events.map((e) => [e.side, e.reps, e.endSeconds])).toEqual([['in-turn-right', 10, 20]]);
		const stations = { places: ['jawline' as const], hold: { kind: 'seconds' as const, amount: 1 } };
		const stopping = expand(sequenceOf([{ ...turns, stations }]), CONTEXT);
		expect(stopping.slice(0, 4).map((e) => `${e.kind} ${e.side}`)).toEqual([
			'work right',
			'station right',
			'work left',
			'station left'
		]);
		expect(stopping).toHaveLength(20);
	});
	test('in turn until a sign: at the longest the cap on each side, the same for both', () => {
		const until = { signs: ['warm' as const], capSeconds: 13 };
		const s = step('a', ['chin', 'jawline'], { side: { alternate: true, first: 'left' }, until });
		const [event] = expand(sequenceOf([s]), CONTEXT, 'max');
		expect([event!.endSeconds, event!.reps % 2]).toEqual([26, 0]);
	});
	test('lanes and reversal: 2 lanes × 2 directions × 5 × 2 s = 40 s', () => {
		const s = step('a', ['chin', 'jawline'], { lanes: 2, reverse: true });
		expect(secondsOf(s)).toBe(40);
		const ways = expand(sequenceOf([s]), CONTEXT).map((e) => `${e.lane}${e.direction}`);
		expect(ways).toEqual(['1forward', '1back', '2forward', '2back']);
	});
	test('four stations of a breath each: 3 × 2 s + 3 × 4 × 10 s = 126 s', () => {
		const places = ['chin', 'jawline', 'masseter', 'preauricular'] as const;
		const stations = { places: [...places], hold: { kind: 'breaths' as const, amount: 1 } };
		const dose = { kind: 'reps' as const, min: 3, target: 3, max: 3 };
		expect(secondsOf(step('a', [...places], { stations, dose }))).toBe(126);
	});
	test('half a minute a place over fourteen places is seven minutes; the pace does not multiply', () => {
		const zones = 'brow temple malar zygoma buccal nasolabial chin jawline masseter ear throat nape shoulder axilla';
		const dose = { kind: 'seconds' as const, min: 30, target: 30, max: 30 };
		const places = zones.split(' ') as Parameters<typeof step>[1];
		expect(secondsOf(step('a', places, { motion: 'press-hold', dose, paceSeconds: 5 }))).toBe(420);
	});
	test('a dose breath is 10 s: three breaths take 30 s', () => {
		expect(secondsOf(step('a', ['nape'], { dose: { kind: 'breaths', min: 1, target: 3, max: 5 } }))).toBe(30);
	});
	test('a drain link after each side: 3 places × 1 s + 3 pumps × 1 s, twice', () => {
		const end = {
			kind: 'link' as const,
			places: ['n:tonsillar' as const, 'n:deep-cervical' as const, 'n:terminus' as const],
			pumps: 3,
			by: 'hand' as const
		};
		expect(secondsOf(step('a', ['chin', 'jawline'], { end, side: { each: true, first: 'left' } }))).toBe(34);
	});
});

describe('what is said of a dose, by hand', () => {
	const three = ['temple', 'malar', 'chin'] as Parameters<typeof step>[1];
	const circles = (change: Parameters<typeof step>[2] = {}) =>
		step('a', three, { aim: 'release', motion: 'pinned-circle', paceSeconds: 1, ...change });
	test('at each of three places: 3 × 5 s, an event a place; over all: 5 s', () => {
		const events = expand(sequenceOf([circles()]), CONTEXT);
		expect(events.map((e) => [e.places, e.reps, e.endSeconds])).toEqual([
			[['temple'], 5, 5],
			[['malar'], 5, 10],
			[['chin'], 5, 15]
		]);
		expect(secondsOf(circles({ doseAt: 'over-all' }))).toBe(5);
		expect(secondsOf(circles({ side: { each: true, first: 'left' } }))).toBe(15 + 2 + 15);
	});
	test('what soaks, is wiped or exercised counts once, unless it says otherwise', () => {
		const soak = step('a', three, { aim: 'cleanse', target: 'skin', motion: 'press-hold', paceSeconds: 10 });
		expect(secondsOf(soak)).toBe(50);
		expect(secondsOf({ ...soak, doseAt: 'each-place' })).toBe(150);
	});
	test('a repetition of several strokes counts once: 5 × (2 s + 1 s + 3 s)', () => {
		const parts = [
			{ motion: 'skin-stretch' as const, seconds: 1 },
			{ motion: 'sweep' as const, places: ['zygoma' as const, 'preauricular' as const], seconds: 3 }
		];
		const s = step('a', ['malar', 'zygoma'], { parts });
		const events = expand(sequenceOf([s]), CONTEXT);
		expect(events.at(-1)!.endSeconds).toBe(30);
		expect(events.slice(0, 4).map((e) => [e.part, e.places.at(-1), e.endSeconds])).toEqual([
			[0, 'zygoma', 2],
			[1, 'zygoma', 3],
			[2, 'preauricular', 6],
			[0, 'zygoma', 8]
		]);
	});
	test('in turn every two: 2 left, 2 right, 2, 2, then the fifth of each', () => {
		const s = step('a', ['chin', 'jawline'], { side: { alternate: true, first: 'left', every: 2 } });
		const events = expand(sequenceOf([s]), CONTEXT);
		expect(events.map((e) => `${e.side} ${e.reps}`)).toEqual('left 2,right 2,left 2,right 2,left 1,right 1'.split(','));
		expect(events.at(-1)!.endSeconds).toBe(20);
	});
	test('lanes with ways of their own, and a pose at the end of each side', () => {
		const s = step('a', ['chin', 'jawline'], {
			lanes: 2,
			laneWays: [['marionette', 'buccal']],
			poseSeconds: 4,
			side: { each: true, first: 'left' }
		});
		const events = expand(sequenceOf([s]), CONTEXT);
		expect(events.slice(0, 3).map((e) => [e.kind, e.places.at(-1), e.endSeconds])).toEqual([
			['work', 'jawline', 10],
			['work', 'buccal', 20],
			['station', 'jawline', 24]
		]);
		expect(events.at(-1)!.endSeconds).toBe(24 + 2 + 24);
	});
	test('breath by hand: each press waits for it, hands off double the time, one before is one', () => {
		const press = (change: Parameters<typeof step>[2]) =>
			secondsOf(step('a', ['temple'], { aim: 'point', motion: 'press-hold', paceSeconds: 3, ...change }));
		expect(press({ breath: 'out-while-pressing' })).toBe(5 * (5 + 5));
		const ten = { kind: 'seconds' as const, min: 10, target: 12, max: 20 };
		expect(press({ breath: 'off-in-on-out', dose: ten })).toBe(12 + 3 * 5);
		expect(press({ breath: 'in-before', dose: ten })).toBe(12 + 5);
		expect(press({ breath: 'out-while-held', dose: ten })).toBe(12);
		const stations = { places: ['chin' as const], hold: { kind: 'seconds' as const, amount: 2 } };
		expect(secondsOf(step('a', ['chin', 'jawline'], { stations, breath: 'one-a-station' }))).toBe(5 * (2 + 10));
	});
	test('a block done three times, in a phase done twice', () => {
		const made = sequenceOf([step('a', ['chin', 'jawline'])]);
		const [phase] = made.phases;
		const phases = [{ ...phase!, passes: 2, blocks: [{ ...phase!.blocks[0]!, passes: 3 }] }];
		expect(expand({ ...made, phases }, CONTEXT).at(-1)!.endSeconds).toBe(60);
	});
	test('for later, or not chosen: no time; on a condition: only at the longest', () => {
		const plain = step('a', ['chin', 'jawline']);
		const fan = step('b', ['chin', 'jawline'], { choice: { group: 'tapes', option: 'fan' } });
		const square = step('c', ['chin', 'jawline'], { choice: { group: 'tapes', option: 'square' }, paceSeconds: 4 });
		const loose = step('d', ['chin', 'jawline'], { onlyIf: 'loose' });
		const off = step('e', ['chin', 'jawline'], { later: true });
		const all = sequenceOf([plain, fan, square, loose, off]);
		const span = (s: typeof all) => {
			const t = timingOf(s, CONTEXT);
			return [t.minSeconds, t.expectedSeconds, t.maxSeconds];
		};
		expect(span(all)).toEqual([12, 20, 48]);
		expect(span({ ...all, choices: [{ group: 'tapes', option: 'square' }] })).toEqual([18, 30, 64]);
		expect(timingOf(all, CONTEXT).steps.get('e')).toMatchObject({
			expectedSeconds: 0,
			startSeconds: 20,
			endSeconds: 20
		});
	});
	test('a cap holds for the least and the expected too', () => {
		const until = { signs: ['softer' as const, 'tight' as const], capSeconds: 8 };
		const t = timingOf(sequenceOf([step('a', ['masseter'], { until })]), CONTEXT);
		expect([t.minSeconds, t.expectedSeconds, t.maxSeconds]).toEqual([6, 8, 8]);
	});
});

describe('transitions are charged to the step that needs them', () => {
	const stone = { id: 'stone-plate' as const, edge: 'notch' as const };
	test('the first step pays for its tool; the same tool again costs nothing; hands cost nothing', () => {
		const a = step('a', ['chin', 'jawline'], { contact: 'tool', tool: stone });
		const b = step('b', ['chin', 'jawline'], { contact: 'tool', tool: stone });
		expect(secondsOf(a, b, step('c', ['chin', 'jawline']))).toBe(6 + 10 + 10 + 10);
	});
	test('gloves: 30 s when they are put on, nothing to take them off, nothing more after hands were washed', () => {
		const inside = step('a', ['masseter'], { aim: 'release', contact: 'thumb-inside', tool: { id: 'gloves' } });
		const wash = step('w', [], { aim: 'cleanse', target: 'hands', contact: 'none', motion: 'none', pressure: 0 });
		const after = step('b', ['chin', 'jawline']);
		const spans = (...steps: Parameters<typeof sequenceOf>[0]) => {
			const t = timingOf(sequenceOf(steps), CONTEXT);
			return steps.map((s) => t.steps.get(s.id)!.expectedSeconds);
		};
		expect(spans(inside, after)).toEqual([40, 10]);
		expect(spans(wash, inside, after)).toEqual([10, 10, 10]);
	});
	test('another edge of the same stone is turned to in the hand', () => {
		const edge = (id: string, name: 'notch' | 'comb') =>
			step(id, ['chin', 'jawline'], { contact: 'tool', tool: { id: 'stone-plate', edge: name } });
		expect(secondsOf(edge('a', 'notch'), edge('b', 'comb'))).toBe(6 + 10 + 10);
	});
	test('posture 3 s, more oil 20 s, and a change between one-sided steps 2 s', () => {
		const left = step('a', ['chin', 'jawline'], { side: 'left', posture: 'turned' });
		const right = step('b', ['chin', 'jawline'], {
			side: 'right',
			posture: 'turned',
			medium: { id: 'oil', ml: 0.1 }
		});
		expect(secondsOf(left, right)).toBe(3 + 10 + 20 + 2 + 10);
	});
	test('both in between costs no change of side', () => {
		const [a, b, c] = [
			step('a', ['chin', 'jawline'], { side: 'left' }),
			step('b', ['chin', 'jawline']),
			step('c', ['chin', 'jawline'], { side: 'right' })
		];
		expect(secondsOf(a, b, c)).toBe(30);
	});
});

test('a block side by side: every step left, one change, then every step right', () => {
	const bare = ['a', 'b', 'c'].map((id) => {
		const { side: _side, ...rest } = step(id, ['chin', 'jawline']);
		return rest;
	});
	const sequence = sequenceOf([]);
	const block = { id: 'b', title: '', sides: { each: true as const, first: 'left' as const }, steps: bare };
	const events = expand({ ...sequence, phases: [{ ...sequence.phases[0]!, blocks: [block] }] }, CONTEXT);
	expect(events.map((e) => `${e.stepId}${e.kind === 'transition' ? '+' : ''}${e.side[0]}`)).toEqual(
		'al bl cl a+r ar br cr'.split(' ')
	);
	expect(events.at(-1)!.endSeconds).toBe(62);
});

describe('min, expected and max', () => {
	test('from the count range, by hand: 3, 5 and 8 reps of 2 s', () => {
		const t = timingOf(sequenceOf([step('a', ['chin', 'jawline'])]), CONTEXT);
		expect([t.minSeconds, t.expectedSeconds, t.maxSeconds]).toEqual([6, 10, 16]);
	});
	test('until warm, in turn: the cap holds on each side, so both together end at twice the cap', () => {
		const until = { signs: ['warm' as const], capSeconds: 60 };
		const made = sequenceOf([step('a', ['masseter'], { until, side: { alternate: true, first: 'left' } })]);
		const t = timingOf(made, CONTEXT);
		// 3, 5 and 8 repetitions of 2 s a side; at the longest until 2 × 60 s.
		expect([t.minSeconds, t.expectedSeconds, t.maxSeconds]).toEqual([12, 20, 120]);
		expect(expand(made, CONTEXT, 'max').at(-1)!.endSeconds).toBe(120);
	});
	test('until warm: min, target, and the cap as maximum on each side', () => {
		const until = { signs: ['warm' as const], capSeconds: 60 };
		const t = timingOf(sequenceOf([step('a', ['masseter'], { until, side: { each: true, first: 'left' } })]), CONTEXT);
		expect([t.minSeconds, t.expectedSeconds, t.maxSeconds]).toEqual([6 + 2 + 6, 22, 60 + 2 + 60]);
	});
	test('events are gapless from 0, and min ≤ expected ≤ max where no cap cuts', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				const events = expand(sequence, CONTEXT);
				// To the last bit: where one ends, the next begins.
				events.forEach((e, i) => expect(e.startSeconds).toBe(i ? events[i - 1]!.endSeconds : 0));
				const t = timingOf(sequence, CONTEXT, events);
				expect(t.minSeconds).toBeLessThanOrEqual(t.expectedSeconds + 1e-6);
				expect(t.expectedSeconds).toBeLessThanOrEqual(t.maxSeconds + 1e-6);
				const sum = [...t.steps.values()].reduce((s, x) => s + x.expectedSeconds, 0);
				expect(sum).toBeCloseTo(t.expectedSeconds, 6);
			}),
			{ numRuns: 150 }
		);
	});
});

describe('balance', () => {
	const of = (...steps: Parameters<typeof sequenceOf>[0]) =>
		balanceOf(expand(sequenceOf(steps), CONTEXT), CONTEXT.working);
	test('both counts fully on each side, the midline half to each', () => {
		const b = of(step('a', ['masseter']), step('c', ['chin'], { side: 'midline' }));
		expect(b.overall.left).toEqual(b.overall.right);
		expect(b.overall.left.seconds).toBe(10 + 5);
		expect(b.zones.get('chin')!.left.seconds).toBe(5);
	});
	test('pressure-weighted by hand: 10 s at level 3 (9 kPa) is 90 kPa·s', () => {
		const b = of(step('a', ['masseter'], { pressure: 3, side: 'left' }));
		expect(b.overall.left).toEqual({ reps: 5, seconds: 10, weightedSeconds: 90 });
		expect(b.overall.right.seconds).toBe(0);
	});
	test('an element with its own side counts there', () => {
		const b = of(step('a', ['chin:left', 'chin:right'], { side: 'left' }));
		expect(b.overall.left.seconds).toBe(5);
		expect(b.overall.right.seconds).toBe(5);
	});
	test('a long sweep is weighted place by place', () => {
		const b = of(step('a', ['malar', 'zygoma'], { levels: [1, 2], side: 'left' }));
		expect(b.overall.left.weightedSeconds).toBeCloseTo(5 * 1.85 + 5 * 4.5, 9);
	});
	test('pumps count too', () => {
		expect(of(pump('a', 'terminus')).overall.right.reps).toBe(7);
	});
});
