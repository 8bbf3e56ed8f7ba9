import type { RecordMigration } from './migration';

/** Grades given without seeing those before, what a session said before it was changed later, and suggested points. */
export const to14: RecordMigration = {
	to: 14,
	name: 'blind grades, earlier entries, suggested points',
	records: {
		photo: (raw) => ({ suggested: {}, ...raw }),
		session: (raw) => ({ blind: false, earlier: [], ...raw }),
		settings: (raw) => ({ gradesBlind: false, ...raw })
	}
};
