import { ownSideOf, otherSide, SIDES } from '../../atlas/places';
import { changedBy } from '../../screening/adapt/step';
import { leftOut } from '../../screening/meets';
import { placesTouched } from '../../step/parts';
import { sideIn } from '../../client/sidedZone';
import { stepOfFinding } from '../rule';
import { changeEdit, clientRule, limitsOf, wordsOf } from './clientRule';

/**
 * A place that is left out today. The fix works the other side alone where only one is left out, with the reason, so that
 * it is known to be meant; else the path goes round, or is cut.
 */
export const clientLeftOut = clientRule({
	id: 'client-left-out',
	severity: 'stop',
	meets: leftOut,
	by: ['places'],
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		const limits = limitsOf(context);
		const { places, limits: met } = leftOut(step, limits);
		const sides = SIDES.filter((side) => places.some((p) => sideIn(p) === side));
		const free = step.side !== undefined && step.side !== 'left' && step.side !== 'right';
		if (sides.length === 1 && free && placesTouched(step).every((ref) => ownSideOf(ref) === null)) {
			const [side] = sides;
			const reason = `The ${side} is left out: ${wordsOf(met).names}.`;
			const after = { ...step, side: otherSide(side!), reason };
			return changeEdit(context, step, after, finding.params.number);
		}
		const adapting = { limits, media: context.sequence.media, pumps: context.working.linkPumps };
		return changeEdit(context, step, changedBy(step, ['places'], adapting), finding.params.number);
	}
});
