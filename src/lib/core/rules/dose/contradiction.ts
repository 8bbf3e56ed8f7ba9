import { setStep } from '../../sequence/edits';
import type { Step } from '../../sequence/sequence.schema';
import { isStationary } from '../../step/vocabulary';
import { stepOfFinding, type Rule } from '../rule';

const CIRCLES: readonly string[] = ['pinned-circle', 'knead', 'vibrate', 'wiggle'];

/** What of a step cannot be together with the rest of it. */
export function contradictionOf(step: Step): 'lanes' | 'stations' | 'way-back' | 'tilt' | null {
	const stays = isStationary(step.motion);
	if (stays && step.lanes > 1) return 'lanes';
	if (stays && step.stations) return 'stations';
	if (stays && step.reverse && !CIRCLES.includes(step.motion)) return 'way-back';
	if (step.tool?.tiltDegrees !== undefined && step.tool.id !== 'stone-plate') return 'tilt';
	return null;
}

function mended(step: Step): Partial<Step> {
	const stays = isStationary(step.motion);
	return {
		lanes: stays ? 1 : step.lanes,
		stations: stays ? undefined : step.stations,
		reverse: step.reverse && !(stays && !CIRCLES.includes(step.motion)),
		tool: step.tool && step.tool.id !== 'stone-plate' ? { id: step.tool.id } : step.tool
	};
}

/** The parts of a step go together. */
export const contradiction: Rule = {
	id: 'contradiction',
	kind: 'dose',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	check: ({ steps }) =>
		steps.flatMap(({ step, number }) => {
			const part = contradictionOf(step);
			return part ? [{ stepIds: [step.id], params: { number, part, motion: step.motion } }] : [];
		}),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		return (
			step &&
			setStep(
				context.sequence,
				step.id,
				mended(step),
				`Take out what does not go together in step ${finding.params.number}`
			)
		);
	}
};
