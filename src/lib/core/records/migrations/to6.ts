import type { RecordMigration } from './migration';

/** The time of its beginning, ms: sessions that are here already keep the order of their clocks. */
function placeOf(startedAt: unknown): number {
	const ms = typeof startedAt === 'string' ? Date.parse(startedAt) : NaN;
	return Number.isFinite(ms) ? Math.max(0, ms) : 0;
}

/** Sessions have a place of their own among all, and the bin remembers what was archived. */
export const to6: RecordMigration = {
	to: 6,
	name: 'order of sessions, archived in the bin',
	records: {
		session: (raw) => ({ order: placeOf(raw.startedAt), ...raw }),
		kept: (raw) => ({ archived: false, ...raw })
	}
};
