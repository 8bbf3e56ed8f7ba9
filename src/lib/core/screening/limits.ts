import { capital } from '../capital';
import { dayAfter, type Day } from '../client/days';
import { markRow, placesOfMark } from '../client/marks';
import type { Mark } from '../client/common.schema';
import type { Person } from '../client/person.schema';
import { latestAnswers } from '../client/answers';
import type { Answer, Clearance } from '../client/answer.schema';
import type { Severity } from '../school/school.schema';
import { AREAS, placesOfArea, placesWords, withAround } from './areas';
import type { Effect, EffectKind, Flag, Where } from './flag';
import { flagById } from './flags';
import type { Limit, Reach } from './limit.schema';

/** What of a client's record the screening reads. */
export type Screened = Pick<Person, 'answers' | 'marks' | 'clearances'>;

const SEVERITY: Record<EffectKind, Severity> = {
	refer: 'stop',
	clearance: 'stop',
	'leave-out': 'stop',
	level: 'caution',
	minutes: 'caution',
	'one-side': 'caution',
	posture: 'caution',
	upright: 'caution',
	media: 'stop',
	mind: 'advice'
};

/** A place that was not told holds in the area where it may be: what is not known yet is not worked. */
function reachOf(where: Where, answer: Answer): { where: Reach; whereWords: string } {
	if (where === 'everywhere') return { where, whereWords: where };
	if ('area' in where) return { where: placesOfArea(where.area), whereWords: AREAS[where.area].label };
	const { places } = answer;
	if (!places.length)
		return {
			where: placesOfArea(where.else),
			whereWords: `${AREAS[where.else].label}, as long as the place is not told`
		};
	const words = placesWords(places).slice(0, 250);
	return where.around
		? { where: withAround(places), whereWords: `${words}, and around` }
		: { where: [...places], whereWords: words };
}

/**
 * The first day on which an effect holds no more: the day that was given, else so many calendar days after it was done.
 * Null where nothing ends it: no days are counted, or the day it was done is not known.
 */
export function endOf(effect: Pick<Effect, 'days'>, answer: Pick<Answer, 'since' | 'until'>): Day | null {
	if (answer.until) return answer.until;
	return effect.days !== undefined && answer.since ? dayAfter(answer.since, effect.days) : null;
}

/** The clearance for a flag that lasts longest, whether it holds or has run out. */
export function clearanceFor(flagId: string, clearances: readonly Clearance[]): Clearance | null {
	const last = (c: Clearance) => c.until ?? '9999';
	return clearances.reduce<Clearance | null>(
		(best, c) => (c.flag === flagId && (!best || last(c) > last(best)) ? c : best),
		null
	);
}
/** It holds from the day it was given until the day before its end. */
export const isCleared = (clearance: Clearance | null, today: Day): boolean =>
	clearance !== null && clearance.on <= today && (clearance.until === null || today < clearance.until);

type Common = Pick<Limit, 'id' | 'source' | 'name' | 'reason' | 'severity' | 'since' | 'until'>;

function limitOf(effect: Effect, common: Common, answer: Answer): Limit {
	switch (effect.does) {
		case 'refer':
		case 'upright':
			return { ...common, does: effect.does };
		case 'clearance':
			// Where only an area wants a clearance, the rest may be worked without one.
			return effect.where && effect.where !== 'everywhere'
				? { ...common, does: 'leave-out', ...reachOf(effect.where, answer), ...whichOf(effect.which) }
				: { ...common, does: 'clearance' };
		case 'leave-out':
			return { ...common, does: 'leave-out', ...reachOf(effect.where, answer), ...whichOf(effect.which) };
		case 'level':
			return { ...common, does: 'level', ...reachOf(effect.where, answer), level: effect.level };
		case 'minutes':
			return { ...common, does: 'minutes', minutes: effect.minutes };
		case 'one-side':
			return { ...common, does: 'one-side', ...reachOf(effect.where, answer) };
		case 'posture':
			return { ...common, does: 'posture', without: [...effect.without] };
		case 'media':
			return { ...common, does: 'media', without: [...effect.without] };
		case 'mind':
			return {
				...common,
				does: 'mind',
				...reachOf(effect.where, answer),
				...whichOf(effect.which),
				say: effect.say
			};
	}
}
const whichOf = <W>(which: W | undefined): { which?: W } => (which ? { which } : {});

