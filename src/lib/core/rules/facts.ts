import { isZone, placeOf } from '../atlas/places';
import { heightOf } from '../atlas/heights';
import { regionOf } from '../atlas/regionOf';
import type { Region } from '../atlas/regions';
import type { ZoneId } from '../atlas/zones';
import type { Step } from '../step/step.schema';
import { levelsOf } from '../step/levelsOf';
import { contactRow, isStationary } from '../vocabulary/vocabulary';

/** The region in which a step begins; null where it names no place. */
export const startRegion = (step: Step): Region | null => (step.places.length ? regionOf(step.places[0]!) : null);

/** Hands or a tool of the practitioner on the skin. */
export const touches = (step: Step): boolean =>
	step.by === 'practitioner' && step.contact !== 'none' && step.aim !== 'cleanse';
export const isInside = (step: Step): boolean => contactRow(step.contact).inside;
export const washesHands = (step: Step): boolean => step.aim === 'cleanse' && step.target === 'hands';

/** Zones that a step presses at this level or deeper. */
export function zonesAtLeast(step: Step, level: number): ZoneId[] {
	const levels = levelsOf(step);
	return step.places.flatMap((ref, i) => {
		const place = placeOf(ref);
		return isZone(place) && (levels[i] ?? levels[0]!) >= level ? [place] : [];
	});
}

/** How much higher the last place of a stroke lies than its first; with the way back it ends where it began. */
export function riseOf(step: Step): number {
	if (step.places.length < 2 || step.reverse || isStationary(step.motion)) return 0;
	return heightOf(step.places.at(-1)!) - heightOf(step.places[0]!);
}

/** The step the other way round, its levels and stations with it. */
export const turnedRound = (step: Step): Partial<Step> => ({
	places: [...step.places].reverse(),
	levels: step.levels ? [...step.levels].reverse() : undefined
});
