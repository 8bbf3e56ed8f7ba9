import { placeOf, whereOf, type PlaceRef } from '../atlas/places';
import { waysOf } from '../sequence/beats';
import type { TimedEvent } from '../sequence/expand';
import { doseAtOf } from '../step/doseAt';
import { stepTitle } from '../step/describe';
import type { Step } from '../step/step.schema';

type Stretch = Pick<TimedEvent, 'kind' | 'places' | 'lane' | 'direction'>;

/**
 * Which of the places of a step is worked in a stretch, by its number from 0 in `places`; null where a way is followed, or
 * where all of them are held together. Two places of one name are told apart.
 */
export function placeIndexOf(event: Stretch, step: Step): number | null {
	if (event.kind === 'transition' || event.kind === 'link' || doseAtOf(step) === 'over-all') return null;
	const ways = waysOf(step);
	const at = ways.findIndex(
		(w) => w.places === event.places && w.lane === event.lane && w.direction === event.direction
	);
	return at < 0 ? null : Math.floor(at / (step.reverse ? 2 : 1)) % step.places.length;
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** A place as it is called out when the hands come to it: “Below the ear”. */
export const placeName = (ref: PlaceRef): string => capital(whereOf(placeOf(ref)));

/** What a step is called at a moment of it: the place at hand where there are several, else the step’s own short name. */
export function titleAt(event: Stretch | null, step: Step): string {
	const index = event ? placeIndexOf(event, step) : null;
	return index === null ? stepTitle(step) : placeName(step.places[index]!);
}
