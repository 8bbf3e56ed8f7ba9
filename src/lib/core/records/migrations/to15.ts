import { isObject } from '../record';
import type { RecordMigration } from './migration';

/** Why a session was ended early; corrections in seconds, earlier texts, and what a stage takes back and waits for. */
export const to15: RecordMigration = {
	to: 15,
	name: 'ended because, corrected seconds, undo on the stage',
	records: {
		session: (raw) => ({ endedBecause: null, ...raw }),
		working: (raw) => ({
			...raw,
			values: { signalRestSeconds: 0.25, onceSeconds: 1, gapSeconds: 3, ...(isObject(raw.values) ? raw.values : {}) }
		})
	}
};
