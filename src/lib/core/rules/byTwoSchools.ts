import type { ExpandContext } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import type { School, Severity } from '../school/school.schema';
import { judge } from './judge';
import { bySeverity, graver, type Finding } from './rule';
import { ruleById } from './index';

/** A finding as two schools see it: severity in each, null where a school finds nothing. */
export interface SchoolVerdict {
	readonly key: string;
	readonly finding: Finding;
	readonly severities: readonly [Severity | null, Severity | null];
	readonly agree: boolean;
	/** The policies on which the two differ here, in words; null where the rule hangs on none. */
	readonly because: readonly [string, string] | null;
}

/**
 * One sequence judged by two schools: every finding of either, where they disagree and why. Nothing is changed, and
 * what was set aside counts as found. The gravest first, and among equals those on which the schools disagree.
 */
export function compareSchools(
	sequence: Sequence,
	schools: readonly [School, School],
	context: ExpandContext
): SchoolVerdict[] {
	const found = schools.map((school) => {
		const { findings } = judge({ ...sequence, school, mutes: [] }, context);
		return new Map(findings.map((f) => [f.key, f]));
	}) as [Map<string, Finding>, Map<string, Finding>];
	const keys = new Set([...found[0].keys(), ...found[1].keys()]);
	const verdicts = [...keys].map((key): SchoolVerdict & { severity: Severity } => {
		const [a, b] = [found[0].get(key), found[1].get(key)];
		const finding = (a ?? b)!;
		const policy = ruleById(finding.ruleId)?.policy;
		const words = policy && ([policy(schools[0]), policy(schools[1])] as const);
		const severities = [a?.severity ?? null, b?.severity ?? null] as const;
		return {
			key,
			finding,
			severities,
			agree: severities[0] === severities[1],
			because: words && words[0] !== words[1] ? words : null,
			severity: graver(a?.severity ?? 'advice', b?.severity ?? 'advice')
		};
	});
	return verdicts
		.sort((a, b) => bySeverity(a, b) || Number(a.agree) - Number(b.agree))
		.map(({ severity: _s, ...v }) => v);
}
