import { z } from 'zod';
import { ALLERGENS } from './allergens';
import { IdSchema, TitleSchema } from '../step/common.schema';

/** A glide medium: how long it lasts on the skin, and what it may do to whom. */
export const MediumSchema = z.strictObject({
	id: IdSchema,
	title: TitleSchema,
	/** Half-life of absorption, seconds (working value). */
	halfLifeSeconds: z.number().positive().max(7200, 'a half-life of at most 7200 s (two hours) is allowed'),
	allergens: z.array(z.enum(ALLERGENS)),
	note: z.string().max(300)
});
export type Medium = z.infer<typeof MediumSchema>;
