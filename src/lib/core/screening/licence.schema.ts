import { z } from 'zod';
import { DaySchema } from '../client/common.schema';
import { TextSchema } from '../step/common.schema';
import { LICENCE_IDS } from './licence';

/** What the practice says of its licence: covered or not, since when it was looked up, and a note. */
export const LicenceEntrySchema = z.strictObject({
	id: z.enum(LICENCE_IDS),
	covers: z.enum(['yes', 'no']),
	on: DaySchema,
	note: TextSchema.default('')
});
export type LicenceEntry = z.infer<typeof LicenceEntrySchema>;
export const LicenceSchema = z.array(LicenceEntrySchema).max(LICENCE_IDS.length);
export type Licence = z.infer<typeof LicenceSchema>;
