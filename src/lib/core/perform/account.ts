import { isZone, placeOf, SIDES, type Side } from '../atlas/places';
import { ZONE_IDS, type ZoneId } from '../atlas/zones';
import type { Correction, Session } from '../records/session';
import type { ExpandContext } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import { stepsOf } from '../sequence/walk';
import { expand } from '../sequence/expand';
import { stepTitle } from '../step/describe';
import { mediumById } from '../medium/media';
import { TOOLS } from '../vocabulary/vocabulary';
import type { Dose } from '../step/step.schema';
import { doneCounts, type DoneCount } from './position';
import { originOf } from './adapting/moment';

/** Repetitions and seconds on each side. */
export interface Sides {
	readonly left: number;
	readonly right: number;
	readonly seconds: number;
}
/** One step of the plan, and what became of it. */
export interface StepAccount {
	readonly stepId: string;
	readonly number: number;
	readonly title: string;
	readonly unit: Dose['kind'];
	readonly plan: Sides;
	/** As it was logged. */
	readonly logged: Sides;
	/** As it holds: as logged, or as it was put right afterwards. */
	readonly done: Sides;
	readonly correction: Correction | null;
	readonly became: 'as planned' | 'less' | 'more' | 'left out' | 'added';
}

const NONE: Sides = { left: 0, right: 0, seconds: 0 };
const plus = (a: Sides, { leftReps, rightReps, seconds }: DoneCount): Sides => ({
	left: a.left + leftReps,
	right: a.right + rightReps,
	seconds: a.seconds + seconds
});

/** By the step of the plan: parts made while working count to the step that they come from. */
function byOrigin(counts: readonly DoneCount[]): Map<string, Sides> {
	const sums = new Map<string, Sides>();
	for (const count of counts) sums.set(originOf(count.stepId), plus(sums.get(originOf(count.stepId)) ?? NONE, count));
	return sums;
}

/** Sides as they hold: as logged, or as they were put right afterwards. */
const corrected = (is: Sides, correction: Correction | null): Sides =>
	correction
		? { left: correction.leftReps, right: correction.rightReps, seconds: correction.seconds ?? is.seconds }
		: is;

type Done = Pick<Session, 'done' | 'corrections'>;

/** What was done of each step of the plan as it holds, corrections and all: what every figure of a session is made of. */
export function doneHolding({ done, corrections }: Done): DoneCount[] {
	const logged = byOrigin(done);
	const right = new Map(corrections.map((c) => [c.stepId, c]));
	return [...new Set([...logged.keys(), ...right.keys()])].map((stepId) => {
		const { left, right: r, seconds } = corrected(logged.get(stepId) ?? NONE, right.get(stepId) ?? null);
		const passed = !right.has(stepId) && done.filter((d) => originOf(d.stepId) === stepId).every((d) => d.skipped);
		return { stepId, leftReps: left, rightReps: r, seconds, skipped: passed || (!left && !r && !seconds) };
	});
}

/** Seconds that were worked, as they hold. */
export function workedHolding(session: Done & Pick<Session, 'workedSeconds'>): number {
	const logged = byOrigin(session.done);
	const more = session.corrections.reduce(
		(sum, c) => sum + (c.seconds === undefined ? 0 : c.seconds - (logged.get(c.stepId)?.seconds ?? 0)),
		0
	);
	return Math.max(0, session.workedSeconds + more);
}

/** What the whole of a sequence comes to on each side of each step. */
export function plannedCounts(sequence: Sequence, context: ExpandContext): DoneCount[] {
	const events = expand(sequence, context);
	return doneCounts(events, [{ from: 0, to: events.at(-1)?.endSeconds ?? 0 }]);
}

/** Less or more than this part of the plan is a difference in time. Working value. */
const LIKE_PLAN = 0.1;

/** Less than this part of its time, and no repetition: it was passed over. Working value. */
const BARELY = 0.05;

function becameOf(plan: Sides | undefined, done: Sides, unit: Dose['kind']): StepAccount['became'] {
	if (!plan) return 'added';
	if (!done.left && !done.right && done.seconds < BARELY * plan.seconds) return 'left out';
	// Of a dose in time, strokes are no more than the time they took.
	const reps = unit === 'seconds' ? 0 : done.left + done.right - plan.left - plan.right;
	const time = done.seconds - plan.seconds;
	if (!reps && Math.abs(time) <= LIKE_PLAN * plan.seconds) return 'as planned';
	return (reps || time) > 0 ? 'more' : 'less';
}

/**
 * The plan against what was done, step by step, in the order of the plan; what was added while working stands where it
 * was done.
 * @param planned the sequence as it was planned
 * @param performed as it was performed: the same one where nothing was changed
 */
