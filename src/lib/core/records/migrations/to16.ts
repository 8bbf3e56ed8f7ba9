import type { RecordMigration } from './migration';

/** Whether a face is looked for on photographs: nobody had chosen it. */
export const to16: RecordMigration = {
	to: 16,
	name: 'faces found only where it is wished',
	records: {
		settings: (raw) => ({ findsFaces: false, ...raw })
	}
};
