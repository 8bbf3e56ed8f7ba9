import { z } from 'zod';
import { backupSchema } from './backup/backupSchema';
import { LIBRARY_KINDS, librarySchema, type LibraryKind } from './librarySchemas';
import { SeriesFileSchema } from './seriesFile';
import { SequenceFileSchema } from './sequenceFile';

const FILES = { sequence: () => SequenceFileSchema, backup: backupSchema, series: () => SeriesFileSchema } as const;
export type PublishedSchema = keyof typeof FILES | `library-${LibraryKind}`;
export const PUBLISHED_SCHEMAS: readonly PublishedSchema[] = [
	...(Object.keys(FILES) as (keyof typeof FILES)[]),
	...LIBRARY_KINDS.map((kind) => `library-${kind}` as const)
];

const schemaOf = (name: PublishedSchema): z.ZodType =>
	name in FILES ? FILES[name as keyof typeof FILES]() : librarySchema(name.slice('library-'.length) as LibraryKind);

/** JSON Schema of a file format or a served list, made from the Zod schema. Necessary, not sufficient: docs/formats.md lists the rest. */
export function jsonSchemaOf(name: PublishedSchema): Record<string, unknown> {
	// A backup embeds the same records at several places: each is said once.
	const reused = name === 'backup' ? 'ref' : 'inline';
	const schema = z.toJSONSchema(schemaOf(name), { io: 'input', unrepresentable: 'any', reused });
	return { $id: `/api/v1/schema/${name}`, title: `soft-tide/${name}`, ...schema };
}
