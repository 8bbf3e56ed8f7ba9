import Papa from 'papaparse';
import type { PairComparison } from '../core/measure/compare';

/** What a pair of photographs says, a line for each measure: CSV by RFC 4180 with a heading. All cells are ours: none can be a formula. */
export function pairCsv({ measures }: PairComparison, before: string, after: string): string {
	const rows = measures.map((m) => ({
		measure: m.id,
		unit: m.unit,
		firstTakenAt: before,
		secondTakenAt: after,
		first: m.before ?? '',
		second: m.after ?? '',
		change: m.change,
		asMeasured: m.rawChange,
		standardError: m.se,
		low95: m.interval[0],
		high95: m.interval[1],
		mdc95: m.mdc95,
		mdcLow95: m.mdcInterval?.[0] ?? '',
		mdcHigh95: m.mdcInterval?.[1] ?? '',
		p: m.p,
		pAdjusted: m.pAdjusted,
		declared: m.primary ? 'yes' : 'no',
		retakes: m.ownRetakes,
		verdict: m.verdict
	}));
	return Papa.unparse(rows, { newline: '\r\n' });
}
