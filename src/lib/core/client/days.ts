/** A calendar day of the practice, as `2026-03-09`: waiting periods are counted in these, never in hours. */
export type Day = string;

const DAY_MS = 86_400_000;
const number = (day: Day): number => Date.parse(`${day}T00:00:00Z`) / DAY_MS;

/** Calendar days from one day to another; negative where the other lies before. */
export const daysBetween = (from: Day, to: Day): number => number(to) - number(from);

/** The day so many calendar days later. */
export const dayAfter = (day: Day, days: number): Day =>
	new Date((number(day) + days) * DAY_MS).toISOString().slice(0, 10);
