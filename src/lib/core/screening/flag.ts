import type { Severity } from '../school/school.schema';
import type { Level } from '../step/levels';
import type { ALLERGENS } from '../medium/allergens';
import type { POSTURES } from '../vocabulary/vocabulary';
import type { AreaId } from './areas';
import type { Which } from './limit.schema';

/** Chapters of the intake, in the order in which it asks. */
export const CHAPTERS = {
	today: 'Today',
	history: 'Illness and operations',
	neck: 'Neck and head',
	body: 'Body',
	medicines: 'Medicines',
	skin: 'Skin',
	treatments: 'Treatments of late',
	eyes: 'Eyes',
	mouth: 'Mouth and jaw',
	allergies: 'Allergies',
	moves: 'With certain moves'
} as const;
export type ChapterId = keyof typeof CHAPTERS;

/**
 * Where something holds: everywhere; where she says; or an area. `told` without a place given holds in `else`, so that
 * what is not known yet is not worked. `around` takes what touches it along.
 */
export type Where =
	'everywhere' | { readonly area: AreaId } | { readonly told: true; readonly else: AreaId; readonly around?: true };

type Allergen = (typeof ALLERGENS)[number];
type Posture = keyof typeof POSTURES;

/** What an answer does to a plan. */
export type Effect = (
	| { readonly does: 'refer' }
	| { readonly does: 'clearance'; readonly where?: Where; readonly which?: Which }
	| { readonly does: 'leave-out'; readonly where: Where; readonly which?: Which }
	| { readonly does: 'level'; readonly where: Where; readonly level: Level }
	/** Longest session. */
	| { readonly does: 'minutes'; readonly minutes: number }
	| { readonly does: 'one-side'; readonly where: Where }
	| { readonly does: 'posture'; readonly without: readonly Posture[] }
	/** Not lying flat. */
	| { readonly does: 'upright' }
	| { readonly does: 'media'; readonly without: readonly Allergen[] }
	/** Nothing that can be computed: said before such work on the area, and noted at the step. */
	| { readonly does: 'mind'; readonly where: Where; readonly which?: Which; readonly say: string }
) & {
	/** Holds for so many days from the day it was done (working value). */
	readonly days?: number;
	readonly severity?: Severity;
};
export type EffectKind = Effect['does'];

/** How sure we are, and on what ground. */
export const SURENESS = {
	agreed: 'Taught alike in every school that we know of; a doctor must see it first',
	usual: 'A usual caution; how far it goes differs between teachers',
	waiting: 'A usual waiting time, working value: the date given by whoever did the treatment goes first',
	tradition: 'Tradition, not evidence'
} as const;
export type Sureness = keyof typeof SURENESS;

/** One thing that is asked, and what an answer does. */
export interface Flag {
	readonly id: string;
	/** What it is called in a list, in sentence case. */
	readonly name: string;
	/** In plain words, as it is said to her. */
	readonly question: string;
	readonly help?: string;
	/** Once, and again when something has changed; or before every visit; or when a plan has such a move. */
	readonly asked: 'intake' | 'visit' | { readonly with: Which };
	/** What else is needed with a yes. */
	readonly wants?: readonly ('place' | 'since')[];
	readonly effects: readonly Effect[];
	readonly reason: string;
	readonly sure: Sureness;
	/** What to ask her doctor, or whoever did the treatment. */
	readonly ask?: string;
}
