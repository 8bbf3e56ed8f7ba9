import { placeOf, type PlaceRef } from '../../atlas/places';
import { stepOfFinding, type Rule } from '../rule';
import { isStroke, pairsOf, withPath } from '../strokes';
import type { Step } from '../../step/step.schema';

const BELOW: readonly string[] = ['supraclavicular', 'decollete', 'n:terminus'];
const straightDown = (step: Step) =>
	pairsOf(step).find((p) => placeOf(p.from) === 'throat' && BELOW.includes(placeOf(p.to)));

/** The vessels of the throat run sideways; a stroke straight down its front gets a caution, not a ban. */
export const throatStraightDown: Rule = {
	id: 'throat-straight-down',
	kind: 'direction',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	check(context) {
		return context.steps
			.filter(({ step }) => isStroke(step) && straightDown(step))
			.map(({ step, number }) => ({ stepIds: [step.id], params: { number } }));
	},
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		const path = step.reverse && !straightDown({ ...step, reverse: false }) ? [...step.places].reverse() : step.places;
		const until = path.findIndex((ref) => placeOf(ref) === 'throat');
		const places: PlaceRef[] = [...path.slice(0, until + 1), 'sternocleidomastoid', 'n:deep-cervical', 'n:terminus'];
		return withPath(context, step, places, `Lead step ${finding.params.number} to the side of the neck`);
	}
};
