import { expect, test } from 'vitest';
import { judge } from '../rules/judge';
import { CONTEXT, sequenceOf, step } from '../testing';
import { signSecondsOf } from './untilSign';

test('past the plan it may go on for what is left of the longest time on a side, and nowhere else', () => {
	// 10 s a side of at most 40; the second step hangs on no sign.
	const kneaded = step('a', ['masseter'], {
		motion: 'knead',
		side: { each: true, first: 'left' },
		dose: { kind: 'seconds', min: 5, target: 10, max: 40 },
		until: { signs: ['softer'], capSeconds: 40 }
	});
	const { events, context } = judge(sequenceOf([kneaded, step('b', ['chin', 'jawline'])]), CONTEXT);
	const signs = signSecondsOf(events, context.byId);
	expect(events.map((e, i) => [e.kind, e.stepId, e.side, signs[i]])).toEqual([
		['work', 'a', 'left', 30],
		['transition', 'a', 'right', 0],
		['work', 'a', 'right', 30],
		['work', 'b', 'both', 0]
	]);
});
