import { z } from 'zod';
import { WorkingSchema } from '../working/working.schema';
import { RecordFields } from './fields.schema';
import type { RecordKind } from './record';
import { TABLES } from './tables';

/** The working values as the practitioner has set them. */
export const WorkingRecordSchema = z.strictObject({ ...RecordFields, id: z.literal('working'), values: WorkingSchema });
export type WorkingRecord = z.infer<typeof WorkingRecordSchema>;

export const workingKind: RecordKind<WorkingRecord> = {
	id: 'working',
	...TABLES.working,
	title: 'Working values',
	titles: 'Working values',
	what: 'The numbers that the application calculates with, where they were changed.',
	schema: WorkingRecordSchema,
	limit: 1,
	meets: 'mine',
	preview: 'silent',
	nameOf: () => 'Working values'
};
