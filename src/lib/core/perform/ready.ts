import { POSTURES, TOOLS, toolRow } from '../vocabulary/vocabulary';
import { topUpWords, type Supplies } from './supplies';
import type { Step } from '../step/step.schema';

/** Something that is done before hands are laid on. */
export interface Ready {
	readonly kind: 'contact' | 'posture' | 'medium';
	readonly words: string;
}

/** What is said once where a posture ends. */
export const STRAIGHT_AGAIN = 'Head straight again';

/** What is done before a stretch: gloves, a tool, another posture, more of the medium. @param before the step that was at work */
export function readyFor(step: Step, before: Step | null, supplies: Supplies): Ready[] {
	const worn = step.tool !== undefined && toolRow(step.tool.id).worn;
	const made: Ready[] = [];
	if (worn && !before?.tool) made.push({ kind: 'contact', words: 'Gloves on' });
	if (step.tool && !worn && step.tool.id !== before?.tool?.id)
		made.push({ kind: 'contact', words: `Take the ${TOOLS[step.tool.id].toLowerCase()}` });
	if (before && before.posture !== step.posture)
		made.push({ kind: 'posture', words: step.posture === 'neutral' ? STRAIGHT_AGAIN : POSTURES[step.posture] });
	if (step.medium && step.aim !== 'prepare' && before?.id !== step.id)
		made.push({ kind: 'medium', words: topUpWords(step.medium, supplies) });
	return made;
}
