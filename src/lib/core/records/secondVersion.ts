import { z } from 'zod';
import { IdSchema } from '../step/common.schema';
import { RecordFields } from './fields.schema';
import type { Raw, RecordKind, StoredRecord } from './record';
import { TABLES } from './tables';

/** A save that came from an older revision, or a record that an import replaced: kept, and offered beside the other one. */
export interface SecondVersion extends StoredRecord {
	/** Kind of the record that it is another version of. */
	readonly kind: string;
	readonly recordId: string;
	readonly savedAt: string;
	readonly record: StoredRecord;
}

/**
 * The kind of second versions, over the kinds that can have them: what a second version embeds and points to is what
 * its record does.
 */
export function secondVersionKind(kinds: readonly RecordKind<never>[]): RecordKind<SecondVersion> {
	const all = kinds as unknown as readonly RecordKind[];
	const kindOf = (id: unknown) => all.find((k) => k.id === id);
	const pairs = all.map((k) =>
		z.strictObject({
			...RecordFields,
			kind: z.literal(k.id),
			recordId: IdSchema,
			savedAt: z.iso.datetime(),
			record: k.schema
		})
	);
	const targets = [...new Set(all.flatMap((k) => (k.refs ?? []).filter((r) => r.removed === 'go').map((r) => r.to)))];
	return {
		id: 'second-version',
		...TABLES['second-version'],
		title: 'Second version',
		titles: 'Second versions',
		what: 'Another version of a record, saved from an older one or replaced by an import, until one of the two is chosen.',
		schema: z.discriminatedUnion('kind', pairs as never) as unknown as z.ZodType<SecondVersion>,
		inBackupSince: 5,
		limit: 20_000,
		refs: [
			{ to: 'any', index: 'recordId', of: (s) => [`${s.kind} ${s.recordId}`], removed: 'go', must: false },
			...targets.map((to) => ({
				to,
				index: null,
				of: (s: SecondVersion) =>
					(kindOf(s.kind)?.refs ?? []).filter((r) => r.to === to).flatMap((r) => r.of(s.record)),
				removed: 'go' as const,
				// What the other version points to may be gone; it then goes with the choice between the two.
				must: to === 'snapshot'
			}))
		],
		sequences: (raw, visit) => {
			const lens = kindOf(raw.kind)?.sequences;
			return lens ? { ...raw, record: lens(raw.record as Raw, visit) } : raw;
		},
		meets: 'first',
		preview: { one: 'second version', many: 'second versions', rest: 'that are not here yet' },
		nameOf: (s, nameOf) => nameOf(s.kind, s.recordId)
	};
}
