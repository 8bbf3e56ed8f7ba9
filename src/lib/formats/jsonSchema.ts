import { z } from 'zod';
import { BackupSchema } from './backupFile';
import { SequenceFileSchema } from './sequenceFile';

const published = { sequence: SequenceFileSchema, backup: BackupSchema } as const;
export type PublishedSchema = keyof typeof published;
export const PUBLISHED_SCHEMAS = Object.keys(published) as PublishedSchema[];

/** JSON Schema of a file format, made from the Zod schema. Necessary, not sufficient: docs/formats.md lists the rest. */
export function jsonSchemaOf(name: PublishedSchema): Record<string, unknown> {
	const schema = z.toJSONSchema(published[name], { io: 'input', unrepresentable: 'any' });
	return { $id: `/api/v1/schema/${name}`, title: `soft-tide/${name}`, ...schema };
}
