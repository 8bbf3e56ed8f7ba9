import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anySequence, CONTEXT, pump, sequenceOf, step } from '../testing';
import { emptyAssessment, withValue } from '../assess/assessment';
import { NOW } from '../testing';
import type { Sequence } from '../sequence/sequence.schema';
import type { Step } from '../step/step.schema';
import { planOfSequence } from './compile';
import { faceIndex, faceNetwork } from './network';
import { gradesOfAssessment, gradesOfStart, hasPuffiness, START_IDS } from './starts';
import { balanceAt, rowAt, tideOf, valueAt, type Tide } from './tide';
import { markGroups } from './markGroups';
import { markWords } from './words';

const planned = (sequence: Sequence) => planOfSequence(sequence, CONTEXT);
const MORNING = gradesOfStart('morning');
const tide = (...steps: Step[]) => tideOf(planned(sequenceOf(steps)), MORNING);
const gradeAt = (t: Tide, zone: 'jawline' | 'buccal', seconds: number) =>
	valueAt(t.grades, faceNetwork().zoneCount, faceIndex(zone, 'left'), rowAt(t, seconds));
const DRAIN = ['buccal', 'jawline', 'n:submandibular'] as const;
const OPEN = ['terminus', 'deep-cervical', 'submandibular'].map((n) => pump(`o-${n}`, n));

describe('the tide of a sequence', () => {
	test('begins at the grades that were chosen, and falls where it is drained', () => {
		const t = tide(...OPEN, step('a', [...DRAIN], { dose: { kind: 'reps', min: 9, target: 9, max: 9 } }));
		expect(gradeAt(t, 'buccal', 0)).toBeCloseTo(2, 5);
		expect(gradeAt(t, 'buccal', t.seconds)).toBeLessThan(1.5);
		expect(t.reliefMl).toBeGreaterThan(0.1);
		expect(t.lastingReliefMl).toBeGreaterThan(t.reliefMl);
		expect(t.times[0]).toBe(0);
		expect(t.times.at(-1)).toBeCloseTo(t.seconds, 9);
	});
	test('where it went always adds up, at every moment, for any sequence', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				const t = tideOf(planned(sequence), MORNING);
				for (const share of [0, 0.3, 0.77, 1]) {
					const { faceMl, neckMl, nodesMl, returnedMl } = balanceAt(t, share * t.seconds);
					const sum = faceMl + neckMl + nodesMl + returnedMl;
					expect(sum).toBeGreaterThanOrEqual(t.startMl - 1e-9);
					expect(sum).toBeLessThanOrEqual(t.startMl + t.filteredMl + 1e-9);
				}
				const end = balanceAt(t, t.seconds);
				const all = end.faceMl + end.neckMl + end.nodesMl + end.returnedMl;
				expect(all).toBeCloseTo(t.startMl + t.filteredMl, 9);
				expect(t.reliefMl).toBeCloseTo(end.returnedMl - t.filteredMl, 9);
			}),
			{ numRuns: 60 }
		);
	});
	test('a hand that lifts only strands; a drain over closed nodes dams; each names its step, place and moment', () => {
		const lift = tide(pump('o', 'terminus'), step('up', ['jawline', 'buccal', 'malar'], { aim: 'lift' }));
		const stranded = lift.marks.filter((m) => m.kind === 'stranded');
		expect(stranded.map((m) => [m.stepId, faceNetwork().ids[m.place], m.atSeconds])).toEqual([
			['up', 'malar:left', 7],
			['up', 'malar:right', 7]
		]);
		expect(markGroups(stranded).map(markWords)).toEqual([
			expect.stringMatching(
				/^0\.\d ml a side is set down in the apple of the cheek on both sides and never carried on$/
			)
		]);
		expect(markWords(markGroups(stranded.slice(0, 1))[0]!)).toMatch(
			/^0\.\d ml is set down in the left apple of the cheek and never carried on$/
		);
		const dam = tide(step('d', ['buccal', 'n:facial'], { dose: { kind: 'reps', min: 20, target: 20, max: 20 } }));
		expect(dam.marks[0]).toMatchObject({ kind: 'dammed', stepId: 'd', atSeconds: 0 });
		expect(markWords(markGroups(dam.marks)[0]!)).toMatch(/ml a side would not go into the cheek nodes on both sides/);
	});
	test('what is carried on later is not stranded', () => {
		const up = step('up', ['jawline', 'buccal'], { aim: 'lift' });
		const on = step('on', ['buccal', 'masseter', 'n:tonsillar'], {
			dose: { kind: 'reps', min: 30, target: 30, max: 30 }
		});
		expect(tide(up).marks.some((m) => m.kind === 'stranded')).toBe(true);
		expect(tide(up, on).marks.some((m) => m.kind === 'stranded' && m.stepId === 'up')).toBe(false);
	});
	test('an empty sequence is a run of no time; a start that cannot be is refused with its zone', () => {
		const t = tide();
		expect([t.seconds, t.reliefMl, t.times.length, t.marks.length]).toEqual([0, 0, 1, 0]);
		expect(() =>
			tideOf(
				planned(sequenceOf([step('a', ['chin', 'jawline'])])),
				MORNING.map(() => 9)
			)
		).toThrow(/start of forehead-medial:left/);
	});
	test('a long sequence is looked at no more than 1500 times', () => {
		const long = Array.from({ length: 400 }, (_, i) => step(`s${i}`, [...DRAIN]));
		expect(tide(...long).times.length).toBeLessThanOrEqual(1500);
	});
});

describe('starts', () => {
	test('what was felt, what was not felt as 0; and made-up faces, the same on both sides', () => {
		const assessment = withValue(emptyAssessment(NOW), 'puffiness', { place: 'malar', side: 'right' }, 3);
		const grades = gradesOfAssessment(assessment);
		expect([grades[faceIndex('malar', 'right')], grades[faceIndex('malar', 'left')]]).toEqual([3, 0]);
		expect([hasPuffiness(assessment), hasPuffiness(null), hasPuffiness(emptyAssessment(NOW))]).toEqual([
			true,
			false,
			false
		]);
		for (const id of START_IDS) {
			const all = gradesOfStart(id);
			expect(all.slice(0, 34)).toEqual(all.slice(34));
			expect(Math.max(...all) > 0).toBe(id !== 'even');
		}
	});
});
