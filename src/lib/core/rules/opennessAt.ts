import { NODE_IDS, type NodeId } from '../atlas/nodes';
import { SIDES, type Side } from '../atlas/places';
import { openness } from './openings';
import type { JudgeContext } from './rule';

/** What is left of every opening at a moment, 0..1; node groups that were never opened are absent. */
export function opennessAt(
	{ openings, working }: Pick<JudgeContext, 'openings' | 'working'>,
	seconds: number
): Map<`${NodeId}:${Side}`, number> {
	const open = new Map<`${NodeId}:${Side}`, number>();
	for (const node of NODE_IDS)
		for (const side of SIDES) {
			const last = openings.lastBefore(node, side, seconds);
			if (last !== null) open.set(`${node}:${side}`, openness(seconds - last, working.openingHalfLifeSeconds));
		}
	return open;
}
