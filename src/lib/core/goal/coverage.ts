import type { Working } from '../working/working.schema';
import { placeOf } from '../atlas/places';
import type { ZoneId } from '../atlas/zones';
import { shareOfSide } from '../sequence/balance';
import type { TimedEvent } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import type { Step } from '../step/step.schema';
import { stepsOf } from '../sequence/walk';
import { typicalDose } from '../step/typicalDose';
import type { Aim } from '../vocabulary/vocabulary';
import { goalInfo, type GoalId } from './goals';

export interface CoverageRow {
	readonly aim: Aim;
	readonly zone: ZoneId;
	/** Weight within the goal, shares summing to 1. */
	readonly weight: number;
	/** Full doses received: 1 = one target dose of the technique on both sides. */
	readonly doses: number;
	/** Seconds of light and of deep work with this aim, the mean of both sides. */
	readonly lightSeconds: number;
	readonly deepSeconds: number;
}
export interface Coverage {
	readonly goal: GoalId;
	readonly rows: readonly CoverageRow[];
	/** Weighted part of the goal that is served, 0..1; more than a full dose counts as one. */
	readonly share: number;
	/** Rows that get nothing. */
	readonly missing: readonly CoverageRow[];
}

/** How many full doses a step is: its target against what is usual for such a move. */
function dosesOf(step: Step, working: Working): number {
	const typical = typicalDose(step, working);
	return typical ? step.dose.target / typical[1] : 1;
}
const oneSided = (step: Step): boolean => step.side === 'left' || step.side === 'right';

function rowOf(
	aim: Aim,
	zone: ZoneId,
	weight: number,
	steps: readonly Step[],
	events: readonly TimedEvent[],
	working: Working
): CoverageRow {
	const serving = steps.filter((s) => s.aim === aim && s.places.some((p) => placeOf(p) === zone));
	const ids = new Set(serving.map((s) => s.id));
	const seconds = { light: 0, deep: 0 };
	for (const event of events) {
		if (!ids.has(event.stepId) || (event.kind !== 'work' && event.kind !== 'station')) continue;
		event.places.forEach((ref, i) => {
			if (placeOf(ref) !== zone) return;
			const share = (shareOfSide(event, 'left', ref) + shareOfSide(event, 'right', ref)) / 2;
			const level = event.levels[i] ?? event.levels[0] ?? 0;
			const each = ((event.endSeconds - event.startSeconds) / event.places.length) * share;
			seconds[level >= working.deepLevel ? 'deep' : 'light'] += each;
		});
	}
	const doses = serving.reduce((sum, s) => sum + dosesOf(s, working) * (oneSided(s) ? 0.5 : 1), 0);
	return { aim, zone, weight, doses, lightSeconds: seconds.light, deepSeconds: seconds.deep };
}

/** How far a sequence serves each of its goals: which zones get how much, light and deep, and what is missing. */
export function coverageOf(sequence: Sequence, events: readonly TimedEvent[], working: Working): Coverage[] {
	const steps = stepsOf(sequence).map((s) => s.step);
	return sequence.goals.map(({ id }) => {
		const needs = Object.entries(goalInfo(id).needs) as [Aim, Partial<Record<ZoneId, number>>][];
		const flat = needs.flatMap(([aim, zones]) =>
			(Object.entries(zones) as [ZoneId, number][]).map(([zone, weight]) => ({ aim, zone, weight }))
		);
		const total = flat.reduce((s, n) => s + n.weight, 0);
		const rows = flat
			.map((n) => rowOf(n.aim, n.zone, n.weight / total, steps, events, working))
			.sort((a, b) => b.weight - a.weight);
		return {
			goal: id,
			rows,
			share: rows.reduce((s, r) => s + r.weight * Math.min(1, r.doses), 0),
			missing: rows.filter((r) => r.doses === 0)
		};
	});
}

/** A goal without a weight still counts a little: its zones are asked for. */
const LEAST_GOAL_WEIGHT = 0.01;

/**
 * How far the goals of a sequence are served in each zone they name, 0..1: full doses received against asked for, by the
 * weight of the goal and of the zone within it; more than a full dose counts as one.
 */
export function servedByZone(
	sequence: Pick<Sequence, 'goals'>,
	coverage: readonly Coverage[]
): { zone: ZoneId; share: number }[] {
	const zones = new Map<ZoneId, { weight: number; served: number }>();
	for (const { goal, rows } of coverage) {
		const ofGoal = Math.max(sequence.goals.find((g) => g.id === goal)?.weight ?? 1, LEAST_GOAL_WEIGHT);
		for (const row of rows) {
			const sum = zones.get(row.zone) ?? { weight: 0, served: 0 };
			const weight = row.weight * ofGoal;
			zones.set(row.zone, { weight: sum.weight + weight, served: sum.served + weight * Math.min(1, row.doses) });
		}
	}
	return [...zones].map(([zone, { weight, served }]) => ({ zone, share: served / weight }));
}

/** What a step is worth for the goals of its sequence: the sum of the weights of what it serves. */
export function worthOf(step: Step, goals: Sequence['goals']): number {
	return goals.reduce((sum, { id, weight }) => {
		const zones: Partial<Record<ZoneId, number>> = goalInfo(id).needs[step.aim] ?? {};
		return sum + weight * step.places.reduce((s, p) => s + (zones[placeOf(p) as ZoneId] ?? 0), 0);
	}, 0);
}
