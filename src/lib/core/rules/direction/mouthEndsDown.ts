import { setStep } from '../../sequence/edits';
import type { Step } from '../../step/step.schema';
import { placeOf } from '../../atlas/places';
import { regionOf } from '../../atlas/regionOf';
import { aimRow } from '../../vocabulary/vocabulary';
import { riseOf } from '../facts';
import { stepOfFinding, type Rule } from '../rule';

const endsDown = (step: Step): boolean =>
	aimRow(step.aim).pullsSkin &&
	riseOf(step) < 0 &&
	(regionOf(step.places[0]!) === 'mouth' || placeOf(step.places.at(-1)!) === 'marionette') &&
	(step.end.kind === 'none' || (step.end.kind === 'link' && !step.end.finish));

/** A school that lifts finishes every move at the mouth upwards. */
export const mouthEndsDown: Rule = {
	id: 'mouth-ends-down',
	kind: 'direction',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	policy: (school) => (school.mouthFinish === 'up' ? 'finishes mouth moves upwards' : 'leaves mouth moves free'),
	check: ({ steps, school }) =>
		school.mouthFinish === 'up'
			? steps
					.filter(({ step }) => endsDown(step))
					.map(({ step, number }) => ({ stepIds: [step.id], params: { number } }))
			: [],
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		return (
			step &&
			setStep(
				context.sequence,
				step.id,
				{ end: { kind: 'lift' } },
				`Finish step ${finding.params.number} with a small lift`
			)
		);
	}
};
