import { setStep } from '../../sequence/edits';
import { peakLevel } from '../../step/levelsOf';
import { isStationary } from '../../vocabulary/vocabulary';
import { zoneOf } from '../../atlas/regionOf';
import { stepOfFinding, type Rule } from '../rule';

/** A chewing muscle lets go only with the teeth apart. */
export const jawClenched: Rule = {
	id: 'jaw-clenched',
	kind: 'body',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check: ({ steps }) =>
		steps
			.filter(
				({ step }) =>
					step.aim === 'release' &&
					step.mouth === 'closed' &&
					step.by === 'practitioner' &&
					// A light touch, or a stroke that passes over it, leaves the muscle as it is.
					peakLevel(step) >= 2 &&
					(isStationary(step.motion)
						? step.places.some((p) => zoneOf(p) === 'masseter')
						: step.places.every((p) => zoneOf(p) === 'masseter'))
			)
			.map(({ step, number }) => ({ stepIds: [step.id], params: { number } })),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		return (
			step && setStep(context.sequence, step.id, { mouth: 'parted' }, `Part the lips in step ${finding.params.number}`)
		);
	}
};
