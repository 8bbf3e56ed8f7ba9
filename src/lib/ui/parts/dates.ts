// Not the whole one: as it is read it asks the browser for formats that nobody here uses.
import { UTCDateMini } from '@date-fns/utc/date/mini';
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
	return new UTCDateMini(at(moment).getTime() + zoneOffsetMinutes * 60_000);
}

/** English, as all words here. The browser knows them too, but asking it for formats took 60 ms of every page's first load. */
const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
const MONTHS = 'January February March April May June July August September October November December'.split(' ');
const short = (name: string | undefined) => name?.slice(0, 3);

/** 27 Nov */
export function shortDay(moment: Moment): string {
	const date = at(moment);
	return `${date.getDate()} ${short(MONTHS[date.getMonth()])}`;
}
/** Friday, 27 November */
export function longDay(moment: Moment): string {
	const date = at(moment);
	return `${DAYS[date.getDay()]}, ${date.getDate()} ${MONTHS[date.getMonth()]}`;
}
/** Fri, 27 Nov */
export const weekDay = (moment: Moment): string => `${short(DAYS[at(moment).getDay()])}, ${shortDay(moment)}`;
/** 27 Nov 2026 */
export const dayOfYear = (moment: Moment): string => `${shortDay(moment)} ${at(moment).getFullYear()}`;
/** Fri 27 */
export const dayOfMonth = (moment: Moment): string => `${short(DAYS[at(moment).getDay()])} ${at(moment).getDate()}`;
/** 14:05, or 2:05 PM where the device counts so. */
export function hour(moment: Moment): string {
	const date = at(moment);
	const timeZone = date instanceof UTCDateMini ? 'UTC' : undefined;
	return date.toLocaleTimeString([], { hour: 'numeric', minute: '2-digit', timeZone });
}
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
