import { expect, test } from 'vitest';
import type { Finding } from './rule';
import { findingSpots, gravestByStep } from './findingSpots';
import { CONTEXT, pump, sequenceOf, step } from '../testing';
import { judge } from './judge';

const { context } = judge(
	sequenceOf([
		pump('o', 'terminus'),
		step('a', ['malar', 'zygoma']),
		step('b', ['chin'], { side: 'right', reason: 'fuller' })
	]),
	CONTEXT
);
const found = (severity: Finding['severity'], stepIds: string[], more: Partial<Finding> = {}): Finding => ({
	ruleId: 'r',
	key: 'k',
	kind: 'order',
	fixable: false,
	safe: false,
	params: {},
	severity,
	stepIds,
	...more
});

test('a finding stands at its own place and side, else at the first zone of its step; the gravest wins, all count', () => {
	const findings = [
		found('stop', ['a']),
		found('advice', ['a']),
		found('caution', ['b']),
		found('advice', ['a'], { place: 'temple', side: 'right' }),
		found('stop', ['o']),
		found('stop', []),
		found('stop', ['a'], { place: 'n:tonsillar' })
	];
	expect(findingSpots({ findings, context })).toEqual([
		{ zone: 'malar', side: 'left', severity: 'stop', count: 2 },
		{ zone: 'chin', side: 'right', severity: 'caution', count: 1 },
		{ zone: 'temple', side: 'right', severity: 'advice', count: 1 }
	]);
});

test('a step carries the gravest of the findings that speak of it first, whatever their order', () => {
	const findings = [found('advice', ['a']), found('stop', ['a', 'b']), found('caution', ['a']), found('advice', ['b'])];
	const flags = [...gravestByStep(findings)];
	expect(flags).toEqual([
		['a', 'stop'],
		['b', 'advice']
	]);
	expect(new Map(flags)).toEqual(gravestByStep([...findings].reverse()));
});
