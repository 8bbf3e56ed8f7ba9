import { ZONES } from '../atlas/zones';
import { listWords } from '../listWords';
import type { Change } from './change';
import { isGrade, isMeasured, observation } from './registry';
import type { MeasuredObservation } from './observation';

/** What is real, in one plain sentence; it never names what is not *changed*, and never a cause. */
export interface ChangeSentence {
	readonly real: string;
	readonly rest: string;
}

/** The value of a grade in words; halves, which only medians have, in figures. */
function gradeWord(words: readonly string[], grade: number): string {
	return words[grade] ?? String(grade).replace('.5', '½');
}

/** A change in the words of its observation; null where the sentence leaves it to the table. */
export function changeWords(change: Change): string | null {
	const row = observation(change.observation);
	const { before, after, side, place } = change;
	if (before === null || after === null) return null;
	if (isGrade(row)) {
		const where = place ? `the ${side} ${ZONES[place].label.toLowerCase()}` : '';
		return `${[row.of, where].filter(Boolean).join(' ')} from ${gradeWord(row.words, before)} to ${gradeWord(row.words, after)}`;
	}
	return isMeasured(row) && row.said ? measuredWords(row, row.said, change) : null;
}

function measuredWords({ unit, sumOf }: MeasuredObservation, said: string, { side, delta }: Change): string {
	const what = side ? `the ${side} ${said}` : said;
	const amount = `${Math.abs(delta!).toFixed(1)}${unit ? ` ${unit}` : ''}`;
	return `${what} measures ${amount} ${delta! < 0 ? 'less' : 'more'}${sumOf ? ' in all' : ''}`;
}

/** What changed, of all that was observed. */
export function changeSentence(changes: readonly Change[]): ChangeSentence {
	if (!changes.some((c) => c.verdict !== 'not-comparable'))
		return { real: '', rest: 'Nothing has been looked at twice yet, so nothing can be compared.' };
	const told = (verdict: Change['verdict']) =>
		changes.filter((c) => c.verdict === verdict).flatMap((c) => changeWords(c) ?? []);
	const [changed, graded] = [told('changed'), told('one-pair')];
	if (!changed.length && !graded.length) return { real: '', rest: 'Nothing beyond measuring error.' };
	const rest = 'The rest stays within measuring error.';
	return {
		real: changed.length ? `Changed: ${listWords(changed)}.` : '',
		rest: graded.length ? `Graded: ${listWords(graded)}; one pair of grades is not judged alone. ${rest}` : rest
	};
}
