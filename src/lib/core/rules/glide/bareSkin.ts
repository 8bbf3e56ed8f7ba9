import { placeOf } from '../../atlas/places';
import { insertStep } from '../../sequence/edits';
import type { Edit } from '../../sequence/edit.schema';
import { basicTechnique } from '../../technique/basics';
import { makeStep } from '../../technique/makeStep';
import { stepOfFinding, type Finding, type JudgeContext, type RawFinding, type Rule } from '../rule';
import { freeId } from '../../sequence/freeId';

const oiled = (context: JudgeContext, tape: boolean): RawFinding[] =>
	[...context.film.oiled].flatMap(([stepId, place]) => {
		const { step, number } = context.byId.get(stepId)!;
		return (step.aim === 'fix') === tape ? [{ stepIds: [stepId], place, params: { number } }] : [];
	});

/** The skin of the step is wiped before it. */
function wipeFirst(context: JudgeContext, finding: Finding): Edit | null {
	const step = stepOfFinding(context, finding);
	if (!step) return null;
	const wipe = makeStep(basicTechnique('remove-oil'), {
		id: freeId(context, 'remove-oil'),
		places: step.places.map(placeOf)
	});
	return insertStep(
		context.sequence,
		wipe,
		{ before: step.id },
		`Take off the oil before step ${finding.params.number}`
	);
}

/** No tape on oily skin. */
export const tapeOnOil: Rule = {
	id: 'tape-on-oil',
	kind: 'glide',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'caution',
	safe: true,
	check: (context) => oiled(context, true),
	fix: wipeFirst
};

/** No dry move after oil. */
export const dryAfterOil: Rule = {
	id: 'dry-after-oil',
	kind: 'glide',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check: (context) => oiled(context, false),
	fix: wipeFirst
};
