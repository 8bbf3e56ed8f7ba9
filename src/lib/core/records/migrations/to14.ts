import type { RecordMigration } from './migration';

/** Grades given without seeing those before, and what a session said before it was changed later. */
export const to14: RecordMigration = {
	to: 14,
	name: 'blind grades, earlier entries',
	records: {
		session: (raw) => ({ blind: false, earlier: [], ...raw }),
		settings: (raw) => ({ gradesBlind: false, ...raw })
	}
};
