import { SIDES, type Side } from '../atlas/places';
import { listWords } from '../listWords';
import { ZONE_IDS, ZONES, type ZoneId } from '../atlas/zones';
import { seededRandom } from '../random';
import { signFlip } from '../statistics/grades';
import type { Assessment } from './assessment.schema';
import { valueAt } from './assessment';
import type { ObservationId } from './registry';

/** Below so many sessions grades are not judged: too few ways to flip their signs. */
export const LEAST_SESSIONS = 8;
const ALPHA = 0.05;
/** The same sessions always come to the same figure. */
const SEED = 1;

/** What a grade did from before to after at one place, over the sessions in which it was given both times. */
export interface PlaceOverSessions {
	readonly place: ZoneId;
	readonly side: Side;
	readonly lower: number;
	readonly same: number;
	readonly higher: number;
	/** Chance of so much without any change, for all places together; null where there are too few sessions. */
	readonly p: number | null;
	readonly verdict: 'lower' | 'higher' | 'may-be-chance' | 'too-few';
}
export interface OverSessions {
	/** Sessions with a grade before and after. */
	readonly sessions: number;
	readonly places: readonly PlaceOverSessions[];
}
interface Pair {
	readonly before: Assessment;
	readonly after: Assessment | null;
}

/**
 * Grades over several sessions. A single pair is never judged; signs of whole sessions are flipped, so that what places
 * have in common is kept, and p counts for all places together. A place that was left out in a session says nothing there.
 * @source sign-flip test with the largest statistic over places (Westfall and Young)
 */
export function overSessions(id: ObservationId, pairs: readonly Pair[]): OverSessions {
	const spots = ZONE_IDS.flatMap((place) => SIDES.map((side) => ({ place, side })));
	const rows = pairs.map(({ before, after }) =>
		spots.map((spot) => {
			const [a, b] = [valueAt(before, id, spot), valueAt(after, id, spot)];
			return a === null || b === null ? null : b - a;
		})
	);
	const used = rows.filter((row) => row.some((d) => d !== null));
	const kept = spots.map((spot, i) => ({ spot, i })).filter(({ i }) => used.some((row) => row[i] !== null));
	const enough = used.length >= LEAST_SESSIONS;
	const { pFamily } = enough
		? signFlip(
				used.map((row) => kept.map(({ i }) => row[i] ?? 0)),
				seededRandom(SEED)
			)
		: { pFamily: [] };
	const places = kept.map(({ spot, i }, at): PlaceOverSessions => {
		const given = used.flatMap((row) => row[i] ?? []);
		const sum = given.reduce((s, d) => s + d, 0);
		const p = pFamily[at] ?? null;
		return {
			...spot,
			lower: given.filter((d) => d < 0).length,
			same: given.filter((d) => d === 0).length,
			higher: given.filter((d) => d > 0).length,
			p,
			verdict: p === null ? 'too-few' : p > ALPHA ? 'may-be-chance' : sum < 0 ? 'lower' : 'higher'
		};
	});
	return { sessions: used.length, places };
}

/** So many places are named one by one. */
const MOST_NAMED = 3;
/**
 * What grades did over the sessions, in one sentence; it names only what is beyond chance, and never a cause.
 * @param label what is graded
 */
export function overSentence({ sessions, places }: OverSessions, label: string): string {
	const said = (['lower', 'higher'] as const).flatMap((way) => {
		const there = places.filter((p) => p.verdict === way);
		if (!there.length) return [];
		const named = there.map((p) => `the ${p.side} ${ZONES[p.place].label.toLowerCase()}`);
		const where =
			there.length === places.length
				? 'at every place graded'
				: `at ${there.length > MOST_NAMED ? `${there.length} of ${places.length} places` : listWords(named)}`;
		return [`${way} after than before ${where}`];
	});
	return said.length ? `Over ${sessions} sessions: ${label.toLowerCase()} ${said.join(', and ')}.` : '';
}
