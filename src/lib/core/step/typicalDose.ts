import { aimRow } from '../vocabulary/vocabulary';
import type { DoseRange } from '../working/typicalDoses';
import type { Working } from '../working/working.schema';
import type { Step } from './step.schema';

/**
 * What is usually done of such a move, in the unit of its dose; null where nothing is usual.
 * The step itself is asked, not its technique: a file may come from another library.
 */
export function typicalDose(
	step: Pick<Step, 'aim' | 'motion' | 'contact' | 'dose'>,
	{ typicalDoses }: Pick<Working, 'typicalDoses'>
): DoseRange | null {
	const { kind } = step.dose;
	// What is soaked, wiped or worn has its own time.
	if (aimRow(step.aim).keepsTime && !aimRow(step.aim).inBreaths) return null;
	if (aimRow(step.aim).inBreaths) return typicalDoses.breathing?.[kind] ?? null;
	const byAim = typicalDoses[`${step.aim}-${step.contact === 'tool' ? 'tool' : 'hand'}`];
	return (typicalDoses[step.motion] ?? byAim)?.[kind] ?? null;
}
