import { POSTURES, TOOLS, toolRow } from '../vocabulary/vocabulary';
import { topUpWords, type Supplies } from './supplies';
import type { Step } from '../step/step.schema';

/** Something that is done before hands are laid on. */
export interface Ready {
	readonly kind: 'contact' | 'posture' | 'medium';
	readonly words: string;
}

/** What is done before a stretch: gloves, a tool, a posture, more of the medium. @param before the step that was at work */
export function readyFor(step: Step, before: Step | null, supplies: Supplies): Ready[] {
	const worn = step.tool !== undefined && toolRow(step.tool.id).worn;
	const made: Ready[] = [];
	if (worn && !before?.tool) made.push({ kind: 'contact', words: 'Gloves on' });
	if (step.tool && !worn && step.tool.id !== before?.tool?.id)
		made.push({ kind: 'contact', words: `Take the ${TOOLS[step.tool.id].toLowerCase()}` });
	// The end of a posture is told with what ends.
	if (before && before.posture !== step.posture && step.posture !== 'neutral')
		made.push({ kind: 'posture', words: POSTURES[step.posture] });
	if (step.medium && step.aim !== 'prepare' && before?.id !== step.id)
		made.push({ kind: 'medium', words: topUpWords(step.medium, supplies) });
	return made;
}
