import { filmFactsOf } from '../glide/film';
import { balanceOf, type Balance } from '../sequence/balance';
import { isInSitting } from '../sequence/chosen';
import { computable, overLimits } from '../sequence/cost';
import { edited, EditRefused, joinEdits } from '../sequence/edits';
import type { Edit } from '../sequence/edit.schema';
import { expand, type ExpandContext, type TimedEvent } from '../sequence/expand';
import { passesOf } from '../sequence/passes';
import type { Sequence } from '../sequence/sequence.schema';
import { timingOf, type Timing } from '../sequence/timing';
import { stepsOf } from '../sequence/walk';
import { ruleById, RULES } from './index';
import { tooMuchWork } from './dose/tooMuchWork';
import { newlyGrave } from './newlyGrave';
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
	type Rule,
	type RuleKind
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
		places: raw.places,
		ruleId: rule.id,
		kind: rule.kind,
		params: raw.params ?? NOTHING,
		severity: severityIn(rule, raw, school),
		key: findingKey(rule.id, raw),
		fixable: rule.fix !== undefined,
		safe: rule.fix !== undefined && rule.safe === true
	};
}

/** What was found in a context: asked again for each of its fixes. */
const known = new WeakMap<JudgeContext, readonly Finding[]>();
/** All findings of all rules, the gravest first, whether set aside or not. */
export function findingsOf(context: JudgeContext): readonly Finding[] {
	const found = known.get(context) ?? lookThrough(context);
	known.set(context, found);
	return found;
}
function lookThrough(context: JudgeContext): Finding[] {
	const found: Finding[] = [];
	// What is cut is not what would be done: nothing true could be said of it.
	for (const rule of context.over.length ? [tooMuchWork] : RULES)
		for (const raw of rule.check(context)) found.push(findingOf(rule, raw, context.school));
	const later = context.over.length ? null : laterOf(context);
	if (later)
		for (const rule of RULES.filter(({ kind }) => ALSO_LATER.includes(kind)))
			for (const raw of rule.check(later)) found.push(findingOf(rule, raw, context.school));
	return found.sort(bySeverity);
}

/** What may hurt is asked of steps for another sitting, too; when and in which order they come is not known yet. */
const ALSO_LATER: readonly RuleKind[] = ['pressure', 'body'];
/** The same context with what is for later in place of what is done now; null where nothing is. */
function laterOf(context: JudgeContext): JudgeContext | null {
	const steps = [...context.byId.values()].filter(({ step }) => step.later);
	return steps.length ? { ...context, steps } : null;
}

// What may hurt, and what comes from the client, is never set aside, whatever a file says.
const isMuted = (sequence: Sequence) => {
	const keys = new Set(sequence.mutes.map((m) => m.key));
	return (f: Finding) => f.severity !== 'stop' && !isAboutClient(f) && keys.has(f.key);
};
/** The findings that are to be looked at. */
export function notMuted(sequence: Sequence, all: readonly Finding[]): Finding[] {
	const muted = isMuted(sequence);
	return all.filter((f) => !muted(f));
}

/** Times, balances and judges a sequence by its own school: what the map, the score, the findings and the server answer read. */
export function judge(sequence: Sequence, given: JudgeInput): Judgement {
	const context = contextOf(sequence, given);
	const { events, timing, balance } = context;
	const reasons = new Map(sequence.mutes.map((m) => [m.key, m.reason]));
	const all = findingsOf(context);
	const muted = isMuted(sequence);
	return {
		events,
		timing,
		balance,
		findings: all.filter((f) => !muted(f)),
		muted: all.filter(muted).map((finding) => ({ finding, reason: reasons.get(finding.key)! })),
		context
	};
}

/** What a sequence comes to by an edit, and all that is found then. */
export interface Mended {
	readonly edit: Edit;
	readonly context: JudgeContext;
	readonly all: readonly Finding[];
}

/** Further fixes that one may bring along: what a fix breaks is mended with it, or the fix is none. */
const MOST_FOLLOWING = 9;

/**
 * The fix of a finding, judged by what comes of it: it brings no stop and no caution that was not there before, or there is
 * none. What the fix itself makes necessary is done with it.
 * @param all what is found in the context now, set aside or not
 */
export function mendOne(context: JudgeContext, all: readonly Finding[], finding: Finding): Mended | null {
	const edits: Edit[] = [];
	let [now, left] = [context, all];
	try {
		for (
			let next: Finding | undefined = finding;
			next && edits.length <= MOST_FOLLOWING;
			next = newlyGrave(all, left)[0]
		) {
			const edit = ruleById(next.ruleId)?.fix?.(now, next);
			if (!edit) return null;
			edits.push(edit);
			now = contextOf(edited(now.sequence, edit), context);
			left = findingsOf(now);
		}
	} catch (error) {
		// What would go over a limit of a sequence is no fix: one step more where there are as many as are allowed.
		if (error instanceof EditRefused) return null;
		throw error;
	}
	if (newlyGrave(all, left).length || left.some((f) => f.key === finding.key)) return null;
	return { edit: edits.length === 1 ? edits[0]! : joinEdits(edits[0]!.label, edits), context: now, all: left };
}

/** The edit that mends a finding of a judgement, or null where none is possible. Nothing is changed by asking. */
export const fixIn = (context: JudgeContext, finding: Finding): Edit | null =>
	mendOne(context, findingsOf(context), finding)?.edit ?? null;

/** Whether a changed sequence has no stop and no caution that it had not before: what an offer is held to. */
export const bringsNothingGrave = (before: Sequence, after: Sequence, given: JudgeInput): boolean =>
	!newlyGrave(findingsOf(contextOf(before, given)), findingsOf(contextOf(after, given))).length;
