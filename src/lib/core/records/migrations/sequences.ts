import { SCHOOLS } from '../../school/schools';
import { isObject, type Embedded, type Raw } from '../record';
import { historyFrom2, sequenceFrom2 } from './sequenceFrom2';

/** A step from one version of the sequence format to the next, for a sequence and for what undo would bring back. */
interface SequenceMigration {
	readonly name: string;
	readonly from: number;
	sequence(raw: Raw): Raw;
	history(raw: unknown): unknown;
}

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

/** Ways from older versions of the sequence format to the present one, in order. Version 1 is the first. */
export const SEQUENCE_MIGRATIONS: readonly SequenceMigration[] = [
	{ name: 'own media, mutes, policy links, wider schools', from: 1, sequence: sequenceFrom1, history: historyFrom1 },
	{ name: 'repeats that say where, several signs', from: 2, sequence: sequenceFrom2, history: historyFrom2 },
	// What is said since then, no older step has said: it keeps what it is.
	{
		name: 'two hands, own signs, spots, otherwise',
		from: 3,
		sequence: (raw) => ({ ...raw, version: 4 }),
		history: (raw) => raw
	}
];

/** Brings a sequence and its undo history up to date, whatever version they were written with. */
export const toPresent: Embedded = {
	sequence(raw) {
		if (!isObject(raw)) return raw;
		const version = typeof raw.version === 'number' ? raw.version : 1;
		return SEQUENCE_MIGRATIONS.filter((m) => m.from >= version).reduce((s, m) => m.sequence(s), raw);
	},
	history: (raw, version) =>
		SEQUENCE_MIGRATIONS.filter((m) => m.from >= version).reduce<unknown>((h, m) => m.history(h), raw)
};
