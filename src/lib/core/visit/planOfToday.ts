import type { Day } from '../client/days';
import { forOneself, type ForOneself } from '../fitted/forOneself';
import { makeItFit, type Fitted } from '../fitted/makeItFit';
import type { Client } from '../records/client';
import { judge, type Judgement, type JudgeInput } from '../rules/judge';
import { isOfClient, type Finding } from '../rules/rule';
import { factsOf } from '../screening/clientFacts';
import type { ClientFacts } from '../screening/clientFacts.schema';
import type { LimitOf } from '../screening/limit.schema';
import { refusals } from '../screening/start';
import { asTaken, withMet } from '../sequence/chosen';
import type { Sequence } from '../sequence/sequence.schema';
import type { Wishes } from './wishes';

/** Why a visit cannot be begun as it stands. */
export type Hindrance = 'nobody' | 'refused' | 'no-sequence' | 'empty' | 'reason';

export interface PlanOfToday {
	/** What is known of the client on this day; null where there is nobody. */
	readonly facts: ClientFacts | null;
	/** What ends the day. */
	readonly refusals: readonly LimitOf<'refer'>[];
	/** The sequence with what is taken and met today. */
	readonly asked: Sequence | null;
	/** It, made to fit; null where nothing limits the work. */
	readonly fitted: Fitted | null;
	/** Done on oneself, before a mirror; null where it is not. */
	readonly own: ForOneself | null;
	/** What a session would perform. */
	readonly performed: Sequence | null;
	readonly judgement: Judgement | null;
	/** Seconds that it is expected to take. */
	readonly seconds: number;
	/** Stops that come from the client: they want a reason, which is kept. */
	readonly clientStops: readonly Finding[];
	/** Stops of the sequence itself. */
	readonly ownStops: readonly Finding[];
	/** What stands in the way of beginning; null where nothing does. */
	readonly hindrance: Hindrance | null;
}

interface Asked {
	readonly client: Client | null;
	readonly today: Day;
	readonly sequence: Sequence | null;
	readonly wishes: Wishes;
	readonly given: JudgeInput;
}

/**
 * The one answer to what is done today: which sequence, fitted or not, what refuses the day, what stops it, and whether it can
 * be begun. Every page that speaks of a visit reads it.
 */
export function planOfToday({ client, today, sequence, wishes, given }: Asked): PlanOfToday {
	const facts = factsOf(client, today);
	const judged = { ...given, client: facts };
	const asked = sequence && withMet(asTaken(sequence, wishes.taken), wishes.met);
	const fitted = asked && facts?.limits.length ? makeItFit(asked, judged) : null;
	const asWished = wishes.fit && fitted ? fitted.sequence : asked;
	const onOneself = asWished && (client?.performer === 'self' || asWished.performer === 'self');
	const own = onOneself ? forOneself(asWished, judged) : null;
	const performed = own?.sequence ?? asWished;
	const judgement = performed ? judge(performed, judged) : null;
	const stops = judgement?.findings.filter((f) => f.severity === 'stop') ?? [];
	const clientStops = stops.filter(isOfClient);
	const seconds = judgement?.timing.expectedSeconds ?? 0;
	const refused = refusals(facts?.limits ?? []);
	const hindrance = (): Hindrance | null => {
		if (!client) return 'nobody';
		if (refused.length) return 'refused';
		if (!performed) return 'no-sequence';
		if (!seconds) return 'empty';
		return clientStops.length ? 'reason' : null;
	};
	return {
		facts,
		refusals: refused,
		asked,
		fitted,
		own,
		performed,
		judgement,
		seconds,
		clientStops,
		ownStops: stops.filter((f) => !isOfClient(f)),
		hindrance: hindranceBy({ hindrance: hindrance() }, wishes.reason)
	};
}

/** What stands in the way with a reason given: it may come after the plan was worked out, and be typed letter by letter. */
export const hindranceBy = ({ hindrance }: Pick<PlanOfToday, 'hindrance'>, reason: string): Hindrance | null =>
	hindrance === 'reason' && reason.trim() ? null : hindrance;

/** What a plan changes for the client, in words. */
export function fitWords({ fitted }: Pick<PlanOfToday, 'fitted'>): string {
	const count = (n: number, one: string, many: string) => (n ? [`${n} ${n === 1 ? one : many}`] : []);
	const gone = fitted?.changes.filter((c) => c.kind === 'removed').length ?? 0;
	const changed = new Set(fitted?.changes.filter((c) => c.kind === 'changed').map((c) => c.stepId)).size;
	const parts = [
		...count(gone, 'step falls away', 'steps fall away'),
		...count(changed, 'is done otherwise', 'are done otherwise')
	];
	return parts.join(', ') || 'as it is';
}
