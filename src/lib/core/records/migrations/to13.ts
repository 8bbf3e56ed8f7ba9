import type { RecordMigration } from './migration';

/** Photographs, and what a client’s are looked at for. */
export const to13: RecordMigration = {
	to: 13,
	name: 'photographs',
	records: { client: (raw) => ({ primaries: [], ...raw }) }
};
