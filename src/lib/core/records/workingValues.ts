import { z } from 'zod';
import { WorkingSchema } from '../working/working.schema';
import { RecordFields, type RecordKind } from './record';

/** The working values as the practitioner has set them. */
export const WorkingRecordSchema = z.strictObject({ ...RecordFields, id: z.literal('working'), values: WorkingSchema });
export type WorkingRecord = z.infer<typeof WorkingRecordSchema>;

export const workingKind: RecordKind<WorkingRecord> = {
	id: 'working',
	table: 'working',
	title: 'Working values',
	titles: 'Working values',
	what: 'The numbers that the application reckons with, where they were changed.',
	schema: WorkingRecordSchema,
	indexes: { 5: 'id' },
	limit: 1,
	meets: 'mine',
	preview: 'silent',
	nameOf: () => 'Working values'
};
