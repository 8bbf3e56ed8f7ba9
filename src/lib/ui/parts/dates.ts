import { UTCDate } from '@date-fns/utc';
import { differenceInCalendarDays, isSameDay, parseISO } from 'date-fns';

/** Dates and times as the pages say them: the day before the month, the clock of the device. All take ISO date and time. */
type Moment = string | Date;
const at = (moment: Moment): Date => (typeof moment === 'string' ? parseISO(moment) : moment);

/**
 * A moment as the clock on the wall showed it there and then: said with the other words of this file.
 * @param zoneOffsetMinutes minutes from UTC to that clock
 */
export function onWall(moment: Moment, { zoneOffsetMinutes }: { readonly zoneOffsetMinutes: number }): Date {
	// A date that knows no zone: that of this device, and its summer time, would move it again.
	return new UTCDate(at(moment).getTime() + zoneOffsetMinutes * 60_000);
}

/** Names of the seven days from Sunday on, or of the twelve months, as the browser knows them: no table of a locale is fetched. */
function namesOf(what: 'weekday' | 'month', length: 'long' | 'short'): readonly string[] {
	const words = new Intl.DateTimeFormat('en', { [what]: length, timeZone: 'UTC' });
	// The seventh of January 2024 was a Sunday.
	return what === 'month'
		? Array.from({ length: 12 }, (_, i) => words.format(Date.UTC(2024, i)))
		: Array.from({ length: 7 }, (_, i) => words.format(Date.UTC(2024, 0, 7 + i)));
}
const DAYS = namesOf('weekday', 'long');
const DAYS_SHORT = namesOf('weekday', 'short');
const MONTHS = namesOf('month', 'long');
const MONTHS_SHORT = namesOf('month', 'short');

/** 27 Nov */
export function shortDay(moment: Moment): string {
	const date = at(moment);
	return `${date.getDate()} ${MONTHS_SHORT[date.getMonth()]}`;
}
/** Friday, 27 November */
export function longDay(moment: Moment): string {
	const date = at(moment);
	return `${DAYS[date.getDay()]}, ${date.getDate()} ${MONTHS[date.getMonth()]}`;
}
/** Fri, 27 Nov */
export const weekDay = (moment: Moment): string => `${DAYS_SHORT[at(moment).getDay()]}, ${shortDay(moment)}`;
/** 27 Nov 2026 */
export const dayOfYear = (moment: Moment): string => `${shortDay(moment)} ${at(moment).getFullYear()}`;
/** Fri 27 */
export const dayOfMonth = (moment: Moment): string => `${DAYS_SHORT[at(moment).getDay()]} ${at(moment).getDate()}`;
/** 14:05, or 2:05 PM where the device counts so. */
export const hour = (moment: Moment): string =>
	at(moment).toLocaleTimeString([], { hour: 'numeric', minute: '2-digit' });
/** 27 Nov 2026, 14:05 */
export const dayAndHour = (moment: Moment): string => `${dayOfYear(moment)}, ${hour(moment)}`;
/** Whether two moments lie on one day. */
export const sameDay = (a: Moment, b: Moment): boolean => isSameDay(at(a), at(b));
/** today, yesterday, 3 days ago, 12 Oct */
export function ago(moment: Moment, now: Moment): string {
	const days = differenceInCalendarDays(at(now), at(moment));
	if (days <= 0) return 'today';
	if (days === 1) return 'yesterday';
	return days < 14 ? `${days} days ago` : shortDay(moment);
}
