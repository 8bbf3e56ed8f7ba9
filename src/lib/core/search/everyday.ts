import { z } from 'zod';
import { ZONE_IDS } from '../atlas/zones';
import { GOAL_IDS } from '../goal/goals';
import { AIMS, idsOf, TOOLS } from '../vocabulary/vocabulary';
import words from './everyday.json' with { type: 'json' };

/** What clients and colleagues call things, by what it means here: search takes them; nothing is named so. */
const EverydaySchema = z.strictObject({
	goals: z.partialRecord(z.enum(GOAL_IDS), z.string()),
	zones: z.partialRecord(z.enum(ZONE_IDS as [(typeof ZONE_IDS)[number]]), z.string()),
	tools: z.partialRecord(z.enum(idsOf(TOOLS)), z.string()),
	aims: z.partialRecord(z.enum(idsOf(AIMS)), z.string())
});
export const EVERYDAY = EverydaySchema.parse(words);
