import type { RecordMigration } from './migration';
import { techniqueFrom2 } from './sequenceFrom2';

/** Moves of one's own go on until one of several signs; sequences bring themselves up to date (`sequenceFrom2.ts`). */
export const to7: RecordMigration = {
	to: 7,
	name: 'several signs in own moves',
	records: {
		technique: (raw) => ({ ...raw, item: techniqueFrom2(raw.item) })
	}
};
