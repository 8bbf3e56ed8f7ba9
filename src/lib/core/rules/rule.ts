import type { PlaceRef, Side } from '../atlas/places';
import type { ClientFacts } from '../screening/clientFacts.schema';
import type { Licence } from '../screening/licence.schema';
import type { School, Severity } from '../school/school.schema';
import type { FilmFacts } from '../glide/film';
import type { Openings } from './openings';
import type { Balance } from '../sequence/balance';
import type { OverLimit } from '../sequence/cost';
import type { Edit } from '../sequence/edit.schema';
import type { ExpandContext, TimedEvent } from '../sequence/expand';
import type { Pass } from '../sequence/passes';
import type { Sequence } from '../sequence/sequence.schema';
import type { Step } from '../step/step.schema';
import type { Timing } from '../sequence/timing';
import type { PlacedStep } from '../sequence/walk';

/** Everything a rule may look at; computed once for all rules. */
export interface JudgeContext extends ExpandContext {
	/** Who is in the chair; null where the sequence is judged for anybody. */
	readonly client: ClientFacts | null;
	readonly licence: Licence;
	readonly sequence: Sequence;
	readonly school: School;
	readonly steps: readonly PlacedStep[];
	/** Where it asks for more than is reckoned with; the events are cut there. */
	readonly over: readonly OverLimit[];
	/** Rules whose severity the school wishes otherwise than it may: the rule keeps it. */
	readonly overruled: readonly string[];
	readonly byId: ReadonlyMap<string, PlacedStep>;
	readonly events: readonly TimedEvent[];
	readonly passes: readonly Pass[];
	readonly openings: Openings;
	/** Where the film is missing, and where it is in the way. */
	readonly film: FilmFacts;
	readonly timing: Timing;
	readonly balance: Balance;
}

/** What a rule looks at: the headings of the findings and of the rule pages. */
export const RULE_KINDS = {
	order: 'Order',
	direction: 'Direction',
	pressure: 'Pressure',
	dose: 'Repeats and time',
	glide: 'Glide',
	tape: 'Tape',
	inside: 'Inside the cheek',
	hygiene: 'Hygiene',
	effort: 'Effort',
	body: 'Body and hands',
	school: 'The school',
	licence: 'Your licence',
	client: 'This client',
	wish: 'What she likes'
} as const;
export type RuleKind = keyof typeof RULE_KINDS;

export type Params = Readonly<Record<string, string | number>>;

/** What a rule reports: ids and numbers, no sentence. */
export interface RawFinding {
	readonly stepIds: readonly string[];
	readonly place?: PlaceRef;
	readonly side?: Side;
	/** All places of it, each with its side, where it is found at several. */
	readonly places?: readonly PlaceRef[];
	readonly params?: Params;
	/** Where one rule knows graver and lighter cases. */
	readonly severity?: Severity;
	/** Below this no school may lower the case. */
	readonly floor?: Severity;
}

export interface Finding extends RawFinding {
	readonly ruleId: string;
	readonly severity: Severity;
	readonly params: Params;
	/** ruleId, sorted step ids or `sequence`, place, side: the same before and after an edit. Numbers are no part of it. */
	readonly key: string;
	readonly kind: RuleKind;
	readonly fixable: boolean;
	readonly safe: boolean;
}

/** What comes from the person in the chair belongs to her, not to the sequence: it is never set aside in it. */
export const isOfClient = (finding: Pick<Finding, 'kind'>): boolean => finding.kind === 'client';
/** Limits and wishes alike: never set aside in a sequence. */
export const isAboutClient = (finding: Pick<Finding, 'kind'>): boolean =>
	isOfClient(finding) || finding.kind === 'wish';

export interface Rule {
	readonly id: string;
	readonly kind: RuleKind;
	readonly severity: Severity;
	/** The lightest and the gravest that a school may make of it. */
	readonly floor: Severity;
	readonly ceiling: Severity;
	check(context: JudgeContext): RawFinding[];
	/** A labelled edit after which the finding is gone; null where none is possible. */
	fix?(context: JudgeContext, finding: Finding): Edit | null;
	/** The fix only lowers, wipes or adds: it may be applied together with others, unseen one by one. */
	readonly safe?: boolean;
	/** The policy of the school on which the finding hangs, in words; absent where all schools agree. */
	policy?(school: School): string;
}

const RANK: Record<Severity, number> = { advice: 0, caution: 1, stop: 2 };
export const graverThan = (a: Severity, b: Severity): boolean => RANK[a] > RANK[b];
export const graver = (a: Severity, b: Severity): Severity => (RANK[a] >= RANK[b] ? a : b);
export const lighter = (a: Severity, b: Severity): Severity => (RANK[a] <= RANK[b] ? a : b);
export const bySeverity = (a: { severity: Severity }, b: { severity: Severity }) => RANK[b.severity] - RANK[a.severity];

/** What a school may make of a rule, the lightest first. */
export const allowedSeverities = ({ floor, ceiling }: Pick<Rule, 'floor' | 'ceiling'>): readonly Severity[] =>
	(['advice', 'caution', 'stop'] as const).filter((s) => RANK[s] >= RANK[floor] && RANK[s] <= RANK[ceiling]);

/** The severity of a finding in a school: the school's wish, kept between floor and ceiling. */
export function severityIn(rule: Rule, raw: RawFinding, school: School): Severity {
	const wish = school.severities[rule.id] ?? raw.severity ?? rule.severity;
	return lighter(graver(wish, raw.floor ?? rule.floor), rule.ceiling);
}

export function findingKey(ruleId: string, { stepIds, place, side }: RawFinding): string {
	const steps = stepIds.length > 1 ? [...stepIds].sort().join('+') : (stepIds[0] ?? 'sequence');
	return `${ruleId}|${steps}|${place ?? ''}|${side ?? ''}`;
}

/** The step that a finding speaks of first. */
export function stepOfFinding(context: JudgeContext, finding: Pick<Finding, 'stepIds'>): Step | null {
	return context.byId.get(finding.stepIds[0] ?? '')?.step ?? null;
}
