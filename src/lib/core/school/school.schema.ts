import { z } from 'zod';
import { NODE_IDS, type NodeId } from '../atlas/nodes';
import { LevelSchema } from '../step/common.schema';
import { AIMS, idsOf } from '../vocabulary/vocabulary';

export const SEVERITIES = ['stop', 'caution', 'advice'] as const;
export const SeveritySchema = z.enum(SEVERITIES);
export type Severity = z.infer<typeof SeveritySchema>;

export const SCHOOL_IDS = [
	'outlet-first',
	'drain-every-move',
	'rise-and-drain',
	'crown-down',
	'release-then-drain',
	'nape-first'
] as const;
export type SchoolId = (typeof SCHOOL_IDS)[number];

/** A school is a set of policies, not a name on a template. A sequence file embeds the whole of it. */
const SchoolFieldsSchema = z.strictObject({
	id: z.string().min(1).max(80),
	title: z.string().min(1).max(120),
	/** What the school holds, in a sentence or two. */
	reason: z.string().max(2000),
	/** What the other schools hold against it. */
	others: z.string().max(2000),
	opening: z.strictObject({
		/** False: the school opens nothing on purpose before the strokes. */
		required: z.boolean(),
		/** Node groups in the order in which they are opened. */
		nodes: z.array(z.enum(NODE_IDS as [NodeId, ...NodeId[]])).max(11),
		/** Before what: any stroke at all, or the first one on the face. */
		before: z.enum(['everything', 'face'])
	}),
	order: z.enum(['exit-first', 'chest-up', 'crown-down', 'nape-first', 'muscle-first']),
	/** The neck is cleared before the face. */
	neckFirst: z.boolean(),
	/** A short version may end after the neck. */
	mayEndAfterNeck: z.boolean(),
	neckDirection: z.enum(['down', 'up']),
	drainPolicy: z.enum(['every-move', 'every-zone', 'every-region', 'end']),
	layering: z.enum(['mixed', 'separate']),
	/** Default target of a count by aim, where the school counts differently from the technique. */
	doses: z.partialRecord(z.enum(idsOf(AIMS)), z.int().min(1).max(1000)),
	caps: z.strictObject({ fluid: LevelSchema, muscle: LevelSchema }),
	cheekRoute: z.enum(['outward', 'downward', 'either']),
	underChin: z.enum(['outward', 'straight-down']),
	mouthFinish: z.enum(['up', 'free']),
	glide: z.enum(['oil', 'dry']),
	tape: z.enum(['hours', 'overnight', 'none']),
	/** Severities that differ from the rule's own, kept within the rule's floor and ceiling. */
	severities: z.record(z.string(), SeveritySchema)
});
export type School = z.infer<typeof SchoolFieldsSchema>;

/** What a school must not be: one that opens nothing and says it does, or one under which no move is allowed. */
function checkSchool(school: School, ctx: z.core.$RefinementCtx<School>): void {
	const problem = (path: (string | number)[], message: string) => ctx.addIssue({ code: 'custom', path, message });
	if (school.opening.required && !school.opening.nodes.length)
		problem(['opening', 'nodes'], 'name at least one node group to open, or do not require an opening');
	if (school.caps.fluid === 0 && school.caps.muscle === 0)
		problem(['caps'], 'with fluid and muscle both at 0 every move is forbidden: raise one of them to 1 or more');
	const twice = school.opening.nodes.find((node, i) => school.opening.nodes.indexOf(node) !== i);
	if (twice) problem(['opening', 'nodes'], `each node group is opened once in the list: ${twice} stands twice`);
}

export const SchoolSchema = SchoolFieldsSchema.superRefine(checkSchool);
