import { z } from 'zod';
import { DRILL_IDS, DRILLS } from '../train/drills';
import { RecordFields } from './fields.schema';
import type { RecordKind } from './record';
import { TABLES } from './tables';

/** One round of practice. */
export const DrillRoundSchema = z.strictObject({
	...RecordFields,
	drill: z.enum(DRILL_IDS),
	at: z.iso.datetime(),
	/** In the unit of the drill. */
	value: z.number().min(0).max(1_000_000),
	/** How many taps, answers or samples it comes from. */
	count: z.int().min(1).max(1_000_000),
	/** What was practised in it: the level, the pace, the school. */
	what: z.string().max(200).default(''),
	/** A simulated hand: kept apart from her own. */
	simulated: z.boolean().default(false)
});
export type DrillRound = z.infer<typeof DrillRoundSchema>;

export const drillRoundKind: RecordKind<DrillRound> = {
	id: 'drill-round',
	...TABLES['drill-round'],
	title: 'Round of practice',
	titles: 'Rounds of practice',
	what: 'What a hand came to in one round of a drill.',
	schema: DrillRoundSchema,
	limit: 100_000,
	meets: 'first',
	preview: { one: 'round of practice', many: 'rounds of practice', rest: 'that are not here yet' },
	nameOf: ({ drill, at }) => `${DRILLS[drill].title}, ${at.slice(0, 10)}`
};
