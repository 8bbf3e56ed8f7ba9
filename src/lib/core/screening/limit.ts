import { daysBetween, type Day } from '../client/days';
import type { SidedZone } from '../client/sidedZone';
import type { Limit, LimitOf, Reach } from './limit.schema';

/** Most limits that a client has at once: more is refused. */
export const MAX_LIMITS = 500;

const NO_LIMITS: readonly never[] = [];
const sorted = new WeakMap<readonly Limit[], Map<string, readonly Limit[]>>();
/** Limits of a day by what they do, taken apart once: every step asks for them. Left out with certain moves only: `barred`. */
function byKind(limits: readonly Limit[]): Map<string, readonly Limit[]> {
	const known = sorted.get(limits);
	if (known) return known;
	const kinds = new Map<string, Limit[]>();
	const add = (kind: string, limit: Limit) => kinds.set(kind, [...(kinds.get(kind) ?? []), limit]);
	for (const limit of limits) {
		add(limit.does, limit);
		if (limit.does === 'leave-out') add(limit.which ? 'barred' : 'left-out', limit);
	}
	sorted.set(limits, kinds);
	return kinds;
}

export const limitsThat = <Does extends Limit['does']>(
	limits: readonly Limit[],
	does: Does
): readonly LimitOf<Does>[] => (byKind(limits).get(does) as readonly LimitOf<Does>[] | undefined) ?? NO_LIMITS;
/** Places that are left out whatever is done there, and moves that are left out, anywhere or in places. */
export const limitsOut = (limits: readonly Limit[], what: 'left-out' | 'barred'): readonly LimitOf<'leave-out'>[] =>
	(byKind(limits).get(what) as readonly LimitOf<'leave-out'>[] | undefined) ?? NO_LIMITS;

const sets = new WeakMap<object, ReadonlySet<string>>();
/** Whether a limit holds at a zone on a side. Limits never change, so their places are taken apart once. */
export function reaches(where: Reach, place: SidedZone): boolean {
	if (where === 'everywhere') return true;
	const known = sets.get(where) ?? new Set<string>(where);
	sets.set(where, known);
	return known.has(place);
}

/** Days of a waiting period: how many have passed of how many; null where none are counted. */
export function waitOf(limit: Pick<Limit, 'since' | 'until'>, today: Day): { passed: number; days: number } | null {
	if (!limit.until || !limit.since) return null;
	return { passed: Math.max(0, daysBetween(limit.since, today)), days: daysBetween(limit.since, limit.until) };
}
