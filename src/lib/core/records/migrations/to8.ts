import { isObject, type Raw } from '../record';
import type { RecordMigration } from './migration';

/** Nothing but zeros: the two did the same, which was not yet told from one leaving more. */
const isTie = (ml: unknown): boolean => isObject(ml) && [ml.median, ml.p5, ml.p95].every((x) => x === 0);

/** Faces are counted instead of a share; what a part of the face held at the start was not kept. */
function verdict(raw: unknown, draws: number): unknown {
	if (!isObject(raw) || typeof raw.share !== 'number') return raw;
	const { share, shownPercent: _, ofStart, ...kept } = raw;
	const lessIn = Math.round(share * draws);
	const sign = lessIn * 2 < draws ? -1 : 1;
	const hangsOn = Array.isArray(raw.hangsOn)
		? raw.hangsOn.map((h: unknown) => (isObject(h) && typeof h.rho === 'number' ? { ...h, rho: sign * h.rho } : h))
		: [];
	return {
		...kept,
		lessIn,
		moreIn: isTie(raw.ml) ? 0 : draws - lessIn,
		ofHeld: raw.outcome === 'all' ? ofStart : null,
		hangsOn
	};
}

function comparison(raw: Raw): Raw {
	const { result } = raw;
	if (!isObject(result) || !isObject(result.verdicts)) return raw;
	const draws = Number(result.draws);
	const verdicts = Object.fromEntries(
		Object.entries(result.verdicts).map(([id, list]) => [
			id,
			Array.isArray(list) ? list.map((v) => verdict(v, draws)) : list
		])
	);
	return { ...raw, result: { ...result, verdicts, holdsMl: null, matrix: null, where: null } };
}

/** Comparisons count faces, and tell a tie; what they hang on speaks of the winner's lead. */
export const to8: RecordMigration = {
	to: 8,
	name: 'faces counted in comparisons',
	records: {
		comparison
	}
};
