import { setStep } from '../../sequence/edits';
import type { Dose, Step } from '../../step/step.schema';
import { hasDoseAt } from '../../step/doseAt';
import { typicalDose } from '../../step/typicalDose';
import { stepOfFinding, type Rule } from '../rule';

/** How much more a stop counts than the press of one point (working value: 1 to 3 s against 10 and more). */
const STOPS = 5;

/**
 * What may be meant by a dose: that of one way, that of all lanes or both directions together, and of strokes that stop
 * and press what is done at the stops.
 */
function dosesOf(step: Step): number[] {
	const { target, kind } = step.dose;
	// Place by place a press is a stop: a few seconds each.
	if (kind !== 'reps') return hasDoseAt(step) ? [target, target * step.places.length * STOPS] : [target];
	const ways = step.lanes * (step.reverse ? 2 : 1);
	const stops = step.stations ? [target * step.stations.places.length] : [];
	return [target, target * ways, target * (1 + (step.parts?.length ?? 0)), ...stops];
}

/** A dose is within what is usual for such a move. */
export const doseRange: Rule = {
	id: 'dose-range',
	kind: 'dose',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check({ steps, working }) {
		return steps.flatMap(({ step, number }) => {
			const usual = typicalDose(step, working);
			if (!usual || dosesOf(step).some((dose) => dose >= usual[0] && dose <= usual[2])) return [];
			const params = { number, given: step.dose.target, from: usual[0], to: usual[2], unit: step.dose.kind };
			return [{ stepIds: [step.id], params }];
		});
	},
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		const usual = step && typicalDose(step, context.working);
		if (!step || !usual) return null;
		const inside = (n: number) => Math.min(usual[2], Math.max(usual[0], n));
		const { min, target, max } = step.dose;
		const dose = { ...step.dose, min: inside(min), target: inside(target), max: inside(max) } as Dose;
		return setStep(
			context.sequence,
			step.id,
			{ dose },
			`Bring the repeats of step ${finding.params.number} into their range`
		);
	}
};
