import type { RecordMigration } from './migration';

/** How much is said on the stage, how fast, and whether a step waits for a signal. */
export const to10: RecordMigration = {
	to: 10,
	name: 'guidance by ear',
	records: {
		settings: (raw) => ({ voice: 'none', voiceRate: 1, waits: false, ...raw })
	}
};
