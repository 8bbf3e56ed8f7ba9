import type { RecordMigration } from './migration';

/**
 * How loud the stage is, and how far away it is read: as it was. Rounds of pressure and pace counted the spread alone: they
 * are kept apart from those that count how far off a hand is.
 */
export const to17: RecordMigration = {
	to: 17,
	name: 'volume, the distance from which the stage is read, rounds that count bias and spread',
	records: {
		settings: (raw) => ({ volume: 1, stageDistanceM: 1.5, ...raw }),
		'drill-round': (raw) =>
			raw.drill === 'pressure' || raw.drill === 'pace'
				? { ...raw, what: `${String(raw.what ?? '').slice(0, 180)} (spread alone)`.trim() }
				: raw
	}
};
