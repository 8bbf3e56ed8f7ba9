import type { RecordMigration } from './migration';

/** How loud the stage is, and how far away it is read: as it was. */
export const to17: RecordMigration = {
	to: 17,
	name: 'volume, and the distance from which the stage is read',
	records: {
		settings: (raw) => ({ volume: 1, stageDistanceM: 1.5, ...raw })
	}
};
