import type { Working } from '../working/working.schema';
import type { Entry } from './assessment.schema';
import { sameHour } from './change';
import { isChoice, observation } from './registry';

interface Visit {
	readonly startedAt: string;
	readonly zoneOffsetMinutes: number;
}

/** Minute of the day on the wall clock of a session, 0..1439. */
export function minuteOfDay({ startedAt, zoneOffsetMinutes }: Visit): number {
	const minutes = Math.floor(Date.parse(startedAt) / 60_000) + zoneOffsetMinutes;
	return ((minutes % 1440) + 1440) % 1440;
}

/** Whether what was found before two sessions may be compared: the same hour of the day. */
export const comparableSessions = (a: Visit, b: Visit, working: Working): boolean =>
	sameHour(minuteOfDay(a), minuteOfDay(b), working);

/** What was told of the day, in words: "sleep under 5 h, salt much, also flight". Empty where nothing was. */
export function contextWords(context: readonly Entry[]): string {
	return context
		.map((entry) => {
			const row = observation(entry.observation);
			const value = isChoice(row) ? (row.options[String(entry.value)] ?? entry.value) : entry.value;
			return `${row.label.toLowerCase()} ${value}`;
		})
		.join(', ');
}
