import type { PlaceRef } from '../atlas/places';
import type { TimedEvent } from './expand';
import { turnsOf, repsOn, type WorkedSide } from './workedSide';

/** One step on one side, its lanes, directions and stations taken together; a drain link is a pass of its own. */
export interface Pass {
	readonly stepId: string;
	readonly kind: 'work' | 'link';
	readonly side: WorkedSide;
	readonly startSeconds: number;
	readonly endSeconds: number;
	readonly reps: number;
	/** Its first stretch. */
	readonly event: TimedEvent;
	/** Every place that it goes over, in the order of its stretches. */
	readonly places: readonly PlaceRef[];
}

/** The passes of a sequence in order of their start. Alternating sides are interleaved and overlap. */
export function passesOf(events: readonly TimedEvent[]): Pass[] {
	const passes: Pass[] = [];
	const open = new Map<WorkedSide, number>();
	let stepId = '';
	for (const event of events.flatMap(sideBySide)) {
		if (event.kind === 'transition') continue;
		if (event.stepId !== stepId) open.clear();
		stepId = event.stepId;
		const kind = event.kind === 'link' ? 'link' : 'work';
		const at = kind === 'work' ? open.get(event.side) : undefined;
		const known = at === undefined ? undefined : passes[at];
		const reps = event.kind === 'station' || event.part ? 0 : event.reps;
		if (known && at !== undefined)
			passes[at] = {
				...known,
				endSeconds: event.endSeconds,
				reps: known.reps + reps,
				places: known.places.includes(event.places[0]!) ? known.places : [...known.places, ...event.places]
			};
		else {
			if (kind === 'work') open.set(event.side, passes.length);
			const { side, startSeconds, endSeconds } = event;
			passes.push({ stepId, kind, side, startSeconds, endSeconds, reps, event, places: event.places });
		}
	}
	return passes;
}

/** Of repetitions in turn, what each side gets: the second side begins and ends one repetition later. */
function sideBySide(event: TimedEvent): TimedEvent | TimedEvent[] {
	const turns = turnsOf(event.side);
	if (!turns) return event;
	const { startSeconds, endSeconds, paceSeconds } = event;
	return turns.map((side, i) => ({
		...event,
		side,
		reps: repsOn(event.side, side, event.reps),
		startSeconds: startSeconds + i * paceSeconds,
		endSeconds: endSeconds - (1 - i) * paceSeconds
	}));
}
