import type * as z from 'zod';
import { NODE_IDS } from '../../atlas/nodes';
import { placeOf, type PlaceId, type PlaceRef } from '../../atlas/places';
import type { Level } from '../../pressure/levels';
import type { TechniqueSchema } from '../technique.schema';

/** A technique as it is written down; defaults are filled in when it is read. */
export type Entry = z.input<typeof TechniqueSchema>;
export const EVERY_NODE: PlaceId[] = NODE_IDS.map((id) => `n:${id}` as const);
export const dose = (kind: 'reps' | 'breaths' | 'seconds', min: number, target: number, max: number) =>
	({ kind, min, target, max }) as const;
export const levels = (min: Level, standard: Level, max: Level) => ({ min, default: standard, max });

/** Ways written as places with blanks between, most usual first; a test reads each back through the schema. */
export const ways = (...texts: string[]): PlaceRef[][] => texts.map((text) => text.split(' ') as PlaceRef[]);
const unique = (refs: readonly PlaceRef[]): PlaceId[] => [...new Set(refs.map(placeOf))];

type Family = Omit<Entry, 'id' | 'title' | 'contact' | 'paths' | 'why' | 'places'>;
type Change = Partial<Omit<Entry, 'id'>>;

/**
 * A family of techniques that share all but what each names: its hand, its usual ways and its reason.
 * Where it may be done follows from the ways: a stroke may start where one starts, a spot may be any of their places.
 */
export const family =
	(shared: Family) =>
	(
		id: string,
		title: string,
		contact: Entry['contact'],
		paths: PlaceRef[][],
		why: string,
		change: Change = {}
	): Entry => ({
		...shared,
		id,
		title,
		contact,
		paths,
		places: unique(shared.shape === 'stroke' ? paths.map((p) => p[0]!) : paths.flat()),
		why,
		...change
	});
