import type { TimedEvent } from '../sequence/expand';
import type { PlacedStep } from '../sequence/walk';

const hands = ({ kind }: TimedEvent): boolean => kind !== 'link' && kind !== 'transition';

/**
 * For each stretch, how many seconds it may go on past its plan until the sign of its step comes: what is left of the
 * longest time on a side, behind the last stretch of that side; 0 everywhere else.
 */
export function signSecondsOf(events: readonly TimedEvent[], byId: ReadonlyMap<string, PlacedStep>): readonly number[] {
	let spent = 0;
	return events.map((event, i) => {
		const [before, after] = [events[i - 1], events[i + 1]];
		const same = (other: TimedEvent | undefined) =>
			other !== undefined && other.stepId === event.stepId && other.side === event.side && hands(other);
		if (!hands(event)) return 0;
		spent = (same(before) ? spent : 0) + event.endSeconds - event.startSeconds;
		const until = byId.get(event.stepId)?.step.until;
		return until && !same(after) ? Math.max(0, until.capSeconds - spent) : 0;
	});
}
