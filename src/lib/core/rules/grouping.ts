import { labelOf, placeOf } from '../atlas/places';
import { listWords } from '../listWords';
import { ruleById } from './index';
import type { Finding } from './rule';
import { sentenceOf, type Sentence } from './wording';

/** Findings that one look, and one fix, takes together: the same rule on the same steps at the same severity. */
export interface FindingGroup {
	readonly key: string;
	readonly lead: Finding;
	readonly findings: readonly Finding[];
}

export function groupFindings(findings: readonly Finding[]): FindingGroup[] {
	const groups = new Map<string, Finding[]>();
	for (const finding of findings) {
		const flock = ruleById(finding.ruleId)?.flocks ?? false;
		const key = flock ? `${finding.ruleId}|${[...finding.stepIds].sort().join('+')}` : finding.key;
		groups.set(key, [...(groups.get(key) ?? []), finding]);
	}
	return [...groups].map(([key, list]) => ({ key, lead: list[0]!, findings: list }));
}

/** One sentence for a group; a group of one says what its finding says. */
export function groupSentence({ lead, findings }: FindingGroup): Sentence {
	if (findings.length === 1) return sentenceOf(lead);
	const zones = [...new Set(findings.map((f) => labelOf(placeOf(f.place!)).toLowerCase()))];
	const sides = [...new Set(findings.map((f) => f.side))];
	const where = sides.length === 2 ? 'on both sides' : `on the ${sides[0]}`;
	return {
		head: `${lead.params.number} leaves fluid behind ${where}: ${listWords(zones)}.`,
		body: sentenceOf(lead).body
	};
}
