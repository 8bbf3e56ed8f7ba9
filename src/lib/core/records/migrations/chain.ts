import { DATA_VERSION } from '../dataVersion';
import { kindOf, type KindId } from '../kinds';
import { isObject, type Raw } from '../record';
import { toPresent } from './sequences';
import type { Emit, RecordMigration } from './migration';
import { to10 } from './to10';
import { to11 } from './to11';
import { to12 } from './to12';
import { to13 } from './to13';
import { to14 } from './to14';
import { to15 } from './to15';
import { to16 } from './to16';
import { to17 } from './to17';
import { to18 } from './to18';
import { to5 } from './to5';
import { to6 } from './to6';
import { to7 } from './to7';
import { to8 } from './to8';
import { to9 } from './to9';

/** All steps, in order. Versions 2 to 4 brought new kinds and wider sequences, which need no step of their own. */
export const CHAIN: readonly RecordMigration[] = [
	to5,
	to6,
	to7,
	to8,
	to9,
	to10,
	to11,
	to12,
	to13,
	to14,
	to15,
	to16,
	to17,
	to18
];

/** One step for one record, and for the one that a second version holds. */
function stepped(migration: RecordMigration, kind: KindId, raw: Raw, emit: Emit): Raw {
	const made = migration.records[kind]?.(raw, emit) ?? raw;
	if (kind !== 'second-version' || !isObject(made.record)) return made;
	return { ...made, record: stepped(migration, made.kind as KindId, made.record, emit) };
}

/**
 * Brings a record of a kind from a version of the data up to date, the sequences that it embeds with it.
 * @param to where to stop: a database goes version by version
 */
export function migrateRecord(kind: KindId, raw: Raw, from: number, emit: Emit, to = DATA_VERSION): Raw {
	const shaped = CHAIN.filter((m) => m.to > from && m.to <= to).reduce(
		(record, migration) => stepped(migration, kind, record, emit),
		raw
	);
	return kindOf(kind).sequences?.(shaped, toPresent) ?? shaped;
}

/**
 * Kinds that a version of the data may hold in an older form: those of a step, and those that embed sequences.
 * @param to where to stop: what a later step changes has no table yet
 */
export const kindsToMigrate = (kinds: readonly KindId[], from: number, to: number): KindId[] =>
	kinds.filter((id) => kindOf(id).sequences || CHAIN.some((m) => m.to > from && m.to <= to && m.records[id]));
