import { describe, expect, test } from 'vitest';
import { expand } from '../sequence/expand';
import { stepsOf } from '../sequence/walk';
import type { Step } from '../step/step.schema';
import { CONTEXT, sequenceOf, step } from '../testing';
import { placesLookedAt } from './lookedAt';
import { positionAt } from './position';
import { shownAt } from './shown';
import { suppliesOf } from './supplies';

const SUPPLIES = suppliesOf({ media: [], medium: null }, CONTEXT.working);

/** What is shown of the only step at a second of it. */
function at(only: Step, seconds: number) {
	const { numeral, beside, unit, hands } = shownAt(
		positionAt(expand(sequenceOf([only]), CONTEXT), seconds),
		only,
		only,
		SUPPLIES
	);
	return [numeral, beside, unit, hands];
}
const each = { each: true as const, first: 'left' as const };

describe('what stands large on the stage, by hand', () => {
	test('repetitions are counted up, a side by its name, the end by a tick', () => {
		// 5 × 2 s on the left, 2 s to change, 5 × 2 s on the right.
		const only = step('a', ['chin', 'jawline'], { side: each });
		expect(at(only, 0)).toEqual(['1', 'of 5', '', 'practitioner']);
		expect(at(only, 9.9)).toEqual(['5', 'of 5', '', 'practitioner']);
		expect(at(only, 10.5)).toEqual(['right', '', '', 'practitioner']);
		expect(at(only, 12)).toEqual(['1', 'of 5', '', 'practitioner']);
		expect(at(only, 22)).toEqual(['✓', '', '', 'practitioner']);
	});

	test('in turn it is counted a side', () => {
		const only = step('a', ['chin', 'jawline'], {
			side: { alternate: true, first: 'left' },
			dose: { kind: 'reps', min: 3, target: 4, max: 8 }
		});
		expect(at(only, 0).slice(0, 2)).toEqual(['1', 'of 4 each']);
		expect(at(only, 2.1).slice(0, 2)).toEqual(['1', 'of 4 each']);
		expect(at(only, 4.1).slice(0, 2)).toEqual(['2', 'of 4 each']);
	});

	test('time runs down', () => {
		const hold = step('a', ['chin'], { dose: { kind: 'seconds', min: 5, target: 10, max: 15 } });
		expect(at(hold, 0).slice(0, 2)).toEqual(['10', 's']);
		expect(at(hold, 7.5).slice(0, 2)).toEqual(['3', 's']);
	});

	test('a step without a hand shows its seconds, and whose work it is', () => {
		const wait = step('a', [], {
			aim: 'cleanse',
			contact: 'none',
			motion: 'none',
			pressure: 0,
			dose: { kind: 'seconds', min: 10, target: 20, max: 30 }
		});
		expect(at(wait, 5)).toEqual(['15', 's', '', 'none']);
		const hers = { ...step('a', ['upper-lip'], { motion: 'stroke' }), by: 'client' as const };
		expect(at(hers, 0)[3]).toBe('client');
	});
});

test('what is taken stands in place of the numeral, with the seconds that it takes', () => {
	const first = step('a', ['chin', 'jawline']);
	// 10 s of strokes, 6 s to take the stone, 10 s of strokes, 20 s to top up.
	const scraped = step('b', ['chin', 'jawline'], {
		contact: 'tool',
		tool: { id: 'stone-plate', edge: 'long-concave' }
	});
	const oiled = step('c', ['chin', 'jawline'], { medium: { id: 'light-oil', ml: 0.4 } });
	const sequence = sequenceOf([first, scraped, oiled]);
	const shown = (seconds: number, now: Step, before: Step) => {
		const { numeral, beside, taking } = shownAt(positionAt(expand(sequence, CONTEXT), seconds), now, before, SUPPLIES);
		return [numeral, beside, taking?.kind, taking?.words];
	};
	expect(shown(11, scraped, first)).toEqual(['5', 's', 'contact', 'Take the stone plate']);
	expect(shown(17, scraped, scraped)).toEqual(['1', 'of 5', undefined, undefined]);
	expect(shown(27, oiled, scraped)).toEqual(['19', 's', 'medium', 'Light oil: 8 drops']);
});

test('asked for are the zones that are worked with an aim that is looked at, at most seven', () => {
	expect(placesLookedAt(null)).toContain('lower-eyelid');
	const some = sequenceOf([
		step('a', ['malar', 'zygoma']),
		step('b', ['malar', 'chin']),
		step('c', ['throat']),
		step('d', ['jawline'], { aim: 'open' }),
		step('e', ['n:submental' as never])
	]);
	expect(placesLookedAt(some)).toEqual(['malar']);
	const many = sequenceOf(
		(
			['chin', 'upper-lip', 'malar', 'zygoma', 'jawline', 'temple', 'masseter', 'lower-eyelid', 'submental'] as const
		).map((z) => step(z, [z]))
	);
	expect(stepsOf(many).length).toBe(9);
	expect(placesLookedAt(many)).toHaveLength(7);
});
