import { z } from 'zod';
import { NODE_IDS, type NodeId } from '../atlas/nodes';
import { LevelSchema } from '../pressure/levels';

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

/** A school is a set of policies, not a name on a template. A sequence file embeds the whole of it. */
export const SchoolSchema = z.strictObject({
	id: z.string().min(1).max(80),
	title: z.string().min(1).max(120),
	/** What the school holds, in a sentence or two. */
	reason: z.string().max(2000),
	opening: z.strictObject({
		/** False: the school opens nothing on purpose before the strokes. */
		required: z.boolean(),
		/** Node groups in the order in which they are opened. */
		nodes: z.array(z.enum(NODE_IDS as [NodeId, ...NodeId[]])).max(11)
	}),
	order: z.enum(['exit-first', 'chest-up', 'crown-down', 'nape-first', 'muscle-first']),
	neckDirection: z.enum(['down', 'up']),
	drainPolicy: z.enum(['every-move', 'every-zone', 'every-region', 'end']),
	layering: z.enum(['mixed', 'separate']),
	caps: z.strictObject({ fluid: LevelSchema, muscle: LevelSchema }),
	cheekRoute: z.enum(['outward', 'downward', 'either']),
	underChin: z.enum(['outward', 'straight-down']),
	mouthFinish: z.enum(['up', 'free']),
	glide: z.enum(['oil', 'dry']),
	tape: z.enum(['hours', 'overnight', 'none']),
	/** Severities that differ from the rule's own, kept within the rule's floor and ceiling. */
	severities: z.record(z.string(), SeveritySchema)
});
export type School = z.infer<typeof SchoolSchema>;
