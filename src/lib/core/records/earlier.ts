import type { Assessment, Entry } from '../assess/assessment.schema';
import { isChoice, isMeasured, observation } from '../assess/registry';
import { labelOf } from '../atlas/places';
import type { Earlier, Session } from './session';

/** Most states of a session that are kept. */
export const MOST_EARLIER = 20;
const HOUR_MS = 3_600_000;

/** What of a session keeps what stood there before. */
const KEPT = ['before', 'after', 'sideEffects', 'note', 'told', 'corrections', 'workedSeconds'] as const;

/** Side effects that were noted and taken back: they were said, and are not said any more. */
export const withdrawnReactions = ({ earlier, sideEffects }: Pick<Session, 'earlier' | 'sideEffects'>): string[] => {
	const said = [...new Set(earlier.flatMap((e) => (e.sideEffects?.trim() ? [e.sideEffects.trim()] : [])))];
	return sideEffects.trim() ? [] : said.slice(-1);
};

/**
 * A change of a session, with what stood there before it: kept where the session ended more than an hour ago, once for
 * an hour of putting right. Slips that are mended at once are no history.
 * @param now ISO
 */
export function withEarlier(session: Session, fields: Partial<Session>, now: string): Partial<Session> {
	const since = (iso: string) => Date.parse(now) - Date.parse(iso);
	const touched = KEPT.some((field) => fields[field] !== undefined && fields[field] !== session[field]);
	if (!touched || !session.endedAt) return fields;
	// A reaction that is taken back was said all the same, however soon that is.
	const withdrawn = fields.sideEffects?.trim() === '' && session.sideEffects.trim() !== '';
	const last = session.earlier.at(-1);
	if (!withdrawn && (since(session.endedAt) < HOUR_MS || (last && since(last.at) < HOUR_MS))) return fields;
	const { before, after, sideEffects, note, told, corrections, workedSeconds } = session;
	const kept: Earlier = { at: now, before, after, sideEffects, note, told, corrections, workedSeconds };
	return { ...fields, earlier: [...session.earlier, kept].slice(-MOST_EARLIER) };
}

/** An entry that is otherwise now. */
export interface EntryDifference {
	readonly what: string;
	/** Empty: it was not there. */
	readonly was: string;
	readonly is: string;
}
const keyOf = ({ observation: id, place, side, retake }: Entry): string =>
	[id, place ?? '', side ?? '', retake ?? 1].join(' ');
function nameOf({ observation: id, place, side, retake }: Entry): string {
	const where = [side, place ? labelOf(place).toLowerCase() : ''].filter(Boolean).join(' ');
	return `${observation(id).label}${where ? `, ${where}` : ''}${retake ? `, reading ${retake}` : ''}`;
}
function valueText({ observation: id, value }: Entry): string {
	const row = observation(id);
	if (isChoice(row)) return row.options[String(value)] ?? String(value);
	return isMeasured(row) ? `${Number(value).toFixed(1)} ${row.unit}` : String(value);
}
/** What differs in what was said and put right, between two states of a session. */
export function saidDifferences(was: Earlier, is: Partial<Earlier>): EntryDifference[] {
	const texts = (
		[
			['Side effects', was.sideEffects, is.sideEffects],
			['Note for next time', was.note, is.note],
			['In the client’s words', was.told, is.told],
			['Corrections', correctionsText(was.corrections), correctionsText(is.corrections)],
			['Minutes', minutesText(was.workedSeconds), minutesText(is.workedSeconds)]
		] as const
	).map(([what, a, b]) => ({ what, was: a, is: b }));
	return texts.flatMap(({ what, was: a, is: b }) =>
		a === undefined || a === b ? [] : [{ what, was: a, is: b ?? '' }]
	);
}
const minutesText = (seconds: number | undefined): string | undefined =>
	seconds === undefined ? undefined : String(Math.round(seconds / 60));
const correctionsText = (corrections: Earlier['corrections']): string | undefined =>
	corrections
		?.map(
			({ stepId, leftReps, rightReps, seconds, reason }) =>
				`${stepId}: ${seconds === undefined ? `${leftReps} left, ${rightReps} right` : `${seconds} s`}${reason ? `, ${reason}` : ''}`
		)
		.join('; ');

/** What differs between two states of one assessment. */
export function entryDifferences(was: Assessment | null, is: Assessment | null): EntryDifference[] {
	const [a, b] = [was, is].map((one) => new Map((one?.entries ?? []).map((e) => [keyOf(e), e]))) as [
		Map<string, Entry>,
		Map<string, Entry>
	];
	return [...new Set([...a.keys(), ...b.keys()])].flatMap((key) => {
		const [old, now] = [a.get(key), b.get(key)];
		const [before, after] = [old ? valueText(old) : '', now ? valueText(now) : ''];
		return before === after ? [] : [{ what: nameOf((old ?? now)!), was: before, is: after }];
	});
}
