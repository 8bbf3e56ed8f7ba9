import { isMidlinePlace } from '../../atlas/midline';
import { ownSideOf } from '../../atlas/places';
import { setStep } from '../../sequence/edits';
import { stepOfFinding, type Rule } from '../rule';

/** In a block that does one side and then the other, the middle is worked once. */
export const middleTwice: Rule = {
	id: 'middle-twice',
	kind: 'dose',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check: ({ steps }) =>
		steps
			.filter(
				({ step, block }) =>
					block.sides !== 'asSteps' &&
					step.side !== 'midline' &&
					step.places.length > 0 &&
					step.places.every((ref) => isMidlinePlace(ref) && ownSideOf(ref) === null)
			)
			.map(({ step, number }) => ({ stepIds: [step.id], place: step.places[0]!, params: { number } })),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		return (
			step &&
			setStep(context.sequence, step.id, { side: 'midline' }, `Do step ${finding.params.number} once, over the middle`)
		);
	}
};
