import { SIDES } from '../../atlas/places';
import { sidedWords, sideIn, zoneIn } from '../../client/sidedZone';
import { listWords } from '../../listWords';
import type { Severity } from '../../school/school.schema';
import { changedBy, type ChangeId } from '../../screening/adapt/step';
import type { Limit } from '../../screening/limit.schema';
import type { Meeting } from '../../screening/meets';
import { removeSteps, setStep } from '../../sequence/edits';
import type { Edit } from '../../sequence/edit.schema';
import type { Step } from '../../step/step.schema';
import { graver, stepOfFinding, type JudgeContext, type Params, type RawFinding, type Rule } from '../rule';

export const limitsOf = (context: Pick<JudgeContext, 'client'>): readonly Limit[] => context.client?.limits ?? [];

/** Longest reason that a finding carries, characters. */
const MOST_REASON = 600;
const once = (words: readonly string[]): string[] => [...new Set(words)];

/** What limits that meet have in common, in words: every one of them is named, the strictest counts. */
export function wordsOf(limits: readonly Limit[]): { names: string; reason: string; until: string } {
	const ends = limits.map((l) => l.until);
	return {
		names: listWords(once(limits.map((l) => l.name))),
		reason: once(limits.map((l) => l.reason))
			.join(' ')
			.slice(0, MOST_REASON),
		// As long as one of them holds, it holds.
		until: ends.every((end) => end !== null) ? ends.reduce((a, b) => (b! > a! ? b : a))! : ''
	};
}
export const gravest = (limits: readonly Limit[]): Severity =>
	limits.reduce<Severity>((g, l) => graver(g, l.severity), 'advice');

/** Most places that are named one by one. */
const MOST_NAMED = 3;
/** Where it is met, place by place; of many, as the limits themselves say it. */
const whereOf = (limits: readonly Limit[], places: Meeting['places']): string =>
	new Set(places.map(zoneIn)).size <= MOST_NAMED
		? listWords(sidedWords(places))
		: listWords(once(limits.flatMap((l) => ('whereWords' in l ? [l.whereWords] : []))));

/** A finding about limits that a step, or the sequence, meets. */
export function foundOf(stepIds: readonly string[], { limits, places }: Meeting, params: Params = {}): RawFinding {
	const severity = gravest(limits);
	const first = places[0];
	const sides = SIDES.filter((side) => places.some((p) => sideIn(p) === side));
	return {
		stepIds,
		...(first ? { place: zoneIn(first) } : {}),
		...(sides.length === 1 ? { side: sides[0]! } : {}),
		params: { ...wordsOf(limits), where: whereOf(limits, places), ...params },
		severity,
		floor: severity
	};
}

/** The edit that puts a changed step in place of one, or takes it out where nothing is left of it. */
export function changeEdit(context: JudgeContext, step: Step, after: Step | null, number: unknown): Edit | null {
	if (after === step) return null;
	if (!after) return { ...removeSteps(context.sequence, [step.id]), label: `Leave out step ${number} for this client` };
	const gone = Object.fromEntries(Object.keys(step).map((key) => [key, undefined]));
	return setStep(context.sequence, step.id, { ...gone, ...after }, `Make step ${number} fit this client`);
}

interface StepRule {
	readonly id: string;
	readonly severity: Severity;
	readonly meets: (step: Step, limits: readonly Limit[], context: JudgeContext) => Meeting;
	/** What the fix may change, in order. */
	readonly by: readonly ChangeId[];
	readonly params?: (step: Step, meeting: Meeting) => Params;
	readonly fix?: Rule['fix'];
}

/** A rule about the person in the chair: what of her limits each step meets, and the change of the step after which it does not. */
export const clientRule = ({ id, severity, meets, by, params, fix }: StepRule): Rule => ({
	id,
	kind: 'client',
	severity,
	floor: 'advice',
	ceiling: 'stop',
	check(context) {
		const limits = limitsOf(context);
		if (!limits.length) return [];
		return context.steps.flatMap(({ step, number }): RawFinding[] => {
			const meeting = meets(step, limits, context);
			if (!meeting.limits.length) return [];
			return [foundOf([step.id], meeting, { number, ...params?.(step, meeting) })];
		});
	},
	fix:
		fix ??
		((context, finding) => {
			const step = stepOfFinding(context, finding);
			if (!step) return null;
			const { sequence, working } = context;
			const adapting = { limits: limitsOf(context), media: sequence.media, pumps: working.linkPumps };
			const changes = step.side === undefined ? by.filter((change) => change !== 'one-side') : by;
			return changeEdit(context, step, changedBy(step, changes, adapting), finding.params.number);
		})
});
