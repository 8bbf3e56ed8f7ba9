import { z } from 'zod';
import { IdSchema } from '../step/common.schema';

/** What every record has, as it is checked. */
export const RecordFields = { id: IdSchema, revision: z.int().min(0), updatedAt: z.iso.datetime() };
