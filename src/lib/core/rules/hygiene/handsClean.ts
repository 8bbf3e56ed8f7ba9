import { insertStep } from '../../sequence/edits';
import { basicTechnique } from '../../technique/basics';
import { makeStep } from '../../technique/makeStep';
import { touches, washesHands } from '../facts';
import { type Rule } from '../rule';
import { freeId } from '../../sequence/freeId';

/** Hands are washed before the client is first touched. */
export const handsClean: Rule = {
	id: 'hands-clean',
	kind: 'hygiene',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check({ sequence, steps }) {
		if (sequence.performer === 'self') return [];
		const first = steps.find(({ step }) => touches(step) || washesHands(step));
		return first && !washesHands(first.step) ? [{ stepIds: [first.step.id], params: { number: first.number } }] : [];
	},
	fix(context, finding) {
		const wash = makeStep(basicTechnique('clean-hands'), { id: freeId(context, 'wash-hands') });
		return insertStep(context.sequence, wash, { before: finding.stepIds[0]! }, 'Wash hands first');
	}
};
