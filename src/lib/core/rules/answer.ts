import type { SidedLoad } from '../sequence/balance';
import type { Sequence } from '../sequence/sequence.schema';
import type { Span } from '../sequence/timing';
import { CORE_VERSION } from '../version';
import { judge, type JudgeInput } from './judge';
import type { Finding } from './rule';
import { fixLabel, sentenceOf } from './wording';

export interface CheckAnswer {
	/** Version of the core that made the answer. */
	readonly core: string;
	readonly timing: Span & { readonly steps: Record<string, Span>; readonly phases: Record<string, Span> };
	readonly balance: { readonly overall: SidedLoad; readonly zones: Record<string, SidedLoad> };
	readonly findings: readonly (Finding & {
		readonly head: string;
		readonly body: string;
		readonly fix: string | null;
	})[];
	/** How many there are in all: more than are told where a sequence has more than `MOST_TOLD`. */
	readonly findingsInAll: number;
}

/** Most findings that are told of one sequence, the gravest first (working value): nobody reads more, and each costs its words. */
export const MOST_TOLD = 500;

/** Timing, balance and findings of a sequence as plain data: the server's answer and, in the browser, the same. */
export function checkAnswer(sequence: Sequence, context: JudgeInput): CheckAnswer {
	const { timing, balance, findings } = judge(sequence, context);
	const { minSeconds, expectedSeconds, maxSeconds } = timing;
	return {
		core: CORE_VERSION,
		timing: {
			minSeconds,
			expectedSeconds,
			maxSeconds,
			steps: Object.fromEntries(timing.steps),
			phases: Object.fromEntries(timing.phases)
		},
		balance: { overall: balance.overall, zones: Object.fromEntries(balance.zones) },
		findings: findings.slice(0, MOST_TOLD).map((finding) => ({
			...finding,
			...sentenceOf(finding),
			fix: finding.fixable ? fixLabel(finding.ruleId) : null
		})),
		findingsInAll: findings.length
	};
}
