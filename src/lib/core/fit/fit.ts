import { aimRow } from '../vocabulary/vocabulary';
import { worthOf } from '../goal/coverage';
import { clock, stepTitle } from '../step/describe';
import { keepPolicyLinks } from '../links/drainPolicy';
import { edited, makeEdit } from '../sequence/edits';
import type { Edit } from '../sequence/edit.schema';
import { secondsOf, type ExpandContext } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import type { Dose, Step } from '../step/step.schema';
import { mapSteps, stepsOf } from '../sequence/walk';
import type { Working } from '../working/working.schema';

export interface FitChange {
	readonly stepId: string;
	readonly number: number;
	/** What happened, as a sentence without its number. */
	readonly text: string;
	readonly kind: 'fewer' | 'more' | 'left-out';
}
export interface Fit {
	/** False where even the shortest version is too long. */
	readonly fits: boolean;
	/** Expected seconds afterwards; where it does not fit, of the shortest version. */
	readonly seconds: number;
	readonly changes: readonly FitChange[];
	/** The edit to do it; null where nothing changes or nothing fits. */
	readonly edit: Edit | null;
	/** What was done, and why. */
	readonly why: string;
}

/** Openings and the close are never shortened: what they save is lost twice. */
export const keepsItsCount = (step: Pick<Step, 'aim'>): boolean => aimRow(step.aim).keepsCount;

/** Neither shortened nor drawn out: openings and the close, hygiene, soaking, cold, and what goes on until a sign shows. */
const isFixed = (step: Step): boolean =>
	keepsItsCount(step) || aimRow(step.aim).keepsTime || step.until !== undefined || step.later === true;

/** A dose part of the way from its target to its minimum (share < 0) or to its maximum (share > 0), −1..1. */
export function scaledDose(dose: Dose, share: number): Dose {
	const to = share < 0 ? dose.min : dose.max;
	const exact = dose.target + Math.abs(share) * (to - dose.target);
	// Never past what was asked: down when shortening, down as well when lengthening, so that the time holds.
	const target = Math.max(dose.min, Math.floor(exact));
	return { ...dose, target: share > 0 ? Math.max(dose.target, target) : target } as Dose;
}

/** How a fit is made in the middle of a session. */
interface FitLimits {
	/** Steps that stay as they are: they have been done, or begun. */
	readonly keep?: ReadonlySet<string>;
	/** Whether it may end where a short version does. */
	readonly exits?: boolean;
}

function scaled(
	sequence: Sequence,
	share: number,
	without: ReadonlySet<string>,
	working: Working,
	keep: ReadonlySet<string>
): Sequence {
	const changed = mapSteps(sequence, (s) => {
		if (without.has(s.id)) return null;
		return isFixed(s) || keep.has(s.id) || share === 0 ? s : { ...s, dose: scaledDose(s.dose, share) };
	});
	// What is left out may have carried a link of the drain policy, which then moves to another step and takes time there.
	const kept = without.size ? keepPolicyLinks(changed, working) : null;
	return kept ? edited(changed, kept) : changed;
}

const NONE: ReadonlySet<string> = new Set();
/** From the longest to the shortest. */
const SHARES = Array.from({ length: 41 }, (_, i) => 1 - i / 20);
/** How much of the time may be left over. */
const CLOSE_ENOUGH = 0.05;

/** Raises counts one by one within their ranges, what serves the goals most first, until the time is nearly used. */
function filled(
	sequence: Sequence,
	seconds: number,
	timeOf: (s: Sequence) => number,
	keep: ReadonlySet<string>
): Sequence {
	let now = sequence;
	let time = timeOf(now);
	const order = stepsOf(sequence)
		.map((s) => s.step)
		.filter((s) => !isFixed(s) && !keep.has(s.id) && s.dose.target < s.dose.max)
		.sort((a, b) => worthOf(b, sequence.goals) - worthOf(a, sequence.goals));
	for (const { id } of order) {
		if (time >= seconds * (1 - CLOSE_ENOUGH)) break;
		const raised = mapSteps(now, (s) =>
			s.id === id ? { ...s, dose: { ...s.dose, target: Math.min(s.dose.max, s.dose.target + 1) } as Dose } : s
		);
		const after = timeOf(raised);
		if (after <= seconds) [now, time] = [raised, after];
	}
	return now;
}

/** A step on one side and its like on the other go together or not at all. */
function partnersOf(step: Step, steps: readonly Step[]): Step[] | null {
	if ((step.side !== 'left' && step.side !== 'right') || step.reason?.trim()) return [step];
	const other = step.side === 'left' ? 'right' : 'left';
	const twin = steps.find((s) => s.side === other && s.aim === step.aim && s.places.join() === step.places.join());
	return twin?.optional ? [step, twin] : null;
}

/** Sets of steps that may be left out, the least worth for the goals first. */
function droppable(sequence: Sequence, keep: ReadonlySet<string>): Step[][] {
	const steps = stepsOf(sequence).map((s) => s.step);
	return steps
		.filter((s) => s.optional && !keepsItsCount(s) && !(s.end.kind === 'link' && s.end.by === 'hand'))
		.map((s) => partnersOf(s, steps))
		.filter((set): set is Step[] => set !== null && !set.some((s) => keep.has(s.id)))
		.sort((a, b) => worthOf(a[0]!, sequence.goals) - worthOf(b[0]!, sequence.goals));
}

