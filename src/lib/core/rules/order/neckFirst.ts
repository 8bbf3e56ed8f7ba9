import { basicTechnique } from '../../technique/basics';
import { makeStep } from '../../technique/makeStep';
import { insertStep } from '../../sequence/edits';
import { isNode, placeOf, type PlaceRef } from '../../atlas/places';
import { isFace, regionOf } from '../../atlas/regionOf';
import { type Rule } from '../rule';
import { freeId } from '../../sequence/freeId';
import { isFluidStroke } from '../strokes';

/** The ear lies on the way of neck strokes and is no part of the face here. */
const onFace = (ref: PlaceRef): boolean => isFace(regionOf(ref)) && regionOf(ref) !== 'ear' && !isNode(placeOf(ref));

/** The neck is cleared before the face is sent through it. */
export const neckFirst: Rule = {
	id: 'neck-first',
	kind: 'order',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	policy: (school) => (school.neckFirst ? 'clears the neck before the face' : 'does not ask for the neck first'),
	check({ school, steps }) {
		if (!school.neckFirst) return [];
		const face = steps.find(({ step }) => isFluidStroke(step) && step.places.some(onFace));
		if (!face) return [];
		const cleared = steps.some(
			({ step, number }) =>
				number < face.number &&
				// Kneading the nape frees muscle; it clears nothing.
				isFluidStroke(step) &&
				!step.places.some(onFace) &&
				step.places.some((p) => regionOf(p) === 'neck')
		);
		return cleared ? [] : [{ stepIds: [face.step.id], params: { number: face.number } }];
	},
	fix(context, finding) {
		const step = makeStep(basicTechnique('light-stroke'), {
			id: freeId(context, 'clear-neck'),
			places: ['sternocleidomastoid', 'n:terminus'],
			side: { each: true, first: 'left' }
		});
		return insertStep(context.sequence, step, { before: finding.stepIds[0]! }, 'Clear the neck first');
	}
};
