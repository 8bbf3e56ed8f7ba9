import { z } from 'zod';

const PatchSchema = z.strictObject({
	op: z.enum(['replace', 'remove', 'add']),
	path: z.array(z.union([z.string(), z.number()])),
	value: z.unknown().optional()
});

/** An edit as data: what it is called, how to do it and how to take it back. It survives a reload. */
export const EditSchema = z.strictObject({
	label: z.string().min(1).max(300),
	patch: z.array(PatchSchema),
	inverse: z.array(PatchSchema)
});
export type Edit = z.infer<typeof EditSchema>;
