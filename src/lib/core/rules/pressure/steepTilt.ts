import { setStep } from '../../sequence/edits';
import type { Step } from '../../step/step.schema';
import type { PlaceRef } from '../../atlas/places';
import { isFace, regionOf, zoneOf } from '../../atlas/regionOf';
import type { Working } from '../../working/working.schema';
import { stepOfFinding, type Rule } from '../rule';

/** Behind the ear the edge lies on the same muscle and bone as on the side of the neck. */
const onNeck = (ref: PlaceRef): boolean => !isFace(regionOf(ref)) || zoneOf(ref) === 'postauricular';
/** Steepest tilt of the stone, degrees: nearly flat, steeper on the neck only. */
const limitOf = (step: Step, working: Working): number =>
	2 * step.places.filter(onNeck).length > step.places.length ? working.steepNeckDegrees : working.steepFaceDegrees;

/** The stone is held nearly flat. */
export const steepTilt: Rule = {
	id: 'steep-tilt',
	kind: 'pressure',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check: ({ steps, working }) =>
		steps
			.filter(({ step }) => (step.tool?.tiltDegrees ?? 0) > limitOf(step, working))
			.map(({ step, number }) => ({
				stepIds: [step.id],
				params: { number, tilt: step.tool!.tiltDegrees!, limit: limitOf(step, working) }
			})),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step?.tool) return null;
		const tool = {
			...step.tool,
			tiltDegrees: Math.min(context.working.usualTiltDegrees, limitOf(step, context.working))
		};
		return setStep(context.sequence, step.id, { tool }, `Lay the stone flatter in step ${finding.params.number}`);
	}
};
