import Papa from 'papaparse';
import type { Entry } from '../core/assess/assessment.schema';
import { isMeasured, observation } from '../core/assess/registry';
import type { Session } from '../core/records/session';

/** Columns of the table, in order. */
const COLUMNS = [
	'client',
	'session',
	'moment',
	'takenAt',
	'observation',
	'place',
	'side',
	'value',
	'unit',
	'retake'
] as const;
type Moment = 'before' | 'after' | 'day';

/** A spreadsheet must not take words for a formula. */
const harmless = (value: string | number): string | number =>
	typeof value === 'string' && /^[=+\-@\t\r]/.test(value) ? `'${value}` : value;

/**
 * All that was observed in these sessions, a line each: CSV by RFC 4180 with a heading.
 * @param nameOf what a client is called
 */
export function observationsCsv(sessions: readonly Session[], nameOf: (clientId: string) => string): string {
	const rows = sessions.flatMap((session) => {
		const lines = (moment: Moment, takenAt: string, entries: readonly Entry[]) =>
			entries.map((entry) => {
				const row = observation(entry.observation);
				return [
					nameOf(session.clientId),
					session.id,
					moment,
					takenAt,
					entry.observation,
					entry.place ?? '',
					entry.side ?? '',
					entry.value,
					isMeasured(row) ? row.unit : '',
					entry.retake ?? ''
				].map(harmless);
			});
		return [
			...lines('day', session.startedAt, session.context),
			...lines('before', session.before.takenAt, session.before.entries),
			...(session.after ? lines('after', session.after.takenAt, session.after.entries) : [])
		];
	});
	return Papa.unparse({ fields: [...COLUMNS], data: rows }, { newline: '\r\n' });
}
