import { SIDES } from '../atlas/places';
import { atOnceOf, lastingOf, onSide, type AtOnce, type Lasting } from '../assess/lasting';
import { overSentence, overSessions } from '../assess/overSessions';
import { gradeRow, GRADE_IDS, HEADLINE_MEASURED } from '../assess/registry';
import { lengthText, type LengthUnit } from '../assess/units';
import type { Session } from './session';

/** What a client is told of her own record, in plain words. */
export interface Report {
	readonly sessions: number;
	readonly looked: number;
	readonly from: string;
	readonly to: string;
	/** What is real: never more than the figure carries, and never a cause. */
	readonly real: readonly string[];
	/** What may be chance, or cannot be told yet. */
	readonly unsure: readonly string[];
	readonly reactions: number;
}

/** Said of every report: what the figures can bear. */
export const UNCERTAINTY =
	'All figures carry what measuring may err by, in brackets; what is not named here lies within it. This is one person’s record, not proof: sleep, season and habits are in it too.';

const range = ({ low, high }: AtOnce | Lasting, unit: LengthUnit): string => {
	const [a, b] = [low, high].map((mm) => lengthText(Math.abs(mm), unit)).sort((x, y) => Number(x) - Number(y));
	return `${a} to ${b}`;
};

/**
 * Her record over all sessions.
 * @param sessions of one client, the first one first
 */
export function reportOf(sessions: readonly Session[], unit: LengthUnit): Report {
	const real: string[] = [];
	const unsure: string[] = [];
	for (const side of SIDES) {
		const value = onSide(HEADLINE_MEASURED, side);
		const [once, lasting] = [atOnceOf(sessions, value), lastingOf(sessions, value)];
		const size = ({ middle }: AtOnce | Lasting) => `${lengthText(Math.abs(middle), unit)} ${unit}`;
		if (once.verdict === 'less' || once.verdict === 'more')
			real.push(
				`Right after a session what the tape measures on your ${side} side is together ${size(once)} ${once.verdict} (${range(once, unit)}), on average over ${once.n} sessions.`
			);
		else if (once.n) unsure.push(`What a session does at once on your ${side} side by tape`);
		if (lasting.verdict === 'less' || lasting.verdict === 'more')
			real.push(
				`From visit to visit it is ${size(lasting)} ${lasting.verdict} a week on your ${side} side (${range(lasting, unit)}): before a session, at like hours, over ${lasting.n} visits.`
			);
		else if (lasting.n) unsure.push(`What stays from visit to visit on your ${side} side by tape`);
	}
	for (const id of GRADE_IDS) {
		const over = overSessions(id, sessions);
		const said = overSentence(over, gradeRow(id).label);
		if (said) real.push(said);
		else if (over.places.length) unsure.push(`${gradeRow(id).label}, graded by hand`);
	}
	return {
		sessions: sessions.length,
		looked: sessions.filter((s) => s.after).length,
		from: sessions[0]?.startedAt ?? '',
		to: sessions.at(-1)?.startedAt ?? '',
		real,
		unsure,
		reactions: sessions.filter((s) => s.sideEffects.trim()).length
	};
}
