import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { doseAtOf } from '../step/doseAt';
import { expand } from '../sequence/expand';
import { stepsOf } from '../sequence/walk';
import { anySequence, CONTEXT, sequenceOf, step } from '../testing';
import { TEMPLATES } from '../template/templates';
import { placeIndexOf, placeName, stepName } from './placeAtHand';

describe('the place at hand', () => {
	test('is the one that is worked, in every stretch of random sequences and of all ready ones', () => {
		const right = (sequence: Parameters<typeof stepsOf>[0]) => {
			const byId = new Map(stepsOf(sequence).map((s) => [s.step.id, s.step]));
			for (const event of expand(sequence, CONTEXT)) {
				const at = byId.get(event.stepId)!;
				if (event.kind !== 'work' || doseAtOf(at) === 'over-all') continue;
				if (event.part && at.parts![event.part - 1]!.places) continue;
				const index = placeIndexOf(event, at);
				if (at.laneWays && event.places.length > 1) continue;
				expect(index).not.toBeNull();
				expect([at.places[index!]]).toEqual(event.places);
			}
		};
		fc.assert(fc.property(anySequence, right), { numRuns: 200 });
		for (const ready of TEMPLATES) right(ready);
	});
	test('is named as it comes; two places of one name are two; along a way there is none', () => {
		const pins = step('a', ['malar', 'jawline', 'malar'], { motion: 'pinned-circle', reverse: true });
		const work = expand(sequenceOf([pins]), CONTEXT).filter((e) => e.kind === 'work');
		expect(work.map((e) => placeIndexOf(e, pins))).toEqual([0, 0, 1, 1, 2, 2]);
		const sweep = step('b', ['chin', 'jawline']);
		const [first] = expand(sequenceOf([sweep]), CONTEXT);
		expect([placeIndexOf(first!, sweep), stepName(sweep)]).toEqual([null, 'Chin to jawline']);
		expect([placeName('n:submandibular'), placeName('temple:left')]).toEqual(['Under the jaw', 'Left temple']);
		expect(stepName(step('c', ['brow'], { point: 'BL2' }))).toBe('Inner end of the brow');
	});
});
