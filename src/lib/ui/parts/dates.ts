import { UTCDate } from '@date-fns/utc';
import { differenceInCalendarDays, format, isSameDay, parseISO } from 'date-fns';

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

/** Friday, 27 November */
export const longDay = (moment: Moment): string => format(at(moment), 'EEEE, d MMMM');
/** Fri, 27 Nov */
export const weekDay = (moment: Moment): string => format(at(moment), 'EEE, d MMM');
/** 27 Nov */
export const shortDay = (moment: Moment): string => format(at(moment), 'd MMM');
/** 27 Nov 2026 */
export const dayOfYear = (moment: Moment): string => format(at(moment), 'd MMM yyyy');
/** Fri 27 */
export const dayOfMonth = (moment: Moment): string => format(at(moment), 'EEE d');
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
