import type { PlaceRef } from '../atlas/places';
import { pointByCode } from '../point/points';
import { waysOf } from '../sequence/beats';
import type { TimedEvent } from '../sequence/expand';
import { doseAtOf } from '../step/doseAt';
import { spotsOf } from '../step/spots';
import { stepTitle } from '../step/describe';
import type { Step } from '../step/step.schema';
import { refWords } from './instruction/words';
import { capital } from '../capital';

type Stretch = Pick<TimedEvent, 'kind' | 'places' | 'lane' | 'direction' | 'spot'>;

/**
 * Which of the places of a step is worked in a stretch, by its number from 0 in `places`; null where a way is followed, or
 * where all of them are held together. Two places of one name are told apart.
 */
export function placeIndexOf(event: Stretch, step: Step): number | null {
	if (event.kind === 'transition' || event.kind === 'link' || doseAtOf(step) === 'over-all') return null;
	if (event.spot !== undefined) return spotsOf(step)[event.spot]!.at;
	// A lane with a way of its own follows it.
	if (event.places.length > 1) return null;
	const ways = waysOf(step);
	const at = ways.findIndex(
		(w) => w.places === event.places && w.lane === event.lane && w.direction === event.direction
	);
	return at < 0 ? null : Math.floor(at / (step.reverse ? 2 : 1)) % step.places.length;
}

/** A place as it is called out when the hands come to it: “Below the ear”. */
export const placeName = (ref: PlaceRef): string => capital(refWords(ref));

/** What a step is called before it begins: the point that it presses, else its first and last place. */
export const stepName = (step: Step): string =>
	step.point && step.places.length === 1 ? capital(pointByCode(step.point).spot) : stepTitle(step);
