import { listWords } from '../listWords';
import type { Finding } from './rule';
import { RULE_TEXTS } from './texts';
import { sentenceOf, type Sentence } from './wording';

/** Findings that one look, and one fix, takes together: the same rule at the same severity. */
export interface FindingGroup {
	readonly key: string;
	readonly lead: Finding;
	readonly findings: readonly Finding[];
	/** Steps on which it was found, in the order of the findings, each once: of a finding on two steps the first. */
	readonly stepIds: readonly string[];
}

export function groupFindings(findings: readonly Finding[]): FindingGroup[] {
	const groups = new Map<string, Finding[]>();
	for (const finding of findings) {
		const key = `${finding.ruleId}|${finding.severity}`;
		const known = groups.get(key);
		if (known) known.push(finding);
		else groups.set(key, [finding]);
	}
	return [...groups].map(([key, list]) => ({
		key,
		lead: list[0]!,
		findings: list,
		stepIds: [...new Set(list.flatMap((f) => f.stepIds.slice(0, 1)))]
	}));
}

/** One sentence for a group; a group of one says what its finding says, one of many names their steps and one of them whole. */
export function groupSentence(group: FindingGroup): Sentence {
	const { lead, findings, stepIds } = group;
	if (findings.length === 1) return sentenceOf(lead);
	if (stepIds.length <= 1) return sentenceOf(lead);
	const numbers = [...new Set(findings.map((f) => Number(f.params.number)))]
		.filter(Number.isFinite)
		.sort((a, b) => a - b);
	const own = sentenceOf(lead);
	const title = RULE_TEXTS[lead.ruleId]?.title ?? lead.ruleId;
	return {
		head:
			numbers.length > 1 ? `${title}: steps ${listWords(numbers.map(String))}.` : `${title}: ${stepIds.length} steps.`,
		body: `${own.head} ${own.body}`
	};
}
