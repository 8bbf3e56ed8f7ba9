import { z } from 'zod';
import { StepIdSchema } from '../step/common.schema';

/** What was actually done of one step. */
export const DoneStepSchema = z.strictObject({
	stepId: StepIdSchema,
	/** Repetitions done on each side; of a dose in time, the seconds say it. */
	leftReps: z.number().min(0),
	rightReps: z.number().min(0),
	seconds: z.number().min(0),
	skipped: z.boolean()
});
export type DoneStep = z.infer<typeof DoneStepSchema>;
