import { z } from 'zod';
import { ComparisonSchema } from '../core/flow/comparison.schema';
import { ClientSchema, SessionSchema, SettingsSchema } from '../core/measure/records.schema';
import { CustomMediumSchema, CustomSchoolSchema, CustomTechniqueSchema } from '../core/own/own.schema';
import { HistorySchema } from '../core/sequence/history';
import { SequenceSchema } from '../core/sequence/sequence.schema';
import { CORE_VERSION } from '../core/version';
import { CAUTION_LINE } from './caution';
import { KeptSchema } from './kept.schema';
import { problemsOf, refuse, type Parsed, type Problem } from './problem';
import { BACKUP_MIGRATIONS } from './migrations';
import { readJson, upToDate } from './readJson';

export const BACKUP_VERSION = 4;

export const StoredSequenceSchema = z.strictObject({
	sequence: SequenceSchema,
	history: HistorySchema,
	/** Out of the usual list, not removed. */
	archived: z.boolean()
});

/** Everything that the application holds. */
export const BackupSchema = z.strictObject({
	format: z.literal('soft-tide/backup'),
	version: z.literal(BACKUP_VERSION),
	core: z.string().max(40),
	caution: z.string().max(2000).optional(),
	exportedAt: z.iso.datetime(),
	clients: z.array(ClientSchema).max(10_000),
	sequences: z.array(StoredSequenceSchema).max(10_000),
	sessions: z.array(SessionSchema).max(100_000),
	techniques: z.array(CustomTechniqueSchema).max(2000),
	schools: z.array(CustomSchoolSchema).max(200),
	media: z.array(CustomMediumSchema).max(200),
	/** Versions that were kept, and what lies in the bin. */
	kept: z.array(KeptSchema).max(20_000),
	/** Comparisons by the model, each with what it was asked. */
	comparisons: z.array(ComparisonSchema).max(2000),
	settings: SettingsSchema.nullable()
});
export type Backup = z.infer<typeof BackupSchema>;

export function writeBackupFile(content: Omit<Backup, 'format' | 'version' | 'core' | 'caution'>): string {
	const backup: Backup = {
		format: 'soft-tide/backup',
		version: BACKUP_VERSION,
		core: CORE_VERSION,
		caution: CAUTION_LINE,
		...content
	};
	return JSON.stringify(backup);
}

/** What a schema cannot say: no id twice, and every session belongs to a client of the file. */
function crossCheck(backup: Backup): Problem[] {
	const problems: Problem[] = [];
	const twice = (path: string, ids: string[]) => {
		const seen = new Set<string>();
		ids.forEach((id, i) => {
			if (seen.has(id))
				problems.push({
					path: `${path}[${i}].id`,
					message: `the id stands twice: ${id}`,
					remedy: 'Remove one of the two.'
				});
			seen.add(id);
		});
	};
	twice(
		'clients',
		backup.clients.map((c) => c.id)
	);
	twice(
		'sequences',
		backup.sequences.map((s) => s.sequence.id)
	);
	twice(
		'sessions',
		backup.sessions.map((s) => s.id)
	);
	for (const kind of ['techniques', 'schools', 'media', 'kept', 'comparisons'] as const)
		twice(
			kind,
			backup[kind].map((r) => r.id)
		);
	const known = new Set(backup.clients.map((c) => c.id));
	backup.sessions.forEach((s, i) => {
		if (!known.has(s.clientId))
			problems.push({
				path: `sessions[${i}].clientId`,
				message: `no client of the file has this id: ${s.clientId}`,
				remedy: 'Add the client, or remove the session.'
			});
	});
	return problems.slice(0, 20);
}

export function readBackupFile(text: string): Parsed<Backup> {
	const raw = readJson(text);
	if (!raw.ok) return raw;
	if (raw.value.format === 'soft-tide/sequence')
		return refuse(
			'The file holds one sequence, not a backup.',
			'Choose a file of the format soft-tide/backup.',
			'format'
		);
	const current = upToDate(raw.value, 'soft-tide/backup', BACKUP_VERSION, BACKUP_MIGRATIONS);
	if (!current.ok) return current;
	const result = BackupSchema.safeParse(current.value);
	if (!result.success) return { ok: false, problems: problemsOf(result.error) };
	const problems = crossCheck(result.data);
	return problems.length ? { ok: false, problems } : { ok: true, value: result.data };
}
