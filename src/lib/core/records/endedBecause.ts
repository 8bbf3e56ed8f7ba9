/** Why a session was ended before its end. */
export const ENDED_BECAUSE = { time: 'Time', client: 'Client’s wish', pain: 'Pain', other: 'Other' } as const;
export type EndedBecause = keyof typeof ENDED_BECAUSE;