export function accountOf(
	planned: Sequence,
	performed: Sequence,
	{ done, corrections }: Pick<Session, 'done' | 'corrections'>,
	context: ExpandContext
): StepAccount[] {
	const plan = byOrigin(plannedCounts(planned, context));
	const logged = byOrigin(done);
	const right = new Map(corrections.map((c) => [c.stepId, c]));
	const places = [...stepsOf(planned), ...stepsOf(performed).filter(({ step }) => !plan.has(originOf(step.id)))];
	return places
		.flatMap(({ step }): StepAccount[] => {
			const stepId = originOf(step.id);
			const [was, is] = [plan.get(stepId), logged.get(stepId) ?? NONE];
			// Conditions that were not met, ways that were not taken and what is for another day.
			if (!was && !is.seconds) return [];
			const correction = right.get(stepId) ?? null;
			const holds = corrected(is, correction);
			return [
				{
					stepId,
					number: 0,
					title: stepTitle(step),
					unit: step.dose.kind,
					plan: was ?? NONE,
					logged: is,
					done: holds,
					correction,
					became: becameOf(was, holds, step.dose.kind)
				}
			];
		})
		.map((row, i) => ({ ...row, number: i + 1 }));
}

/** What a zone got on each side. */
export interface ZoneAccount {
	readonly zone: ZoneId;
	readonly plan: Record<Side, number>;
	readonly done: Record<Side, number>;
}

/**
 * Zone by zone, in repetitions that passed over it on each side, as planned and as done. What is not counted in repetitions
 * is left out.
 */
export function zonesOf(rows: readonly StepAccount[], planned: Sequence, performed: Sequence): ZoneAccount[] {
	const steps = new Map([...stepsOf(performed), ...stepsOf(planned)].map(({ step }) => [originOf(step.id), step]));
	const sums = new Map<ZoneId, { plan: Record<Side, number>; done: Record<Side, number> }>();
	for (const row of rows) {
		const zones = new Set((steps.get(row.stepId)?.places ?? []).map(placeOf).filter(isZone));
		for (const zone of zones) {
			const sum = sums.get(zone) ?? { plan: { left: 0, right: 0 }, done: { left: 0, right: 0 } };
			sums.set(zone, sum);
			for (const side of SIDES) {
				sum.plan[side] += row.plan[side];
				sum.done[side] += row.done[side];
			}
		}
	}
	return ZONE_IDS.flatMap((zone) => (sums.has(zone) ? [{ zone, ...sums.get(zone)! }] : []));
}

/** Sides that differ in what was really done, though the plan had them even. */
export const unevenZones = (zones: readonly ZoneAccount[]): ZoneAccount[] =>
	zones.filter(({ plan, done }) => plan.left === plan.right && done.left !== done.right);

/** Tools and media that were really used: of steps of which something was done. */
export function usedIn(performed: Sequence, session: Done): string[] {
	const touched = new Set(
		doneHolding(session)
			.filter((d) => !d.skipped && d.seconds + d.leftReps + d.rightReps > 0)
			.map((d) => d.stepId)
	);
	const steps = stepsOf(performed)
		.map((s) => s.step)
		.filter((s) => touched.has(originOf(s.id)));
	const tools = steps.flatMap((s) => (s.tool ? [TOOLS[s.tool.id]] : []));
	const media = [
		...steps.flatMap((s) => (s.medium ? [s.medium.id] : [])),
		...(performed.medium ? [performed.medium.id] : [])
	];
	return [...new Set([...tools, ...media.map((id) => mediumById(id, performed.media).title)])];
}

/** The one account of a session: whatever is said of what was done is read from it, on every page. */
export interface SessionAccount {
	readonly rows: readonly StepAccount[];
	/** Steps of which something was done, of how many. */
	readonly stepsDone: number;
	readonly stepsPlanned: number;
	readonly leftOut: readonly StepAccount[];
	/** Done otherwise than planned. */
	readonly otherwise: readonly StepAccount[];
	readonly zones: readonly ZoneAccount[];
	readonly uneven: readonly ZoneAccount[];
	readonly used: readonly string[];
	readonly workedSeconds: number;
	readonly haltedSeconds: number;
	/** It was ended before its end. */
	readonly early: boolean;
}

/** @param planned the sequence as it was planned: the one that was performed where nothing was changed */
export function sessionAccount(
	session: Done & Pick<Session, 'workedSeconds' | 'haltedSeconds' | 'happened'>,
	planned: Sequence,
	performed: Sequence,
	context: ExpandContext
): SessionAccount {
	const rows = accountOf(planned, performed, session, context);
	const zones = zonesOf(rows, planned, performed);
	const leftOut = rows.filter((r) => r.became === 'left out');
	return {
		rows,
		stepsDone: rows.length - leftOut.length,
		stepsPlanned: rows.length,
		leftOut,
		otherwise: rows.filter((r) => r.became !== 'as planned' && r.became !== 'left out'),
		zones,
		uneven: unevenZones(zones),
		used: usedIn(performed, session),
		workedSeconds: workedHolding(session),
		haltedSeconds: session.haltedSeconds,
		early: rows.at(-1)?.became === 'left out' || session.happened.some((h) => h.mark === 'exit')
	};
}

/** What was done of a sequence that was performed without the stage: all of it but some steps. */
export const asDone = (sequence: Sequence, without: ReadonlySet<string>, context: ExpandContext): DoneCount[] =>
	plannedCounts(sequence, context).map((count) =>
		without.has(count.stepId) ? { ...count, leftReps: 0, rightReps: 0, seconds: 0, skipped: true } : count
	);
