import type { Side } from '../atlas/places';
import { ZONES } from '../atlas/zones';
import { PUFFINESS_WORDS, type Grade } from './grades';
import type { DistanceRow, ZoneChange } from './look';

/** What is real, in one plain sentence; it never names what is not *changed*, and never a cause. */
export interface ChangeSentence {
	readonly real: string;
	readonly rest: string;
}

const sideOf = (side: Side) => (side === 'left' ? 'left' : 'right');
const list = (parts: string[]) =>
	parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;

const zoneWords = (c: ZoneChange) =>
	`the ${sideOf(c.side)} ${ZONES[c.zone].label.toLowerCase()} from ${PUFFINESS_WORDS[c.before as Grade]} to ${PUFFINESS_WORDS[c.after as Grade]}`;
const sumWords = (row: DistanceRow) => {
	const mm = row.change.delta!;
	return `the ${sideOf(row.side)} side measures ${Math.abs(mm).toFixed(1)} mm ${mm < 0 ? 'less' : 'more'} in all`;
};

export function changeSentence(zones: readonly ZoneChange[], distances: readonly DistanceRow[]): ChangeSentence {
	const changed = [
		...zones.filter((c) => c.verdict === 'changed').map(zoneWords),
		...distances.filter((r) => r.id === 'sum' && r.change.verdict === 'changed').map(sumWords)
	];
	const judged = [...zones.map((c) => c.verdict), ...distances.map((r) => r.change.verdict)];
	if (!judged.some((v) => v !== 'not-comparable'))
		return { real: '', rest: 'Nothing has been looked at twice yet, so nothing can be compared.' };
	if (!changed.length) return { real: '', rest: 'Nothing beyond measuring error.' };
	return { real: `Changed: ${list(changed)}.`, rest: 'The rest stays within measuring error.' };
}
