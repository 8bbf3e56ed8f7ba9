import { isMidlinePlace } from '../../atlas/midline';
import { setStep } from '../../sequence/edits';
import type { Step } from '../../step/step.schema';
import { contactRow, motionRow } from '../../vocabulary/vocabulary';
import { stepOfFinding, type Rule } from '../rule';

/** Whether one side already takes both hands. */
export const takesBothHands = (step: Step): boolean =>
	motionRow(step.motion).bothHands || contactRow(step.contact).hands === 2 || holdsWithHand(step);

/** One's own thumb, or the client's head, holds without a second hand. */
const holdsWithHand = ({ support }: Step): boolean =>
	support?.place !== undefined && !support.thumb && support.head === undefined;

/** Two hands that are crossed lie one on each side; a head that is pushed against a still hand needs that one only. */
const oneEach = ({ contact, support }: Step): boolean => contact === 'crossed-hands' || support?.head !== undefined;

/** Over the middle, two hands that draw apart work both sides at once. */
const overTheMiddle = (step: Step): boolean =>
	step.motion === 'opposed-stretch' && step.places.length > 0 && step.places.every(isMidlinePlace);

/** Nobody has four hands. */
export const twoHands: Rule = {
	id: 'two-hands',
	kind: 'body',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check: ({ steps }) =>
		steps
			.filter(
				({ step }) =>
					step.side === 'both' &&
					step.by === 'practitioner' &&
					takesBothHands(step) &&
					!oneEach(step) &&
					!overTheMiddle(step)
			)
			.map(({ step, number }) => ({ stepIds: [step.id], params: { number } })),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		const side = { each: true as const, first: 'left' as const };
		return (
			step && setStep(context.sequence, step.id, { side }, `Do step ${finding.params.number} one side after the other`)
		);
	}
};
