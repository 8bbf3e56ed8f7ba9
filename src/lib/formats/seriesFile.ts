import { z } from 'zod';
import { EntrySchema } from '../core/assess/assessment.schema';
import type { Session } from '../core/records/session';
import { CORE_VERSION } from '../core/version';
import { CAUTION_LINE } from './caution';

export const SERIES_FORMAT = 'soft-tide/series';
const MomentSchema = z.strictObject({ takenAt: z.iso.datetime(), entries: z.array(EntrySchema) });
/** One client’s observations over time: for statistics elsewhere. It is not read back. */
export const SeriesFileSchema = z.strictObject({
	format: z.literal(SERIES_FORMAT),
	version: z.literal(1),
	core: z.string().max(40),
	caution: z.string().max(2000),
	client: z.string().max(200),
	visits: z.array(
		z.strictObject({
			startedAt: z.iso.datetime(),
			/** Minutes from UTC to the clock on the wall. */
			zoneOffsetMinutes: z.number(),
			sequence: z.string().nullable(),
			workedSeconds: z.number().min(0),
			before: MomentSchema,
			after: MomentSchema.nullable(),
			context: z.array(EntrySchema)
		})
	)
});

/** The series of a client as a file. @param client a name or a code */
export function seriesFile(client: string, sessions: readonly Session[]): string {
	const file: z.input<typeof SeriesFileSchema> = {
		format: SERIES_FORMAT,
		version: 1,
		core: CORE_VERSION,
		caution: CAUTION_LINE,
		client,
		visits: sessions.map(({ startedAt, zoneOffsetMinutes, sequence, workedSeconds, before, after, context }) => ({
			startedAt,
			zoneOffsetMinutes,
			sequence: sequence?.title ?? null,
			workedSeconds,
			before,
			after,
			context
		}))
	};
	return `${JSON.stringify(file, null, '\t')}\n`;
}
