import { stepEffectWords } from '$lib/core/flow/words';
import type { AllWorth } from '$lib/core/flow/worth';
import { deepestMl, mattersIn } from '../tide/worthMarks';

/** What a row shows of a step's worth: shares of the deepest of all, 0..1, and the same in words. */
export interface RowWorth {
	readonly middle: number;
	readonly low: number;
	readonly high: number;
	readonly harm: boolean;
	readonly words: string;
}

/** Of every step that is weighed. */
export function rowWorths(all: AllWorth): ReadonlyMap<string, RowWorth> {
	const most = deepestMl(all);
	const share = (ml: number) => Math.min(1, Math.abs(ml) / most);
	return new Map(
		all.steps.map((effect) => {
			const { ml } = effect;
			const crosses = ml.p5 * ml.p95 < 0;
			const ends = [share(ml.p5), share(ml.p95)].sort((a, b) => a - b) as [number, number];
			// What does not matter has no bar: its words say so.
			const bar = mattersIn(effect)
				? { middle: share(ml.median), low: crosses ? 0 : ends[0], high: ends[1], harm: ml.median < 0 }
				: { middle: 0, low: 0, high: 0, harm: false };
			return [effect.stepId, { ...bar, words: stepEffectWords(effect, all.draws) }];
		})
	);
}
