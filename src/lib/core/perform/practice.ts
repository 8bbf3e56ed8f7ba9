import { mean } from 'simple-statistics';
import type { Session } from '../records/session';
import type { ExpandContext } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import { stepsOf } from '../sequence/walk';
import { doneHolding, plannedCounts, workedHolding } from './account';
import { originOf } from './adapting/moment';

/** So many of so many: nothing is said where there is none. */
export interface Of {
	readonly n: number;
	readonly of: number;
}
/** What a practice did with one sequence over its sessions. */
export interface PracticeRow {
	readonly id: string;
	readonly title: string;
	readonly sessions: number;
	readonly clients: number;
	/** Mean of what was worked, halts left out. */
	readonly minutes: number;
	/** Left and right as even as planned. */
	readonly even: Of;
	/** The closing drain was done, where the sequence has one. */
	readonly closed: Of;
	/** Something was noted afterwards. */
	readonly reactions: number;
}

/** Shares of left and right that lie nearer than this to the plan count as even as planned. Working value. */
const EVEN_SHARE = 0.05;
const leaning = (counts: readonly { readonly leftReps: number; readonly rightReps: number }[]): number | null => {
	const [left, right] = [counts.reduce((n, c) => n + c.leftReps, 0), counts.reduce((n, c) => n + c.rightReps, 0)];
	return left + right ? (left - right) / (left + right) : null;
};

/** Whether a session closed: null where its sequence has no closing step. */
function closedIn(session: Session, sequence: Sequence): boolean | null {
	const closing = new Set(stepsOf(sequence).flatMap(({ step }) => (step.aim === 'close' ? [originOf(step.id)] : [])));
	if (!closing.size) return null;
	return doneHolding(session).some((d) => closing.has(d.stepId) && !d.skipped && d.seconds > 0);
}

/**
 * How a practice works: by sequence, the most performed first.
 * @param sessions of all clients; those without a sequence are left out
 * @param performed the sequence of a session as it was performed; null where it is not kept
 */
export function practiceOf(
	sessions: readonly Session[],
	performed: (session: Session) => Sequence | null,
	context: ExpandContext
): PracticeRow[] {
	const groups = new Map<string, { session: Session; sequence: Sequence }[]>();
	for (const session of sessions) {
		const sequence = session.sequence && session.endedAt ? performed(session) : null;
		if (sequence)
			groups.set(session.sequence!.id, [...(groups.get(session.sequence!.id) ?? []), { session, sequence }]);
	}
	const planned = new Map<Sequence, number | null>();
	const plan = (sequence: Sequence) => {
		if (!planned.has(sequence)) planned.set(sequence, leaning(plannedCounts(sequence, context)));
		return planned.get(sequence)!;
	};
	return [...groups]
		.map(([id, list]): PracticeRow => {
			const leanings = list.flatMap(({ session, sequence }) => {
				const [was, meant] = [leaning(doneHolding(session)), plan(sequence)];
				return was === null || meant === null ? [] : [Math.abs(was - meant)];
			});
			const closings = list.flatMap(({ session, sequence }) => closedIn(session, sequence) ?? []);
			return {
				id,
				title: list.at(-1)!.sequence.title,
				sessions: list.length,
				clients: new Set(list.map(({ session }) => session.clientId)).size,
				minutes: mean(list.map(({ session }) => workedHolding(session))) / 60,
				even: { n: leanings.filter((apart) => apart <= EVEN_SHARE).length, of: leanings.length },
				closed: { n: closings.filter(Boolean).length, of: closings.length },
				reactions: list.filter(({ session }) => session.sideEffects.trim()).length
			};
		})
		.sort((a, b) => b.sessions - a.sessions || a.title.localeCompare(b.title));
}
