import type { RecordMigration } from './migration';

/** Sequences say more of what hands and clients do; what they embed is brought up to date with them, the records stay. */
export const to18: RecordMigration = {
	to: 18,
	name: 'work of two hands, signs of one’s own, spots, swelling pressure, what is done otherwise',
	records: {}
};
