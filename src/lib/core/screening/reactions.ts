import type { Day } from '../client/days';
import type { FollowUp } from '../client/answer.schema';

interface Visit {
	readonly id: string;
	readonly sideEffects: string;
}

/**
 * Sessions after which something was noted that nobody has said the end of yet, the latest first. What is still there, or
 * worse, is asked again on another day.
 */
export function openReactions<V extends Visit>(
	sessions: readonly V[],
	followUps: readonly FollowUp[],
	today: Day
): V[] {
	const last = new Map(followUps.map((f) => [f.sessionId, f]));
	const over = (id: string) => {
		const told = last.get(id);
		return told !== undefined && (told.went === 'gone' || told.went === 'better' || told.day === today);
	};
	return sessions.filter((s) => s.sideEffects.trim() && !over(s.id)).reverse();
}