function describe(sequence: Sequence, after: Sequence): FitChange[] {
	const later = new Map(stepsOf(after).map((s) => [s.step.id, s.step]));
	return stepsOf(sequence).flatMap(({ step, number }): FitChange[] => {
		const now = later.get(step.id);
		if (!now) return [{ stepId: step.id, number, kind: 'left-out', text: `${stepTitle(step)} is left out` }];
		const [from, to] = [step.dose.target, now.dose.target];
		if (from === to) return [];
		const kind = to < from ? 'fewer' : 'more';
		const unit = { reps: '×', seconds: 's', breaths: 'breaths' }[step.dose.kind];
		return [{ stepId: step.id, number, kind, text: `${stepTitle(step)}: ${to} instead of ${from} ${unit}` }];
	});
}

/** The sequence until one of its exits, without what comes after. */
const until = (sequence: Sequence, phase: number): Sequence => ({
	...sequence,
	phases: sequence.phases.slice(0, phase + 1)
});

/** A way of making it shorter: what is left out, and how it is said. */
interface Way {
	readonly of: Sequence;
	readonly without: ReadonlySet<string>;
	readonly why: string;
}

/** Ways from the whole to the shortest: all of it, then without optional moves, then ending where a short version may. */
function* waysOf(sequence: Sequence, { keep = NONE, exits: mayExit = true }: FitLimits): Generator<Way> {
	yield { of: sequence, without: NONE, why: 'Counts are lowered within their ranges; nothing is left out.' };
	const without = new Set<string>();
	const why = 'Moves marked as optional are left out, the least for the goals first; counts keep to their ranges.';
	for (const set of droppable(sequence, keep)) {
		for (const step of set) without.add(step.id);
		yield { of: sequence, without: new Set(without), why };
	}
	if (!mayExit) return;
	const exits = sequence.phases.slice(0, -1).flatMap((phase, i) => (phase.exitAfter ? [{ phase, i }] : []));
	for (const { phase, i } of exits.reverse()) {
		const name = phase.exitTitle ? `“${phase.exitTitle}”` : 'the short version';
		const rest = sequence.phases.slice(i + 1).map((p) => p.title.toLowerCase());
		const said = `It ends after ${phase.title.toLowerCase()}, as ${name} does: without ${rest.join(', ')}.`;
		yield { of: until(sequence, i), without: NONE, why: said };
		yield { of: until(sequence, i), without: new Set(without), why: `${said} Optional moves are left out too.` };
	}
}

/**
 * Fits a sequence to a time: counts within their ranges first, then optional moves, the least worth for the goals first,
 * then the exits that it has. Never an opening, never the closing drain, never hygiene, soaking or wear, never left without
 * right. What is found is filled up to within a twentieth of the time where the ranges allow.
 * @param seconds the time there is, > 0
 * @param limits in the middle of a session: what stays as it is, and that it is not ended before its end
 * @throws {RangeError} if it is not above 0
 */
export function fitTo(sequence: Sequence, seconds: number, context: ExpandContext, limits: FitLimits = {}): Fit {
	if (!(seconds > 0)) throw new RangeError(`seconds out of range > 0: ${seconds}`);
	const { working } = context;
	const { keep = NONE } = limits;
	const timeOf = (s: Sequence) => secondsOf(s, context, 'target').total;
	const done = (after: Sequence, why: string): Fit => {
		const changes = describe(sequence, after);
		const label = `Fit to ${clock(seconds)}`;
		const edit = changes.length
			? makeEdit(sequence, label, (draft) => {
					draft.phases = after.phases as typeof draft.phases;
				})
			: null;
		return { fits: true, seconds: timeOf(after), changes, edit, why };
	};
	if (timeOf(sequence) <= seconds) {
		const longer = SHARES.filter((s) => s > 0).find(
			(share) => timeOf(scaled(sequence, share, NONE, working, keep)) <= seconds
		);
		const raised = filled(longer ? scaled(sequence, longer, NONE, working, keep) : sequence, seconds, timeOf, keep);
		return raised === sequence || !describe(sequence, raised).length
			? done(sequence, 'It fits as it is.')
			: done(raised, 'Counts are raised within their ranges, as far as the time allows.');
	}
	let least = Infinity;
	for (const { of, without, why } of waysOf(sequence, limits)) {
		const shortest = timeOf(scaled(of, -1, without, working, keep));
		least = Math.min(least, shortest);
		if (shortest > seconds) continue;
		const share = SHARES.find((s) => timeOf(scaled(of, s, without, working, keep)) <= seconds) ?? -1;
		return done(filled(scaled(of, share, without, working, keep), seconds, timeOf, keep), why);
	}
	const why = `At least ${clock(least)} is needed: openings, hygiene, the closing drain and the smallest counts of moves that are not optional.`;
	return { fits: false, seconds: least, changes: [], edit: null, why };
}
