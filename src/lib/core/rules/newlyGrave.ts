import { bySeverity, graverThan, type Finding } from './rule';

/**
 * Stops and cautions that are found after a change and were not there before, or were lighter: the gravest first. Findings
 * are told apart by their keys, set aside or not.
 */
export function newlyGrave(before: readonly Finding[], after: readonly Finding[]): Finding[] {
	const had = new Map(before.map((f) => [f.key, f.severity]));
	return after
		.filter((f) => f.severity !== 'advice' && graverThan(f.severity, had.get(f.key) ?? 'advice'))
		.sort(bySeverity);
}
