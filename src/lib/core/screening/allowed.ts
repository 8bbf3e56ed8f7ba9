import type { SidedZone } from '../client/sidedZone';
import type { Day } from '../client/days';
import { listWords } from '../listWords';
import type { Severity } from '../school/school.schema';
import { POSTURES } from '../vocabulary/vocabulary';
import { ALLERGEN_WORDS } from '../medium/allergens';
import type { Limit, LimitOf } from './limit.schema';
import { reaches, waitOf } from './limit';
import { whichWords } from './which';

/** How a place is drawn: left out, waiting until a day, or limited. */
export type PlaceState = 'out' | 'waits' | 'limited';

/** What today allows, a line for each answer or mark it comes from. */
export interface AllowedLine {
	/** The number by which map and list are tied together. */
	readonly number: number;
	readonly key: string;
	readonly name: string;
	/** What it does, the gravest first: "Left out: the right eye". */
	readonly effects: readonly string[];
	readonly reason: string;
	readonly severity: Severity;
	readonly since: Day | null;
	readonly until: Day | null;
	/** Days of a waiting period that have passed, of how many. */
	readonly wait: { readonly passed: number; readonly days: number } | null;
	readonly state: PlaceState;
	/** Places drawn on the map; empty where it holds everywhere or for no place. */
	readonly places: readonly SidedZone[];
	/** Nothing but a word to say. */
	readonly onlySaid: boolean;
}

/** What a limit does, in words. */
export function effectWords(limit: Limit): string {
	switch (limit.does) {
		case 'refer':
			return 'No massage today, refer';
		case 'clearance':
			return 'Only with a doctor’s word';
		case 'leave-out':
			if (limit.which)
				return `Without ${whichWords(limit.which)}${limit.where === 'everywhere' ? '' : `: ${limit.whereWords}`}`;
			return `${limit.until ? 'Waits' : 'Left out'}: ${limit.whereWords}`;
		case 'go-round':
			return `Gone round: ${limit.whereWords}`;
		case 'level':
			return `Level ${limit.level} at most: ${limit.whereWords}`;
		case 'minutes':
			return `${limit.minutes} minutes at most`;
		case 'one-side':
			return `One side at a time: ${limit.whereWords}`;
		case 'posture':
			return `Head neutral, not ${listWords(limit.without.map((p) => POSTURES[p].toLowerCase().replace('head ', '')))}`;
		case 'upright':
			return 'Half sitting, not flat';
		case 'media':
			return `Nothing with ${listWords(limit.without.map((a) => ALLERGEN_WORDS[a]))}`;
		case 'mind':
			return limit.say;
	}
}

/** What several limits of one source do: moves that are left out at one place are said together. */
export function effectsOf(limits: readonly Limit[]): string[] {
	const barred = limits.filter((l): l is LimitOf<'leave-out'> => l.does === 'leave-out' && l.which !== undefined);
	const places = [...new Set(barred.map((l) => l.whereWords))];
	const together = places.map((whereWords) => {
		const what = listWords([
			...new Set(barred.filter((l) => l.whereWords === whereWords).map((l) => whichWords(l.which)))
		]);
		return `Without ${what}${whereWords === 'everywhere' ? '' : `: ${whereWords}`}`;
	});
	return [...new Set([...limits.filter((l) => !barred.some((b) => b === l)).map(effectWords), ...together])];
}

const STATE: Partial<Record<Limit['does'], PlaceState>> = { 'leave-out': 'out' };
const stateOf = (limit: Limit): PlaceState =>
	limit.does === 'leave-out' && limit.which
		? 'limited'
		: limit.until && STATE[limit.does]
			? 'waits'
			: (STATE[limit.does] ?? 'limited');
const GRAVEST: readonly PlaceState[] = ['out', 'waits', 'limited'];
const RANK: Record<Severity, number> = { stop: 0, caution: 1, advice: 2 };

const placesIn = (limit: Limit): readonly SidedZone[] =>
	'where' in limit && limit.where !== 'everywhere' && limit.does !== 'mind' ? limit.where : [];

/** The limits of a day as lines, those of one answer or mark together, in the order of their gravity. */
export function allowedLines(limits: readonly Limit[], today: Day): AllowedLine[] {
	const bySource = new Map<string, Limit[]>();
	for (const limit of limits) {
		const key = `${limit.source.kind}/${limit.source.id}`;
		bySource.set(key, [...(bySource.get(key) ?? []), limit]);
	}
	return [...bySource].map(([key, list], i): AllowedLine => {
		const [first] = list as [Limit, ...Limit[]];
		const last = list.find((l) => l.until === null) ? null : list.reduce((a, b) => (b.until! > a.until! ? b : a)).until;
		const placed = list.find((l) => placesIn(l).length);
		const strictest = GRAVEST.find((state) => list.some((l) => placesIn(l).length && stateOf(l) === state));
		const waiting = list.find((l) => l.until) ?? first;
		return {
			number: i + 1,
			key,
			name: first.name,
			effects: effectsOf(list),
			reason: first.reason,
			severity: list.reduce<Severity>((a, l) => (RANK[l.severity] < RANK[a] ? l.severity : a), 'advice'),
			since: first.since,
			until: last,
			wait: waitOf(waiting, today),
			state: strictest ?? 'limited',
			places: placed ? [...new Set(list.filter((l) => stateOf(l) === strictest).flatMap(placesIn))] : [],
			onlySaid: list.every((l) => l.does === 'mind')
		};
	});
}

/** How a zone is drawn on a side; null where nothing holds there. What holds everywhere is said, not drawn. */
export function placeState(limits: readonly Limit[], place: SidedZone): PlaceState | null {
	const here = limits.filter((l) => placesIn(l).length && reaches(placesIn(l) as SidedZone[], place)).map(stateOf);
	return GRAVEST.find((state) => here.includes(state)) ?? null;
}
/** What holds at a zone on a side, each with its reason, in words; empty where nothing does. */
export const placeWords = (limits: readonly Limit[], place: SidedZone): string =>
	[
		...new Set(
			limits
				.filter((l) => placesIn(l).length && reaches(placesIn(l) as SidedZone[], place))
				.map((l) => `${STATE_WORDS[stateOf(l)]}${l.does === 'level' ? ` to level ${l.level}` : ''}: ${l.name}`)
		)
	].join('; ');
export const STATE_WORDS: Record<PlaceState, string> = { out: 'left out', waits: 'waits', limited: 'limited' };
