import { z } from 'zod';
import { DaySchema } from '../client/days';
import { SidedZoneSchema, type SidedZone } from '../client/sidedZone';
import { ALLERGENS } from '../medium/medium.schema';
import { IdSchema, TextSchema } from '../step/common.schema';
import { LevelSchema } from '../step/levels';
import { idsOf, POSTURES } from '../vocabulary/vocabulary';
import { WhichSchema } from './which';

/** Where something holds, worked out: everywhere, or zones with their sides. */
export const ReachSchema = z.union([z.literal('everywhere'), z.array(SidedZoneSchema)]);
export type Reach = z.infer<typeof ReachSchema>;

const common = {
	/** The answer, mark, preference or code it comes from, and which of its effects. */
	id: IdSchema,
	source: z.strictObject({ kind: z.enum(['answer', 'mark', 'licence']), id: IdSchema }),
	/** What it comes from, in a word or two: Filler. */
	name: z.string().max(200),
	reason: TextSchema,
	severity: z.enum(['stop', 'caution', 'advice']),
	/** The day it was done or began. */
	since: DaySchema.nullable(),
	/** The first day on which it holds no more; null where nothing ends it by itself. */
	until: DaySchema.nullable()
};
const of = <Does extends string, Shape extends z.core.$ZodLooseShape>(does: Does, shape: Shape) =>
	z.strictObject({ ...common, does: z.literal(does), ...shape });
/** Where it holds, and the same in words as short as it was told: "the eyes and their corners, right, and around". */
const at = { where: ReachSchema, whereWords: z.string().max(300) };
const reach = { ...at, which: WhichSchema.optional() };

/** What holds for a client on a day: data, so that it can be judged by, drawn, sent to a worker and kept with a session. */
export const LimitSchema = z.discriminatedUnion('does', [
	of('refer', {}),
	of('clearance', {}),
	of('leave-out', reach),
	/** A spot that strokes go round: the zone may be worked beside it. */
	of('go-round', at),
	of('level', { ...at, level: LevelSchema }),
	of('minutes', { minutes: z.number().min(1).max(240) }),
	of('one-side', at),
	of('posture', { without: z.array(z.enum(idsOf(POSTURES))) }),
	of('upright', {}),
	of('media', { without: z.array(z.enum(ALLERGENS)) }),
	of('mind', { ...reach, say: z.string().min(1).max(200) })
]);
export type Limit = z.infer<typeof LimitSchema>;
export type LimitOf<Does extends Limit['does']> = Extract<Limit, { does: Does }>;

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
