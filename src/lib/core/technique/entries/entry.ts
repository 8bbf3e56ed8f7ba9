import type * as z from 'zod';
import { NODE_IDS } from '../../atlas/nodes';
import type { PlaceId } from '../../atlas/places';
import type { Level } from '../../pressure/levels';
import type { TechniqueSchema } from '../technique.schema';

/** A technique as it is written down; defaults are filled in when it is read. */
export type Entry = z.input<typeof TechniqueSchema>;
export const EVERY_NODE: PlaceId[] = NODE_IDS.map((id) => `n:${id}` as const);
export const dose = (kind: 'reps' | 'breaths' | 'seconds', min: number, target: number, max: number) =>
	({ kind, min, target, max }) as const;
export const levels = (min: Level, standard: Level, max: Level) => ({ min, default: standard, max });
