import { relocateStep } from '../../sequence/edits';
import type { PlacedStep } from '../../sequence/walk';
import { zoneOf } from '../../atlas/regionOf';
import { touches } from '../facts';
import { stepOfFinding, type JudgeContext, type Rule } from '../rule';

/** The first later step that works the skin under a tape. */
function workedOver(context: JudgeContext, tape: PlacedStep): PlacedStep | undefined {
	const zones = new Set(tape.step.places.map(zoneOf));
	return context.steps.find(
		({ step, number }) =>
			number > tape.number && step.aim !== 'fix' && touches(step) && step.places.some((p) => zones.has(zoneOf(p)))
	);
}

/** Tape is laid after the work on its skin. */
export const tapedSkin: Rule = {
	id: 'taped-skin',
	kind: 'tape',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'caution',
	check: (context) =>
		context.steps.flatMap((placed) => {
			if (placed.step.aim !== 'fix') return [];
			const over = workedOver(context, placed);
			return over ? [{ stepIds: [placed.step.id], params: { number: placed.number, later: over.number } }] : [];
		}),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		const last = context.sequence.phases.at(-1);
		return step && last ? relocateStep(context.sequence, step.id, { phase: last.id }) : null;
	}
};
