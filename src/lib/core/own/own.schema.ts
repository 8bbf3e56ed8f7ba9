import { z } from 'zod';
import { MediumSchema } from '../glide/medium.schema';
import { SchoolSchema } from '../school/school.schema';
import { IdSchema } from '../sequence/common.schema';
import { TechniqueSchema } from '../technique/technique.schema';

const record = <T extends z.ZodType>(item: T) =>
	z.strictObject({ id: IdSchema, revision: z.int().min(0), updatedAt: z.iso.datetime(), item });

/** What a practitioner adds to the shipped library, as records: her techniques, schools and media. */
export const OwnTechniqueSchema = record(TechniqueSchema);
export const OwnSchoolSchema = record(SchoolSchema);
export const OwnMediumSchema = record(MediumSchema);
export type OwnTechnique = z.infer<typeof OwnTechniqueSchema>;
export type OwnSchool = z.infer<typeof OwnSchoolSchema>;
export type OwnMedium = z.infer<typeof OwnMediumSchema>;
export type OwnKind = 'technique' | 'school' | 'medium';
export const OWN_SCHEMAS = { technique: OwnTechniqueSchema, school: OwnSchoolSchema, medium: OwnMediumSchema } as const;
export type OwnRecord = OwnTechnique | OwnSchool | OwnMedium;
