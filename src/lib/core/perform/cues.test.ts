import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { expand } from '../sequence/expand';
import { stepsOf } from '../sequence/walk';
import { anySequence, CONTEXT, pump, sequenceOf, step } from '../testing';
import { BEATS, cuesOf, lastCueIndex, type CueKind } from './cues';
import { positionAt } from './position';
import { NOT_BEGUN, playedTo, replay } from './run';

const cuesIn = (sequence: ReturnType<typeof sequenceOf>) => {
	const events = expand(sequence, CONTEXT);
	return { events, cues: cuesOf(events, new Map(stepsOf(sequence).map((s) => [s.step.id, s])), CONTEXT.working) };
};

describe('cues', () => {
	const sequence = sequenceOf([
		pump('o', 'terminus', { dose: { kind: 'reps', min: 2, target: 3, max: 4 } }),
		step('a', ['chin', 'jawline'], {
			side: { each: true, first: 'left' },
			dose: { kind: 'reps', min: 2, target: 2, max: 3 },
			posture: 'turned',
			mouth: 'parted',
			until: { signs: ['softer'], capSeconds: 60 },
			note: 'slower near the scar'
		}),
		step('b', ['malar'], {
			aim: 'settle',
			dose: { kind: 'breaths', min: 1, target: 2, max: 3 },
			breath: 'out-while-pressing'
		})
	]);
	const { cues } = cuesIn(sequence);
	const of = (kind: CueKind) => cues.filter((c) => c.kind === kind).map((c) => [c.atSeconds, c.words]);
	test('by hand: a beat at each repetition, another where a stretch begins, another for a change of hands', () => {
		// 3 pumps of 1 s; 3 s for the posture; 2 strokes of 2 s left; 2 s change of side; 2 strokes right; 3 s; 2 breaths.
		expect(cues.filter((c) => BEATS.includes(c.kind)).map((c) => `${c.atSeconds} ${c.kind}`)).toEqual([
			'0 stroke',
			'1 stroke',
			'2 stroke',
			'3 side',
			'6 step',
			'8 stroke',
			'10 side',
			'12 step',
			'14 stroke',
			'16 side',
			'19 step',
			'29 stroke'
		]);
	});
	test('say how to breathe, what comes next, and the end', () => {
		expect(of('breath')).toEqual([
			[19, 'in'],
			[24, 'out'],
			[29, 'in'],
			[34, 'out']
		]);
		expect(of('next').map(([, words]) => words)).toEqual([
			'Next Chin to jawline',
			'Next Apple of the cheek',
			'Then finished'
		]);
		expect(of('end')).toEqual([[39, 'Finished.']]);
	});
	test('what waits for a condition, or for another sitting, does not come next', () => {
		const words = (change: object) =>
			cuesIn(sequenceOf([pump('o', 'terminus'), step('a', ['chin', 'jawline'], change), step('b', ['malar'])]))
				.cues.filter((c) => c.kind === 'next')
				.map((c) => c.words);
		expect(words({})).toEqual(['Next Chin to jawline', 'Next Apple of the cheek', 'Then finished']);
		for (const change of [{ onlyIf: 'it is loose' }, { later: true }])
			expect(words(change)).toEqual(['Next Apple of the cheek', 'Then finished']);
	});
	test('on any sequence they ascend, and there is a beat for each repetition that the position counts', () => {
		fc.assert(
			fc.property(anySequence, (any) => {
				const made = cuesIn(any);
				const times = made.cues.map((c) => c.atSeconds);
				expect(times).toEqual([...times].sort((a, b) => a - b));
				const beats = made.cues.filter((c) => BEATS.includes(c.kind));
				for (const [i, beat] of beats.entries()) {
					expect(lastCueIndex(beats, beat.atSeconds)).toBeGreaterThanOrEqual(i);
					expect(positionAt(made.events, beat.atSeconds + 1e-6).event?.stepId).toBe(beat.stepId);
				}
				const counted = made.events.filter((e) => e.kind === 'work' || e.kind === 'link');
				const planned = counted.reduce((n, e) => n + Math.max(1, e.reps), 0) + made.events.length - counted.length;
				expect(beats).toHaveLength(planned);
			}),
			{ numRuns: 60 }
		);
	});
});

test('a log that breaks off is taken as far as it goes; half a stroke is none, and what is done again is done again', () => {
	const log = [
		{ kind: 'begin', seconds: 0, atMs: 0 },
		{ kind: 'go', seconds: 0, atMs: 0 },
		{ kind: 'pause', seconds: 10, atMs: 10_000 },
		{ kind: 'go', seconds: 8, atMs: 70_000 },
		{ kind: 'jump', from: 12, seconds: 4, atMs: 74_000 },
		{ kind: 'still', seconds: 6, atMs: 76_000 }
	] as const;
	const state = replay(log);
	expect(state).toMatchObject({ seconds: 6, haltedSeconds: 60, signs: [], begun: true });
	expect(playedTo(state, 6)).toEqual([
		{ from: 0, to: 8, startMs: 0 },
		{ from: 8, to: 12, startMs: 70_000 },
		{ from: 4, to: 6, startMs: 74_000 }
	]);
	expect(replay([])).toEqual(NOT_BEGUN);
});

test('the end says what no longer holds; each of several places is the next one in turn', () => {
	const words = (steps: Parameters<typeof sequenceOf>[0], kind: CueKind) =>
		cuesIn(sequenceOf(steps))
			.cues.filter((c) => c.kind === kind)
			.map((c) => c.words);
	const last = step('a', ['chin'], { posture: 'chin-up', mouth: 'jaw-forward', eyes: 'open' });
	expect(words([last], 'end')).toEqual(['Head straight again. Jaw back in place. Eyes closed again. Finished.']);
	const opening = pump('o', 'terminus', { places: ['n:terminus', 'n:tonsillar', 'n:submandibular'] });
	expect(words([opening, step('z', ['chin'])], 'next')).toEqual([
		'Next Below the ear',
		'Next Under the jaw',
		'Next Chin',
		'Then finished'
	]);
});
