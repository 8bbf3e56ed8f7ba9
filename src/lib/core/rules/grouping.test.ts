import { expect, test } from 'vitest';
import { CONTEXT, sequenceOf, step } from '../testing';
import { groupFindings, groupSentence } from './grouping';
import { judge } from './judge';
import { sentenceOf } from './wording';

const groupsOf = (...steps: Parameters<typeof sequenceOf>[0]) =>
	groupFindings(judge(sequenceOf(steps), CONTEXT).findings);

test('the same rule on several steps is one group that names them; what one stroke leaves behind is one sentence', () => {
	const groups = groupsOf(
		step('a', ['lower-eyelid', 'zygoma', 'preauricular']),
		step('b', ['malar', 'buccal'], { side: 'left' })
	);
	const stranded = groups.filter((g) => g.lead.ruleId === 'stranded');
	expect(stranded.map(groupSentence)).toEqual([
		{
			head: 'No fluid left behind: steps 1 and 2.',
			body: expect.stringContaining(
				'1 leaves fluid behind on both sides: lower eyelid, cheekbone and front of the ear. It stays at the front of the ear: nothing later carries it'
			)
		}
	]);
	expect(stranded[0]!.stepIds).toEqual(['a', 'b']);
	const [only] = groupsOf(step('b', ['malar', 'buccal'], { side: 'left' })).filter((g) => g.lead.ruleId === 'stranded');
	expect(groupSentence(only!).head).toBe(
		'1 leaves fluid behind on the left: apple of the cheek and hollow of the cheek.'
	);
});

test('what stands alone says what it says; nothing is lost, keys are unique', () => {
	const { findings } = judge(sequenceOf([step('a', ['jawline', 'chin'], { pressure: 3 })]), CONTEXT);
	const groups = groupFindings(findings);
	expect(groups.flatMap((g) => g.findings)).toHaveLength(findings.length);
	expect(new Set(groups.map((g) => g.key)).size).toBe(groups.length);
	const cap = groups.find((g) => g.lead.ruleId === 'fluid-cap')!;
	expect(groupSentence(cap)).toEqual(sentenceOf(cap.lead));
	expect(groupFindings([])).toEqual([]);
});
