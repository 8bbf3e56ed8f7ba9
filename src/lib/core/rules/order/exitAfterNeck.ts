import { isFace, regionOf } from '../../atlas/regionOf';
import { makeEdit } from '../../sequence/edits';
import { stepsInPhase } from '../../sequence/walk';
import { placesTouched } from '../../step/parts';
import type { Phase } from '../../sequence/sequence.schema';
import type { Rule } from '../rule';

const reachesFace = (phase: Phase): boolean =>
	stepsInPhase(phase).some((step) => placesTouched(step).some((ref) => isFace(regionOf(ref))));

/** A short version ends after the neck only where the school foresees one. Openings on the face count as the face. */
export const exitAfterNeck: Rule = {
	id: 'exit-after-neck',
	kind: 'order',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	policy: (school) =>
		school.mayEndAfterNeck ? 'may end a short version after the neck' : 'works on to the face in a short version too',
	check({ sequence: { phases }, school }) {
		if (school.mayEndAfterNeck) return [];
		const face = phases.findIndex(reachesFace);
		// Where the face is never worked, the neck is all that there is.
		return phases.slice(0, Math.max(0, face)).flatMap((phase) => {
			const last = stepsInPhase(phase).at(-1);
			return phase.exitAfter && last ? [{ stepIds: [last.id], params: { phase: phase.title } }] : [];
		});
	},
	fix(context, finding) {
		const id = context.byId.get(finding.stepIds[0]!)?.phase.id;
		return makeEdit(context.sequence, 'No short version ends there', (draft) => {
			for (const phase of draft.phases)
				if (phase.id === id) {
					phase.exitAfter = false;
					delete phase.exitTitle;
				}
		});
	}
};
