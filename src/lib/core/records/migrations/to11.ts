import type { RecordMigration } from './migration';

/** What was changed and noted while working, what was corrected, and whether the stage led through it. */
export const to11: RecordMigration = {
	to: 11,
	name: 'the session as it happened',
	records: {
		settings: (raw) => ({ listens: false, ...raw }),
		session: (raw) => ({ planned: null, guided: true, happened: [], corrections: [], told: '', ...raw })
	}
};
