import { mlFor, type DryStep } from '../../glide/film';
import { amountText } from '../../medium/media';
import { setStep } from '../../sequence/edits';
import type { Edit } from '../../sequence/edit.schema';
import { stepOfFinding, type Finding, type JudgeContext, type RawFinding, type Rule } from '../rule';

const found = (context: JudgeContext, kind: DryStep['kind']): RawFinding[] =>
	context.film.dry
		.filter((d) => d.kind === kind)
		.map(({ stepId, place, seconds }) => {
			const { step, number } = context.byId.get(stepId)!;
			return {
				stepIds: [stepId],
				place,
				params: {
					number,
					seconds: Math.round(seconds),
					amount: amountText(mlFor(step, context.working), context.working)
				}
			};
		});

/** More medium before the step: as much as a full film on its way wants. */
function topUp(context: JudgeContext, finding: Finding): Edit | null {
	const step = stepOfFinding(context, finding);
	if (!step) return null;
	const medium = { id: context.sequence.medium?.id ?? 'light-oil', ml: mlFor(step, context.working) };
	return setStep(
		context.sequence,
		step.id,
		{ medium },
		`Take ${amountText(medium.ml, context.working)} before step ${finding.params.number}`
	);
}

/** Nothing slides on bare skin. */
export const noGlide: Rule = {
	id: 'no-glide',
	kind: 'glide',
	policy: (school) => (school.glide === 'oil' ? 'oil from the start' : 'muscle work dry, oil for the drain'),
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check: (context) => found(context, 'none'),
	fix: topUp
};

/** The film lasts as long as the hands slide. */
export const filmSpent: Rule = {
	id: 'film-spent',
	kind: 'glide',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check: (context) => found(context, 'spent'),
	fix: topUp
};
