import { expect, test } from 'vitest';
import { CONTEXT, sequenceOf, step } from '../testing';
import { groupFindings, groupSentence } from './grouping';
import { judge } from './judge';
import { sentenceOf } from './wording';

const groupsOf = (...steps: Parameters<typeof sequenceOf>[0]) =>
	groupFindings(judge(sequenceOf(steps), CONTEXT).findings);

test('what one stroke leaves behind is one group, with every zone and side in one sentence', () => {
	const groups = groupsOf(
		step('a', ['lower-eyelid', 'zygoma', 'preauricular']),
		step('b', ['malar', 'buccal'], { side: 'left' })
	);
	const stranded = groups.filter((g) => g.lead.ruleId === 'stranded');
	expect(stranded.map((g) => groupSentence(g).head)).toEqual([
		'1 leaves fluid behind on both sides: lower eyelid, cheekbone and front of the ear.',
		'2 leaves fluid behind on the left: apple of the cheek and hollow of the cheek.'
	]);
	expect(stranded[0]!.findings).toHaveLength(6);
});

test('all else stands alone and says what it says; nothing is lost, keys are unique', () => {
	const { findings } = judge(sequenceOf([step('a', ['jawline', 'chin'], { pressure: 3 })]), CONTEXT);
	const groups = groupFindings(findings);
	expect(groups.flatMap((g) => g.findings)).toHaveLength(findings.length);
	expect(new Set(groups.map((g) => g.key)).size).toBe(groups.length);
	const cap = groups.find((g) => g.lead.ruleId === 'fluid-cap')!;
	expect(groupSentence(cap)).toEqual(sentenceOf(cap.lead));
	expect(groupFindings([])).toEqual([]);
});
