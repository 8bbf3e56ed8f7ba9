import type { SequenceRecord } from '../records/sequenceRecord';
import type { Session } from '../records/session';
import type { Sequence } from '../sequence/sequence.schema';

/** Why a sequence is the one of today. */
export type Because = 'wished' | 'made-for' | 'last' | 'latest';
export interface Chosen {
	readonly sequence: Sequence;
	readonly because: Because;
}
export const BECAUSE_SAID: Record<Because, string> = {
	wished: 'chosen',
	'made-for': 'made for this client',
	last: 'as last time',
	latest: 'changed last'
};

interface Wanted {
	readonly clientId: string | null;
	/** All that are stored, those changed last first. */
	readonly records: readonly SequenceRecord[];
	/** Of this client, the earliest first. */
	readonly sessions: readonly Pick<Session, 'sequence'>[];
	/** Id of one that is asked for. */
	readonly wished?: string | null;
}

/**
 * The sequence of today, the same wherever it is asked: the one that is wished, else the one made for the client, else what
 * the client had last, else the one changed last that is nobody else’s. Null where there is none.
 */
export function sequenceFor({ clientId, records, sessions, wished = null }: Wanted): Chosen | null {
	const here = records.filter((r) => !r.archived);
	const lastId = sessions.findLast((s) => s.sequence !== null)?.sequence?.id;
	const ways: readonly (readonly [Because, SequenceRecord | undefined])[] = [
		['wished', wished === null ? undefined : records.find((r) => r.id === wished)],
		['made-for', clientId === null ? undefined : here.find((r) => r.clientId === clientId)],
		['last', lastId === undefined ? undefined : records.find((r) => r.id === lastId)],
		['latest', here.find((r) => !r.clientId || r.clientId === clientId)]
	];
	for (const [because, record] of ways) if (record) return { sequence: record.sequence, because };
	return null;
}
