import type { Assessment, Entry } from '../assess/assessment.schema';
import type { Day } from '../client/days';
import { plannedCounts } from '../perform/account';
import { AS_PLANNED } from '../records/asPlanned';
import type { Client } from '../records/client';
import type { Session } from '../records/session';
import { sentenceOf } from '../rules/wording';
import { allowedLines } from '../screening/allowed';
import type { ExpandContext } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import { hindranceBy, type PlanOfToday } from './planOfToday';

/** On the stage, written down as done already, or only looked at. */
export type How = 'stage' | 'written' | 'looked';

interface Begun {
	readonly how: How;
	readonly client: Client;
	readonly today: Day;
	readonly plan: PlanOfToday;
	readonly reason: string;
	readonly before: Assessment;
	readonly context: readonly Entry[];
	readonly told: string;
	/** A look of today that the session goes on from; null: it is a new one. */
	readonly lookedToday: Session | null;
	readonly newId: () => string;
	/** ISO. */
	readonly now: string;
	readonly zoneOffsetMinutes: number;
	readonly given: ExpandContext;
}

export interface SessionToBegin {
	readonly session: Omit<Session, 'sequence' | 'order'>;
	/** What is performed; null where it is only looked at. */
	readonly performed: Sequence | null;
}

/** The record that a visit begins with; null where it cannot be begun so. */
export function sessionToBegin(begun: Begun): SessionToBegin | null {
	const { how, client, plan, now, lookedToday } = begun;
	const perform = how !== 'looked';
	if (perform && hindranceBy(plan, begun.reason) !== null) return null;
	const performed = perform ? plan.performed : null;
	const written = how === 'written' && performed;
	const seconds = plan.seconds;
	return {
		session: {
			...AS_PLANNED,
			...(lookedToday ?? fresh(begun)),
			clientId: client.id,
			startedAt: how === 'written' ? new Date(Date.parse(now) - 1000 * seconds).toISOString() : now,
			endedAt: how === 'stage' ? null : now,
			after: null,
			workedSeconds: written ? Math.round(seconds) : 0,
			haltedSeconds: 0,
			guided: !written,
			done: written ? plannedCounts(performed, begun.given) : [],
			zoneOffsetMinutes: begun.zoneOffsetMinutes,
			before: { ...begun.before, takenAt: now },
			context: [...begun.context],
			told: begun.told,
			screened: plan.facts && {
				held: allowedLines(plan.facts.limits, begun.today).map((l) =>
					`${l.name}: ${l.effects.join('. ')}`.slice(0, 300)
				),
				despite: perform
					? plan.clientStops.map((f) => ({ what: sentenceOf(f).head.slice(0, 300), reason: begun.reason.trim() }))
					: [],
				fitted: perform && performed !== plan.asked
			}
		},
		performed
	};
}

const fresh = ({ newId, now }: Begun) =>
	({ id: newId(), revision: 0, updatedAt: now, sideEffects: '', note: '' }) satisfies Partial<Session>;
