import { placeOf, type PlaceRef } from '../../atlas/places';
import { stepOfFinding, type Rule } from '../rule';
import { isStroke, pairsOf, withPath } from '../strokes';
import type { Step } from '../../step/step.schema';
import { movesFluid } from '../../step/levelsOf';

const BELOW: readonly string[] = ['supraclavicular', 'decollete', 'n:terminus'];
const straightDown = (step: Step) =>
	pairsOf(step).find(
		(p) =>
			(placeOf(p.from) === 'throat' && BELOW.includes(placeOf(p.to))) ||
			(placeOf(p.from) === 'submental' && placeOf(p.to) === 'throat')
	);

/** The vessels of the throat run sideways; a stroke straight down its front gets a caution, not a ban. */
export const throatStraightDown: Rule = {
	id: 'throat-straight-down',
	kind: 'direction',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	policy: (school) =>
		school.underChin === 'straight-down' ? 'strokes straight down under the chin' : 'leads outwards under the chin',
	check(context) {
		if (context.school.underChin === 'straight-down') return [];
		return context.steps
			.filter(({ step }) => isStroke(step) && movesFluid(step) && straightDown(step))
			.map(({ step, number }) => ({ stepIds: [step.id], params: { number } }));
	},
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		const path = step.reverse && !straightDown({ ...step, reverse: false }) ? [...step.places].reverse() : step.places;
		const until = path.findIndex((ref) => placeOf(ref) === 'throat');
		const chin = path.findIndex((ref) => placeOf(ref) === 'submental');
		// From under the chin outwards under the jaw; from the throat to the side of the neck.
		const places: PlaceRef[] =
			chin >= 0 && chin < until
				? [...path.slice(0, chin + 1), 'under-jaw', 'n:submandibular']
				: [...path.slice(0, until + 1), 'sternocleidomastoid', 'n:deep-cervical', 'n:terminus'];
		return withPath(context, step, places, `Lead step ${finding.params.number} to the side of the neck`);
	}
};
