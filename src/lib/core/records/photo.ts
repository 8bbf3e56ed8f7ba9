import { z } from 'zod';
import { AnyPointsSchema, ScaleSchema } from '../measure/photo.schema';
import { ClientIdSchema, IdSchema, SessionIdSchema, TextSchema } from '../step/common.schema';
import { RecordFields } from './fields.schema';
import { PHOTO_VIEWS, VIEW_LABELS } from './photoViews';
import type { RecordKind } from './record';
import { TABLES } from './tables';

/** A photograph of a client: what is known of it and the points placed on it. Its bytes are files of their own. */
export const PhotoSchema = z.strictObject({
	...RecordFields,
	clientId: ClientIdSchema,
	/** The session that it belongs to, and whether it was taken before or after it; null: taken apart from any. */
	sessionId: SessionIdSchema.nullable().default(null),
	when: z.enum(['before', 'after']).default('before'),
	view: z.enum(PHOTO_VIEWS),
	takenAt: z.iso.datetime(),
	source: z.enum(['camera', 'file', 'simulated']),
	widthPx: z.int().min(1).max(8000),
	heightPx: z.int().min(1).max(8000),
	/** The picture, and a small one of it for lists. */
	fileId: IdSchema,
	thumbId: IdSchema,
	/** Where landmarks were placed. */
	points: AnyPointsSchema.default({}),
	/** Where a detector suggested them: what is learnt of her corrections comes from these. */
	suggested: AnyPointsSchema.default({}),
	/** Where they are: only a simulated camera knows. */
	truth: AnyPointsSchema.nullable().default(null),
	scale: ScaleSchema.default({ kind: 'none' }),
	distanceMm: z.number().min(200).max(5000).nullable().default(null),
	note: TextSchema.default('')
});
export type Photo = z.infer<typeof PhotoSchema>;

export const photoKind: RecordKind<Photo> = {
	id: 'photo',
	...TABLES.photo,
	title: 'Photograph',
	titles: 'Photographs',
	what: 'When and from which side a photograph of a client was taken, and the points that were placed on it.',
	schema: PhotoSchema,
	limit: 10_000,
	refs: [
		{ to: 'client', index: 'clientId', of: (p) => [p.clientId], removed: 'go', must: true },
		{
			to: 'session',
			index: 'sessionId',
			of: (p) => (p.sessionId ? [p.sessionId] : []),
			removed: (p) => ({ ...p, sessionId: null }),
			must: false
		},
		{ to: 'binary', index: 'fileId', of: (p) => [p.fileId], removed: 'go', must: true },
		{ to: 'binary', index: 'thumbId', of: (p) => [p.thumbId], removed: 'go', must: true }
	],
	meets: 'beside',
	preview: { one: 'photograph', many: 'photographs', rest: 'that are not here yet' },
	facts: ({ points, scale, note, when }) => [
		['Taken', `${when} the session`],
		['Points placed', String(Object.keys(points).length)],
		['Scale', scale.kind],
		['Note', note],
		...Object.entries(points).map(
			([id, at]) => [`Point ${id}`, (at as readonly number[]).map((x) => x.toFixed(1)).join(', ')] as const
		)
	],
	nameOf: ({ view, takenAt }) => `${VIEW_LABELS[view]}, ${takenAt.slice(0, 10)}`
};
