import { firmOnBothSides } from '../../pressure/neck';
import { placeOf } from '../../atlas/places';
import { setStep } from '../../sequence/edits';
import type { Step } from '../../step/step.schema';
import { strokesOf } from '../../step/parts';
import { stepOfFinding, type Rule } from '../rule';

/** Never firmly on both sides of the neck at once. */
export const neckBothSides: Rule = {
	id: 'neck-both-sides',
	kind: 'pressure',
	severity: 'stop',
	floor: 'stop',
	ceiling: 'stop',
	safe: true,
	check(context) {
		return context.steps
			.filter(({ step, block }) =>
				strokesOf(step).some((s) => firmOnBothSides(s, context.working.neckFirmLevel, block.sides !== 'asSteps'))
			)
			.map(({ step, number }) => ({ stepIds: [step.id], params: { number } }));
	},
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		const change: Partial<Step> = {
			side: { each: true, first: 'left' },
			places: step.places.map(placeOf),
			beside: step.beside?.map(placeOf),
			support: step.support && { stays: step.support.stays }
		};
		if (step.stations) change.stations = { ...step.stations, places: step.stations.places.map(placeOf) };
		return setStep(context.sequence, step.id, change, `Do step ${finding.params.number} one side at a time`);
	}
};
