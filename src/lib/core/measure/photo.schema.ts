import { z } from 'zod';
import { POINTS_OF_VIEW, type AnyPoint, type Points } from './landmarks';

/** A place on a photograph, px from its upper left corner. */
export const PixelSchema = z.tuple([z.number().min(-10_000).max(20_000), z.number().min(-10_000).max(20_000)]);
const ALL_POINTS = [...new Set(Object.values(POINTS_OF_VIEW).flat())] as [AnyPoint, ...AnyPoint[]];
/** Of either view: a photograph holds those of its own. */
export const AnyPointsSchema = z.partialRecord(z.enum(ALL_POINTS), PixelSchema);

/** What tells how large the face is: nothing, the irises, or something of known length that lay on the skin. */
export const ScaleSchema = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.literal('none') }),
	/** Where the iris ends at the right and left of each eye: right eye, then left. */
	z.strictObject({ kind: z.literal('iris'), ends: z.tuple([PixelSchema, PixelSchema, PixelSchema, PixelSchema]) }),
	z.strictObject({
		kind: z.literal('marker'),
		ends: z.tuple([PixelSchema, PixelSchema]),
		lengthMm: z.number().min(5).max(200)
	})
]);
export type Scale = DeepReadonly<z.infer<typeof ScaleSchema>>;

/** One photograph, as far as it is measured. */
export const PointedPhotoSchema = z.strictObject({
	points: AnyPointsSchema,
	scale: ScaleSchema.default({ kind: 'none' }),
	/** From the camera to the face; absent: the usual one. */
	distanceMm: z.number().min(200).max(5000).optional(),
	/** At how many screen px a px of the picture was looked at while placing. */
	zoom: z.number().min(0.25).max(32).default(4)
});
type Parsed = z.infer<typeof PointedPhotoSchema>;
export type PointedPhoto = Omit<Parsed, 'points' | 'scale'> & {
	readonly points: Points;
	readonly scale: DeepReadonly<Parsed['scale']>;
};
type DeepReadonly<T> = { readonly [K in keyof T]: DeepReadonly<T[K]> };
