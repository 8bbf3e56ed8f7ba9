import { z } from 'zod';
import { MediumSchema, type Medium } from '../medium/medium.schema';
import { SchoolSchema, type School } from '../school/school.schema';
import { TechniqueSchema, type Technique } from '../technique/technique.schema';
import { plainFacts } from './facts';
import { RecordFields } from './fields.schema';
import type { RecordKind, StoredRecord } from './record';
import { TABLES } from './tables';

/** What a practitioner adds to the shipped library: the item under the id that the record has too. */
export interface CustomRecordOf<T> extends StoredRecord {
	readonly item: T;
}
export type CustomTechnique = CustomRecordOf<Technique>;
export type CustomSchool = CustomRecordOf<School>;
export type CustomMedium = CustomRecordOf<Medium>;
export type CustomRecord = CustomTechnique | CustomSchool | CustomMedium;

function customKind<T extends { id: string; title: string }>(
	schema: z.ZodType<T>,
	words: Pick<RecordKind, 'title' | 'titles' | 'what' | 'limit'> & { readonly id: 'technique' | 'school' | 'medium' }
): RecordKind<CustomRecordOf<T>> {
	return {
		...words,
		...TABLES[words.id],
		schema: z.strictObject({ ...RecordFields, item: schema }) as unknown as z.ZodType<CustomRecordOf<T>>,
		meets: 'beside',
		preview: 'listed',
		nameOf: (record) => record.item.title,
		facts: (record) => plainFacts(record.item)
	};
}

export const techniqueKind = customKind<Technique>(TechniqueSchema, {
	id: 'technique',
	title: 'Own move',
	titles: 'Own moves',
	what: 'A technique that the practitioner added to the library or changed.',
	limit: 2000
});
export const schoolKind = customKind<School>(SchoolSchema, {
	id: 'school',
	title: 'Own school',
	titles: 'Own schools',
	what: 'A school that the practitioner copied and changed.',
	limit: 200
});
export const mediumKind = customKind<Medium>(MediumSchema, {
	id: 'medium',
	title: 'Own medium',
	titles: 'Own media',
	what: 'A glide medium that the practitioner added.',
	limit: 200
});
