import { dryStepsOf } from '../glide/film';
import { balanceOf, type Balance } from '../sequence/balance';
import type { Edit } from '../sequence/edits';
import { expand, type ExpandContext, type TimedEvent } from '../sequence/expand';
import { passesOf } from '../sequence/passes';
import type { Sequence } from '../sequence/sequence.schema';
import { timingOf, type Timing } from '../sequence/timing';
import { stepsOf } from '../sequence/walk';
import { ruleById, RULES } from './index';
import { Openings } from './openings';
import { bySeverity, findingKey, severityIn, type Finding, type JudgeContext } from './rule';

export interface Judgement {
	readonly events: readonly TimedEvent[];
	readonly timing: Timing;
	readonly balance: Balance;
	readonly findings: readonly Finding[];
	/** What the rules looked at. */
	readonly context: JudgeContext;
}

export function contextOf(sequence: Sequence, given: ExpandContext): JudgeContext {
	const events = expand(sequence, given);
	const steps = stepsOf(sequence);
	const byId = new Map(steps.map((s) => [s.step.id, s]));
	const passes = passesOf(events);
	return {
		...given,
		sequence,
		school: sequence.school,
		steps,
		byId,
		events,
		passes,
		openings: new Openings({ passes, byId, working: given.working }),
		dry: dryStepsOf(sequence, events, byId),
		timing: timingOf(sequence, given, events),
		balance: balanceOf(events, given.working)
	};
}

/** Times, balances and judges a sequence by its own school: what the map, the score, the findings and the server answer read. */
export function judge(sequence: Sequence, given: ExpandContext): Judgement {
	const context = contextOf(sequence, given);
	const findings = RULES.flatMap((rule) =>
		rule.check(context).map((raw): Finding => ({
			...raw,
			ruleId: rule.id,
			params: raw.params ?? {},
			severity: severityIn(rule, raw, context.school),
			key: findingKey(rule.id, raw),
			fixable: rule.fix !== undefined
		}))
	);
	const { events, timing, balance } = context;
	return { events, timing, balance, findings: findings.sort(bySeverity), context };
}

/** The edit that mends a finding, or null where none is possible. Nothing is changed by asking. */
export function fixFor(sequence: Sequence, finding: Finding, given: ExpandContext): Edit | null {
	return ruleById(finding.ruleId)?.fix?.(contextOf(sequence, given), finding) ?? null;
}
