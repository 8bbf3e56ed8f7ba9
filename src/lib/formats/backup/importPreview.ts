import type { Problem } from '../problem';

/** What an import makes of a record. */
export type ImportEffect = 'added' | 'changed' | 'skipped';

/** What a preview says of an import: what is worth naming, and counts of the rest. It crosses to the page as plain data. */
export interface ImportPreview {
	readonly records: readonly {
		/** What kind of record it is, in words. */
		readonly kind: string;
		readonly id: string;
		readonly title: string;
		readonly effect: ImportEffect;
	}[];
	readonly counts: readonly {
		readonly kind: string;
		readonly count: number;
		readonly one: string;
		readonly many: string;
		readonly rest: string;
	}[];
	/** Records of the file that cannot be brought in, and why. */
	readonly leftOut: readonly Problem[];
	/** Whether anything would be written. */
	readonly worth: boolean;
}
