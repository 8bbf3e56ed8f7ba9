import { setStep } from '../../sequence/edits';
import type { Step } from '../../sequence/sequence.schema';
import { regionOf } from '../../atlas/regionOf';
import { stepOfFinding, type Rule } from '../rule';

/** Tilt of the stone plate to the skin, degrees (working values): nearly flat, steeper on the neck only. */
export const USUAL_TILT_DEGREES = 15;
export const STEEPEST_FACE_DEGREES = 30;
export const STEEPEST_NECK_DEGREES = 45;

const limitOf = (step: Step): number =>
	step.places.length && step.places.every((p) => regionOf(p) === 'neck')
		? STEEPEST_NECK_DEGREES
		: STEEPEST_FACE_DEGREES;

/** The stone is held nearly flat. */
export const steepTilt: Rule = {
	id: 'steep-tilt',
	kind: 'pressure',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check: ({ steps }) =>
		steps
			.filter(({ step }) => (step.tool?.tiltDegrees ?? 0) > limitOf(step))
			.map(({ step, number }) => ({
				stepIds: [step.id],
				params: { number, tilt: step.tool!.tiltDegrees!, limit: limitOf(step) }
			})),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step?.tool) return null;
		const tool = { ...step.tool, tiltDegrees: USUAL_TILT_DEGREES };
		return setStep(context.sequence, step.id, { tool }, `Lay the stone flatter in step ${finding.params.number}`);
	}
};
