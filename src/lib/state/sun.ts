import type { Settings } from '../core/records/settings';

export type Place = NonNullable<Settings['place']>;

/** Height of the sun’s middle at its rise and set, degrees: half its disc and the bending of its light. */
const AT_THE_RIM = -0.833;

/** What is known of the sun, by a library that is fetched where it is asked. */
export async function sunAt(date: Date, { latitude, longitude }: Place): Promise<{ down: boolean; sets: Date | null }> {
	const { getPosition, getTimes } = await import('suncalc');
	return {
		down: getPosition(date, latitude, longitude).altitude < AT_THE_RIM,
		sets: getTimes(date, latitude, longitude).sunset
	};
}
