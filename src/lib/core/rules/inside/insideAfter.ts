import { insertStep } from '../../sequence/edits';
import type { PlacedStep } from '../../sequence/walk';
import { basicTechnique } from '../../technique/basics';
import { makeStep } from '../../technique/makeStep';
import { isInside, touches, washesHands } from '../facts';
import { type JudgeContext, type Rule } from '../rule';
import { freeId } from '../../sequence/freeId';

/** The first touch outside after inside work, where neither hands were washed nor gloves taken off between. */
function soiled({ steps }: JudgeContext, inside: PlacedStep): PlacedStep | null {
	const next = steps.find(({ step, number }) => number > inside.number && (washesHands(step) || touches(step)));
	if (!next || washesHands(next.step) || isInside(next.step)) return null;
	const glovesOff = inside.step.tool?.id === 'gloves' && next.step.tool?.id !== 'gloves';
	return glovesOff ? null : next;
}

/** Clean hands or new gloves before the outside is touched again. */
export const insideAfter: Rule = {
	id: 'inside-after',
	kind: 'inside',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'stop',
	safe: true,
	check: (context) =>
		context.steps.flatMap((placed) => {
			const next = isInside(placed.step) ? soiled(context, placed) : null;
			return next ? [{ stepIds: [next.step.id], params: { number: next.number, inside: placed.number } }] : [];
		}),
	fix(context, finding) {
		const wash = makeStep(basicTechnique('clean-hands'), { id: freeId(context, 'wash-after-inside') });
		return insertStep(context.sequence, wash, { before: finding.stepIds[0]! }, 'Wash hands after the inside work');
	}
};
