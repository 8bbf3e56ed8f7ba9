import { setStep } from '../../sequence/edits';
import type { Step } from '../../step/step.schema';
import { isStationary, motionRow, toolRow } from '../../vocabulary/vocabulary';
import { stepOfFinding, type Rule } from '../rule';

/** Circles turn round, and a stretch is done the other way. */
const TURNED: readonly Step['motion'][] = ['opposed-stretch', 'skin-stretch', 'pinch-roll'];
/** Where one stroke of several turns round, that is what is done the other way. */
const turns = ({ motion, parts }: Step): boolean =>
	[motion, ...(parts ?? []).map((p) => p.motion)].some((m) => motionRow(m).circles || TURNED.includes(m));

/** What of a step cannot be together with the rest of it. */
export function contradictionOf(step: Step): 'lanes' | 'stations' | 'way-back' | 'tilt' | null {
	const stays = isStationary(step.motion);
	if (stays && step.lanes > 1 && step.places.length < 2) return 'lanes';
	if (stays && step.stations) return 'stations';
	if (stays && step.reverse && !turns(step)) return 'way-back';
	if (step.tool?.tiltDegrees && !toolRow(step.tool.id).edged) return 'tilt';
	return null;
}

function mended(step: Step): Partial<Step> {
	const stays = isStationary(step.motion);
	return {
		lanes: stays && step.places.length < 2 ? 1 : step.lanes,
		stations: stays ? undefined : step.stations,
		reverse: step.reverse && !(stays && !turns(step)),
		tool: step.tool && !toolRow(step.tool.id).edged ? { id: step.tool.id } : step.tool
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
