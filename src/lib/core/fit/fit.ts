import { aimRow } from '../vocabulary/vocabulary';
import { worthOf } from '../goal/coverage';
import { clock, stepTitle } from '../step/describe';
import { keepPolicyLinks } from '../links/drainPolicy';
import { applyEdit, makeEdit, type Edit } from '../sequence/edits';
import { secondsOf, type ExpandContext } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import type { Dose, Step } from '../step/step.schema';
import { stepsOf } from '../sequence/walk';
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

/** A dose part of the way from its target to its minimum (share < 0) or to its maximum (share > 0), −1..1. */
export function scaledDose(dose: Dose, share: number): Dose {
	const to = share < 0 ? dose.min : dose.max;
	const exact = dose.target + Math.abs(share) * (to - dose.target);
	// Never past what was asked: down when shortening, down as well when lengthening, so that the time holds.
	const target = Math.max(dose.min, Math.floor(exact));
	return { ...dose, target: share > 0 ? Math.max(dose.target, target) : target } as Dose;
}

function scaled(sequence: Sequence, share: number, without: ReadonlySet<string>, working: Working): Sequence {
	const step = (s: Step): Step => (keepsItsCount(s) || share === 0 ? s : { ...s, dose: scaledDose(s.dose, share) });
	const changed = {
		...sequence,
		phases: sequence.phases.map((phase) => ({
			...phase,
			blocks: phase.blocks.map((block) => ({
				...block,
				steps: block.steps.filter((s) => !without.has(s.id)).map(step)
			}))
		}))
	};
	// What is left out may have carried a link of the drain policy, which then moves to another step and takes time there.
	const kept = without.size ? keepPolicyLinks(changed, working) : null;
	return kept ? applyEdit(changed, kept) : changed;
}

const NONE: ReadonlySet<string> = new Set();
const SHARES = Array.from({ length: 20 }, (_, i) => (i + 1) / 20);

/** A step on one side and its like on the other go together or not at all. */
function partnersOf(step: Step, steps: readonly Step[]): Step[] | null {
	if ((step.side !== 'left' && step.side !== 'right') || step.reason?.trim()) return [step];
	const other = step.side === 'left' ? 'right' : 'left';
	const twin = steps.find((s) => s.side === other && s.aim === step.aim && s.places.join() === step.places.join());
	return twin?.optional ? [step, twin] : null;
}

/** Sets of steps that may be left out, the least worth for the goals first. */
function droppable(sequence: Sequence): Step[][] {
	const steps = stepsOf(sequence).map((s) => s.step);
	return steps
		.filter((s) => s.optional && !keepsItsCount(s) && !(s.end.kind === 'link' && s.end.by === 'hand'))
		.map((s) => partnersOf(s, steps))
		.filter((set): set is Step[] => set !== null)
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

/**
 * Fits a sequence to a time: counts within their ranges first, then optional moves, the least worth for the goals first.
 * Never an opening, never the closing drain, never left without right.
 * @param seconds the time there is, > 0
 * @throws {RangeError} if it is not above 0
 */
export function fitTo(sequence: Sequence, seconds: number, context: ExpandContext): Fit {
	if (!(seconds > 0)) throw new RangeError(`seconds out of range > 0: ${seconds}`);
	const { working } = context;
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
		const longer = [...SHARES].reverse().find((share) => timeOf(scaled(sequence, share, NONE, working)) <= seconds);
		return longer
			? done(
					scaled(sequence, longer, NONE, working),
					'Counts are raised within their ranges, as far as the time allows.'
				)
			: done(sequence, 'It fits as it is.');
	}
	const shorter = SHARES.find((share) => timeOf(scaled(sequence, -share, NONE, working)) <= seconds);
	if (shorter)
		return done(
			scaled(sequence, -shorter, NONE, working),
			'Counts are lowered within their ranges; nothing is left out.'
		);
	const without = new Set<string>();
	for (const set of droppable(sequence)) {
		for (const step of set) without.add(step.id);
		const after = scaled(sequence, -1, without, working);
		if (timeOf(after) <= seconds)
			return done(
				after,
				'Counts are at their minimum, and moves marked as optional are left out, the least for the goals first.'
			);
	}
	const least = timeOf(scaled(sequence, -1, without, working));
	const why = `At least ${clock(least)} is needed: openings, the closing drain and the smallest counts of moves that are not optional.`;
	return { fits: false, seconds: least, changes: [], edit: null, why };
}
