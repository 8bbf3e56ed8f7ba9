const MONTHS = 'January February March April May June July August September October November December'.split(' ');

/** A calendar day as it is said: "19 March 2026". */
export function saidDay(day: string): string {
	const [year, month, date] = day.split('-').map(Number);
	return `${date} ${MONTHS[month! - 1]} ${year}`;
}
