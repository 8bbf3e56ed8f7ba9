import { z } from 'zod';
import { PAIR_MEASURE_IDS } from './pairIds';
import { MEASURED_VIEWS, POINTS_OF_VIEW } from './landmarks';
import { PointedPhotoSchema } from './photo.schema';

/** What is asked when two photographs are compared: points, no pictures. */
export const PairQuestionSchema = z
	.strictObject({
		/** From which side all of them were taken. */
		view: z.enum(MEASURED_VIEWS).default('front'),
		before: PointedPhotoSchema,
		after: PointedPhotoSchema,
		/** Declared before looking, at most four. */
		primaries: z.array(z.enum(PAIR_MEASURE_IDS)).max(4).default([]),
		/** Pairs of one and the same moment: what the own error is told from. */
		retakes: z
			.array(z.tuple([PointedPhotoSchema, PointedPhotoSchema]))
			.max(200)
			.default([])
	})
	.superRefine(({ view, before, after, retakes }, ctx) => {
		const known = new Set<string>(POINTS_OF_VIEW[view]);
		const photos: readonly { readonly path: PropertyKey[]; readonly points: object }[] = [
			{ path: ['before'], points: before.points },
			{ path: ['after'], points: after.points },
			...retakes.flatMap((pair, i) => pair.map(({ points }, j) => ({ path: ['retakes', i, j], points })))
		];
		for (const { path, points } of photos)
			for (const id of Object.keys(points))
				if (!known.has(id))
					ctx.addIssue({
						code: 'custom',
						path: [...path, 'points', id],
						message: `is no point of a ${view} photograph: leave it out, or say the other view`
					});
	});
