import { SCHOOLS } from '../core/school/schools';
import type { Migration } from './readJson';

type Raw = Record<string, unknown>;
const isObject = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * A school of version 1, with the policies that version 2 adds: from the shipped school of the same id, else those of
 * a school that clears the neck first and counts as its techniques do.
 */
export function schoolFrom1(raw: unknown): unknown {
	if (!isObject(raw)) return raw;
	const shipped = SCHOOLS.find((s) => s.id === raw.id);
	const opening = isObject(raw.opening)
		? { ...raw.opening, before: shipped?.opening.before ?? 'everything' }
		: raw.opening;
	return {
		...raw,
		opening,
		others: shipped?.others ?? '',
		neckFirst: shipped?.neckFirst ?? true,
		mayEndAfterNeck: shipped?.mayEndAfterNeck ?? false,
		doses: shipped?.doses ?? {}
	};
}

/** Media of one's own, mutes with their reasons, who keeps the drain links, and the wider school. */
export function sequenceFrom1(raw: Raw): Raw {
	return { ...raw, version: 2, media: [], links: 'hand', mutes: [], school: schoolFrom1(raw.school) };
}

/** Steps back in the history that exchanged a school must bring back a school of today's form. */
export function historyFrom1(raw: unknown): unknown {
	if (!isObject(raw)) return raw;
	const patches = (list: unknown): unknown =>
		Array.isArray(list)
			? list.map((p: unknown) =>
					isObject(p) && Array.isArray(p.path) && p.path.length === 1 && p.path[0] === 'school'
						? { ...p, value: schoolFrom1(p.value) }
						: p
				)
			: list;
	const edits = (list: unknown): unknown =>
		Array.isArray(list)
			? list.map((e: unknown) => (isObject(e) ? { ...e, patch: patches(e.patch), inverse: patches(e.inverse) } : e))
			: list;
	return { ...raw, past: edits(raw.past), future: edits(raw.future) };
}

const storedFrom1 = (stored: unknown): unknown =>
	isObject(stored) && isObject(stored.sequence)
		? { ...stored, sequence: sequenceFrom1(stored.sequence), history: historyFrom1(stored.history) }
		: stored;

/** A session keeps the sequence as it was that day. */
export const sessionFrom1 = (session: unknown): unknown =>
	isObject(session) && isObject(session.sequence) ? { ...session, sequence: sequenceFrom1(session.sequence) } : session;

/** The sequences of a backup, those kept in its sessions, and room for the user's own techniques, schools and media. */
export function backupFrom1(raw: Raw): Raw {
	const sequences = Array.isArray(raw.sequences) ? raw.sequences.map(storedFrom1) : raw.sequences;
	const sessions = Array.isArray(raw.sessions) ? raw.sessions.map(sessionFrom1) : raw.sessions;
	return { ...raw, sequences, sessions, techniques: [], schools: [], media: [] };
}

/** Kept versions, the bin, and whether a sequence is archived. */
export function backupFrom2(raw: Raw): Raw {
	const archived = (stored: unknown): unknown => (isObject(stored) ? { ...stored, archived: false } : stored);
	return { ...raw, sequences: Array.isArray(raw.sequences) ? raw.sequences.map(archived) : raw.sequences, kept: [] };
}

/** Saved comparisons. */
export const backupFrom3 = (raw: Raw): Raw => ({ ...raw, comparisons: [] });

/** Ways from older versions to the present one, in order. Version 1 is the first. */
export const SEQUENCE_MIGRATIONS: readonly Migration[] = [
	{ name: 'own media, mutes, policy links, wider schools', from: 1, migrate: sequenceFrom1 }
];
export const BACKUP_MIGRATIONS: readonly Migration[] = [
	{ name: 'own techniques, schools and media', from: 1, migrate: backupFrom1 },
	{ name: 'kept versions, bin, archive', from: 2, migrate: backupFrom2 },
	{ name: 'saved comparisons', from: 3, migrate: backupFrom3 }
];
