import type { Session } from '../records/session';

/** A look taken today before anything was composed: a session goes on from it. */
export function lookedOn(sessions: readonly Session[], isToday: (iso: string) => boolean): Session | null {
	const last = sessions.at(-1);
	return last && !last.sequence && !last.after && isToday(last.startedAt) ? last : null;
}
