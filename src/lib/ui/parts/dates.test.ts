import { beforeAll, expect, test, vi } from 'vitest';
import { dayOfMonth, dayOfYear, hour, longDay, onWall, shortDay, weekDay } from './dates';

/** A device of a zone with a summer time of its own. */
beforeAll(() => void vi.stubEnv('TZ', 'Europe/Berlin'));

/** 23:30 in Auckland in summer (UTC+13), while it is 10:30 in London. */
const LATE = { at: '2026-12-04T10:30:00.000Z', zoneOffsetMinutes: 13 * 60 };

test('a visit is told by the clock that hung there, wherever one reads of it', () => {
	const there = onWall(LATE.at, LATE);
	expect([there.getHours(), there.getMinutes()]).toEqual([23, 30]);
	expect(weekDay(there)).toBe('Fri, 4 Dec');
	const west = onWall('2026-12-04T02:15:00.000Z', { zoneOffsetMinutes: -8 * 60 });
	expect(dayOfYear(west)).toBe('3 Dec 2026');
	expect(hour(west)).toMatch(/18:15|6:15/);
});

test('through a change to summer time within a visit its hours go on by one clock', () => {
	// Berlin goes from UTC+1 to UTC+2 at 01:00 UTC; the visit began before that.
	const visit = { zoneOffsetMinutes: 60 };
	const [before, after] = ['2026-03-29T00:50:00.000Z', '2026-03-29T01:20:00.000Z'].map((at) => onWall(at, visit));
	expect(after!.getTime() - before!.getTime()).toBe(30 * 60_000);
	expect([before!.getHours(), before!.getMinutes()]).toEqual([1, 50]);
});

test('days and months are said by their names, over a whole year', () => {
	const said = [longDay, weekDay, shortDay, dayOfYear, dayOfMonth].map((say) => say('2026-11-27T09:00:00.000Z'));
	expect(said).toEqual(['Friday, 27 November', 'Fri, 27 Nov', '27 Nov', '27 Nov 2026', 'Fri 27']);
	const firsts = Array.from({ length: 12 }, (_, i) => longDay(new Date(2026, i, 1, 12)));
	expect(firsts.map((day) => day.split(' ').at(-1)!.slice(0, 3)).join(' ')).toBe(
		'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'
	);
	expect(firsts[1]).toBe('Sunday, 1 February');
});
