import type { Level } from '../step/levels';
import type { Step } from '../step/step.schema';
import type { Position } from './position';

/**
 * The pressure at a moment: of a hold that rises as far as it has risen, along a way that of the place that is passed, and
 * before and after it that with which it begins.
 */
export function levelNow({ event, repShare, eventLeftSeconds }: Position, step: Step): Level {
	const levels = event?.levels ?? step.levels ?? [step.pressure ?? 0];
	if (!event || event.kind === 'transition') return levels[0]!;
	if (step.risesTo !== undefined && event.part === 0 && event.kind === 'work') {
		const from = Math.max(...levels);
		const share = 1 - eventLeftSeconds / (event.endSeconds - event.startSeconds);
		return Math.round(from + share * (step.risesTo - from)) as Level;
	}
	if (step.swellsTo !== undefined && event.part === 0 && event.kind === 'work') {
		// Light, firm, light: deepest in the middle of each stroke.
		const from = Math.max(...levels);
		return Math.round(from + (1 - Math.abs(2 * repShare - 1)) * (step.swellsTo - from)) as Level;
	}
	const share = event.direction === 'back' ? 1 - repShare : repShare;
	return levels[Math.min(levels.length - 1, Math.floor(share * levels.length))]!;
}
