import { z } from 'zod';
import { ZONE_IDS, type ZoneId } from '../atlas/zones';
import { IdSchema, TextSchema } from '../step/common.schema';
import { MARK_KINDS, type MarkKind } from './marks';
import { SIDED_ZONES, type SidedZone } from './sidedZone';

export const DaySchema = z.iso.date();
export const SidedZoneSchema = z.enum(SIDED_ZONES as unknown as [SidedZone, ...SidedZone[]]);

/** Something on the client's skin or under it, where it is and since when. */
export const MarkSchema = z.strictObject({
	id: IdSchema,
	kind: z.enum(MARK_KINDS as [MarkKind, ...MarkKind[]]),
	zone: z.enum(ZONE_IDS as [ZoneId, ...ZoneId[]]),
	side: z.enum(['left', 'right', 'midline']),
	/** Across its longest, mm. */
	sizeMm: z.number().min(1).max(200),
	since: DaySchema.nullable().default(null),
	note: TextSchema.default('')
});
export type Mark = z.infer<typeof MarkSchema>;