/** What one answer does today. A no, and what has ended, does nothing. */
export function limitsOfAnswer(flag: Flag, answer: Answer, clearances: readonly Clearance[], today: Day): Limit[] {
	if (answer.says === 'no') return [];
	const clearance = clearanceFor(flag.id, clearances);
	const cleared = isCleared(clearance, today);
	return flag.effects.flatMap((effect, i): Limit[] => {
		const until = endOf(effect, answer);
		if ((until !== null && until <= today) || (effect.does === 'clearance' && cleared)) return [];
		const ranOut = effect.does === 'clearance' && clearance?.until && clearance.until <= today;
		const why = ranOut ? `The clearance by ${clearance.by} ran out on ${clearance.until}. ${flag.reason}` : flag.reason;
		const common: Common = {
			id: `${flag.id}/${i}`,
			source: { kind: 'answer', id: flag.id },
			name: answer.says === 'unsure' ? `${flag.name}, not sure` : flag.name,
			reason: why,
			severity: effect.severity ?? SEVERITY[effect.does],
			since: answer.since,
			until
		};
		return [limitOf(effect, common, answer)];
	});
}

/** What a mark on the map does today. */
export function limitsOfMark(mark: Mark, today: Day): Limit[] {
	const row = markRow(mark.kind);
	const where = placesOfMark(mark);
	const at = { where, whereWords: placesWords(where) };
	const fresh = row.restDays !== null && mark.since ? dayAfter(mark.since, row.restDays) : null;
	const common = (n: number, severity: Severity): Common => ({
		id: `${mark.id}/${n}`,
		source: { kind: 'mark', id: mark.id },
		name: row.label,
		reason: `${capital(row.asks)}.${mark.note ? ` ${mark.note}` : ''}`,
		severity,
		since: mark.since,
		until: null
	});
	const limits: Limit[] = [];
	if (fresh && today < fresh) limits.push({ ...common(0, 'stop'), until: fresh, does: 'leave-out', ...at });
	if (row.level !== null) limits.push({ ...common(1, 'caution'), does: 'level', ...at, level: row.level });
	if (row.goRound) limits.push({ ...common(2, 'caution'), does: 'go-round', ...at });
	return limits;
}

const RANK: Record<Limit['does'], number> = {
	refer: 0,
	clearance: 1,
	'leave-out': 2,
	level: 3,
	media: 4,
	'one-side': 5,
	posture: 6,
	upright: 7,
	minutes: 8,
	'go-round': 9,
	mind: 10
};
const GRAVE: Record<Severity, number> = { stop: 0, caution: 1, advice: 2 };

/** The gravest first: what ends the day, what wants a word, what is left out, what is limited. */
export const byGravity = (a: Limit, b: Limit): number =>
	RANK[a.does] - RANK[b.does] || GRAVE[a.severity] - GRAVE[b.severity];

/**
 * What today allows a client: every answer, mark and clearance of hers worked out for a calendar day of the practice.
 * What has ended is gone by itself on the day it ends. An answer to a question that is not known here acts on nothing.
 */
export function limitsOn({ answers, marks, clearances }: Screened, today: Day): Limit[] {
	const told = [...latestAnswers(answers).values()].flatMap((answer) => {
		const flag = flagById(answer.flag);
		return flag ? limitsOfAnswer(flag, answer, clearances, today) : [];
	});
	return [...told, ...marks.flatMap((mark) => limitsOfMark(mark, today))].sort(byGravity);
}
