import { z } from 'zod';
import { EditSchema } from './edit.schema';
import { MAX_HISTORY } from './format';

const EditsSchema = z.array(EditSchema).max(MAX_HISTORY);
/** Undo and redo as data, stored beside the sequence. */
export const HistorySchema = z.strictObject({ past: EditsSchema, future: EditsSchema });
export type History = z.infer<typeof HistorySchema>;
