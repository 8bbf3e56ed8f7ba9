import { z } from 'zod';
import { PAIR_MEASURE_IDS } from './pairMeasures';
import { PointedPhotoSchema } from './photo.schema';

/** What is asked when two photographs are compared: points, no pictures. */
export const PairQuestionSchema = z.strictObject({
	before: PointedPhotoSchema,
	after: PointedPhotoSchema,
	/** Declared before looking, at most four. */
	primaries: z.array(z.enum(PAIR_MEASURE_IDS)).max(4).default([]),
	/** Pairs of one and the same moment: what the own error is told from. */
	retakes: z
		.array(z.tuple([PointedPhotoSchema, PointedPhotoSchema]))
		.max(200)
		.default([])
});
