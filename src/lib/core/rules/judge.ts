import { filmFactsOf } from '../glide/film';
import { balanceOf, type Balance } from '../sequence/balance';
import { isInSitting } from '../sequence/chosen';
import { computable, overLimits } from '../sequence/cost';
import { edited, EditRefused } from '../sequence/edits';
import type { Edit } from '../sequence/edit.schema';
import { expand, type ExpandContext, type TimedEvent } from '../sequence/expand';
import { passesOf } from '../sequence/passes';
import type { Sequence } from '../sequence/sequence.schema';
import { timingOf, type Timing } from '../sequence/timing';
import { stepsOf } from '../sequence/walk';
import { ruleById, RULES } from './index';
import { tooMuchWork } from './dose/tooMuchWork';
import { Openings } from './openings';
import type { School } from '../school/school.schema';
import type { ClientFacts } from '../screening/clientFacts.schema';
import type { Licence } from '../screening/licence.schema';
import {
	bySeverity,
	findingKey,
	isAboutClient,
	severityIn,
	type Finding,
	type JudgeContext,
	type Params,
	type RawFinding,
	type Rule
} from './rule';

/** A finding that the user has set aside, with her reason. */
export interface Muted {
	readonly finding: Finding;
	readonly reason: string;
}

export interface Judgement {
	readonly events: readonly TimedEvent[];
	readonly timing: Timing;
	readonly balance: Balance;
	/** What is to be looked at; what was set aside stands in `muted`. */
	readonly findings: readonly Finding[];
	readonly muted: readonly Muted[];
	/** What the rules looked at. */
	readonly context: JudgeContext;
}

/** What a sequence is judged by: the working values, and who is in the chair where that is known. */
export interface JudgeInput extends ExpandContext {
	readonly client?: ClientFacts | null;
	/** What the practice says that its licence covers. */
	readonly licence?: Licence;
}

/** The rules that a school would have lighter or graver than they may become, and names that are no rule. */
const overruledBy = (school: School): string[] =>
	Object.entries(school.severities).flatMap(([id, wish]) => {
		const rule = ruleById(id);
		return rule && severityIn(rule, { stepIds: [] }, school) === wish ? [] : [id];
	});

export function contextOf(sequence: Sequence, given: JudgeInput): JudgeContext {
	const events = expand(sequence, given);
	const all = stepsOf(sequence);
	const byId = new Map(all.map((s) => [s.step.id, s]));
	const inSitting = isInSitting(sequence);
	// What is for later, and the options that are not taken, are not judged; their numbers stay.
	const steps = all.filter((s) => inSitting(s.step));
	const passes = passesOf(events);
	return {
		working: given.working,
		client: given.client ?? null,
		licence: given.licence ?? [],
		sequence,
		school: sequence.school,
		steps,
		over: computable(sequence) === sequence ? [] : overLimits(sequence),
		overruled: overruledBy(sequence.school),
		byId,
		events,
		passes,
		openings: new Openings({ passes, byId, working: given.working }),
		film: filmFactsOf(sequence, events, byId, given.working),
		timing: timingOf(sequence, given, events),
		balance: balanceOf(events, given.working)
	};
}

const NOTHING: Params = {};

/** Written out field by field: a spread for each finding costs more than most rules. */
function findingOf(rule: Rule, raw: RawFinding, school: School): Finding {
	return {
		stepIds: raw.stepIds,
		place: raw.place,
		side: raw.side,
		ruleId: rule.id,
		kind: rule.kind,
		params: raw.params ?? NOTHING,
		severity: severityIn(rule, raw, school),
		key: findingKey(rule.id, raw),
		fixable: rule.fix !== undefined,
		safe: rule.fix !== undefined && rule.safe === true
	};
}

/** All findings of all rules, the gravest first, whether set aside or not. */
function findingsOf(context: JudgeContext): Finding[] {
	const found: Finding[] = [];
	// What is cut is not what would be done: nothing true could be said of it.
	for (const rule of context.over.length ? [tooMuchWork] : RULES)
		for (const raw of rule.check(context)) found.push(findingOf(rule, raw, context.school));
	return found.sort(bySeverity);
}

/** Times, balances and judges a sequence by its own school: what the map, the score, the findings and the server answer read. */
export function judge(sequence: Sequence, given: JudgeInput): Judgement {
	const context = contextOf(sequence, given);
	const { events, timing, balance } = context;
	const reasons = new Map(sequence.mutes.map((m) => [m.key, m.reason]));
	const all = findingsOf(context);
	// What may hurt, and what comes from the client, is never set aside, whatever a file says.
	const isMuted = (f: Finding) => f.severity !== 'stop' && !isAboutClient(f) && reasons.has(f.key);
	return {
		events,
		timing,
		balance,
		findings: all.filter((f) => !isMuted(f)),
		muted: all.filter(isMuted).map((finding) => ({ finding, reason: reasons.get(finding.key)! })),
		context
	};
}

/** How often each rule finds something graver than advice: a finding may move to another step without getting worse. */
function graveCounts(findings: readonly Finding[]): Map<string, number> {
	const counts = new Map<string, number>();
	for (const f of findings) if (f.severity !== 'advice') counts.set(f.ruleId, (counts.get(f.ruleId) ?? 0) + 1);
	return counts;
}

/** Whether an edit mends its finding and gives no other rule more that is graver than advice. */
function holds(context: JudgeContext, finding: Finding, edit: Edit): boolean {
	const before = findingsOf(context);
	const after = findingsOf(contextOf(edited(context.sequence, edit), context));
	const [had, has] = [graveCounts(before), graveCounts(after)];
	const who = (f: Finding) => `${f.ruleId} ${f.stepIds.join()}`;
	const known = new Set(before.map(who));
	return (
		after.every((f) => f.key !== finding.key && (f.severity !== 'stop' || known.has(who(f)))) &&
		[...has].every(([ruleId, n]) => n <= (had.get(ruleId) ?? 0))
	);
}

/** The edit that mends a finding of a judgement, or null where none is possible. Nothing is changed by asking. */
export function fixIn(context: JudgeContext, finding: Finding): Edit | null {
	const rule = ruleById(finding.ruleId);
	try {
		const edit = rule?.fix?.(context, finding) ?? null;
		return edit && rule!.verify && !holds(context, finding, edit) ? null : edit;
	} catch (error) {
		// What would go over a limit of a sequence is no fix: one step more where there are as many as are allowed.
		if (error instanceof EditRefused) return null;
		throw error;
	}
}
