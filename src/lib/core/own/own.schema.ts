import { z } from 'zod';
import { MediumSchema } from '../medium/medium.schema';
import { SchoolSchema } from '../school/school.schema';
import { IdSchema } from '../step/common.schema';
import { TechniqueSchema } from '../technique/technique.schema';

const record = <T extends z.ZodType>(item: T) =>
	z.strictObject({ id: IdSchema, revision: z.int().min(0), updatedAt: z.iso.datetime(), item });

/** What a practitioner adds to the shipped library, as records: her techniques, schools and media. */
export const CustomTechniqueSchema = record(TechniqueSchema);
export const CustomSchoolSchema = record(SchoolSchema);
export const CustomMediumSchema = record(MediumSchema);
export type CustomTechnique = z.infer<typeof CustomTechniqueSchema>;
export type CustomSchool = z.infer<typeof CustomSchoolSchema>;
export type CustomMedium = z.infer<typeof CustomMediumSchema>;
export type CustomKind = 'technique' | 'school' | 'medium';
export const CUSTOM_SCHEMAS = {
	technique: CustomTechniqueSchema,
	school: CustomSchoolSchema,
	medium: CustomMediumSchema
} as const;
export type CustomRecord = CustomTechnique | CustomSchool | CustomMedium;
