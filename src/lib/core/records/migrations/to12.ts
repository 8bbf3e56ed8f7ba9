import type { RecordMigration } from './migration';

/** A stage that waits only where a step goes on until a sign, and evening after sunset. */
export const to12: RecordMigration = {
	to: 12,
	name: 'waiting for a sign',
	records: {
		settings: ({ waits, ...raw }) => ({ place: null, ...raw, waits: waits === true ? 'always' : 'signs' })
	}
};
