import type { Assessment, Entry } from '../assess/assessment.schema';
import { isChoice, isMeasured, observation } from '../assess/registry';
import { labelOf } from '../atlas/places';
import type { Earlier, Session } from './session';

/** Most states of a session that are kept. */
export const MOST_EARLIER = 20;
const HOUR_MS = 3_600_000;

/**
 * A change of a session, with what stood there before it: kept where the session ended more than an hour ago, once for
 * an hour of putting right. Slips that are mended at once are no history.
 * @param now ISO
 */
export function withEarlier(session: Session, fields: Partial<Session>, now: string): Partial<Session> {
	const since = (iso: string) => Date.parse(now) - Date.parse(iso);
	const touched = fields.before !== undefined || fields.after !== undefined;
	if (!touched || !session.endedAt || since(session.endedAt) < HOUR_MS) return fields;
	const last = session.earlier.at(-1);
	if (last && since(last.at) < HOUR_MS) return fields;
	const kept: Earlier = { at: now, before: session.before, after: session.after };
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
