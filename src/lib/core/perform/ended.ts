import { MOUTH_ENDS, toolRow } from '../vocabulary/vocabulary';
import type { Step } from '../step/step.schema';

const isGloved = (step: Step | null): boolean => step?.tool !== undefined && toolRow(step.tool.id).worn;

/** What no longer holds of the step before: it is said once. @param step null: nothing comes after it */
export function endedWords(step: Step | null, before: Step | null): string[] {
	if (!before) return [];
	return [
		before.posture !== 'neutral' && (step?.posture ?? 'neutral') === 'neutral' ? 'Head straight again' : '',
		before.mouth !== 'closed' && (step?.mouth ?? 'closed') === 'closed' ? MOUTH_ENDS[before.mouth] : '',
		before.eyes === 'open' && step?.eyes !== 'open' ? 'Eyes closed again' : '',
		isGloved(before) && !isGloved(step) ? 'Gloves off' : ''
	].filter(Boolean);
}
