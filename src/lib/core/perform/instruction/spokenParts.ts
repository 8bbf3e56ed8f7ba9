import type { Voice } from '../../records/voices';
import type { Chunk } from '../speech';
import { changedSince, type Told } from './instruction';
import { SLOTS, type SlotId } from './slots';

/** What is said where only changes are asked for. */
const CHANGES: readonly SlotId[] = ['ended', 'ready', 'what', 'place', 'lane', 'direction', 'side'];
/** What is said only where everything is asked for. */
const LAST: readonly SlotId[] = ['phase', 'why', 'pace', 'point'];
/** What goes on from the step before needs no word: only what is otherwise does. */
const HELD: readonly SlotId[] = ['what', 'hand', 'level', 'support', 'breath', 'body', 'pace', 'by', 'round'];
/** What makes a step at the same place another one: it is said before the place. */
const DIFFERENCE: readonly SlotId[] = ['direction', 'lane', 'what', 'hand', 'level'];
/** What may change within a step. */
const WITHIN: readonly SlotId[] = ['ready', 'side', 'what', 'place', 'lane', 'direction', 'level'];
/** Said after the place, in this order; all else follows as it stands. */
const AFTER_PLACE: readonly SlotId[] = ['hand', 'level', 'what', 'count', 'side'];

interface Said {
	/** The instruction that was at hand before; empty: nothing. */
	readonly before: readonly Told[];
	readonly begins: boolean;
	/** The hands go over to the other side within a block or a step. */
	readonly crosses: boolean;
	readonly voice: Voice;
}

/**
 * What is said of a moment, in order: the one thing that changed, then place, count, hand or tool, level, and the rest.
 * What is said first where time is short has the lowest rank.
 */
export function spokenParts(told: readonly Told[], { before, begins, crosses, voice }: Said): Chunk[] {
	const changed = changedSince(told, before, 'say');
	const acts = !told.some(({ slot }) => slot === 'place');
	const wanted = ({ slot }: Told): boolean => {
		if (!begins) return WITHIN.includes(slot) && changed.has(slot);
		if (voice === 'changes') return CHANGES.includes(slot) && (slot === 'side' ? crosses : slot !== 'what' || acts);
		if (LAST.includes(slot) && voice !== 'everything') return false;
		// What is washed or prepared has neither side nor level that anybody asks for.
		if (acts && (slot === 'side' || slot === 'level')) return false;
		return changed.has(slot) || !HELD.includes(slot);
	};
	const same = begins && !changed.has('place');
	const order = (slot: SlotId): number => {
		if (slot === 'side' && crosses) return -3;
		if (slot === 'ended' || slot === 'ready') return -2;
		if (same && changed.has(slot) && DIFFERENCE.includes(slot)) return -1;
		if (slot === 'place') return 0;
		const at = AFTER_PLACE.indexOf(slot);
		return at < 0 ? 20 : at + 1;
	};
	const rank = (slot: SlotId): number => {
		if ((slot === 'side' && crosses) || (acts && slot === 'what')) return 0;
		// What is as it was may be left out before what is not.
		return SLOTS[slot].rank + (begins && !changed.has(slot) && slot !== 'place' ? 3 : 0);
	};
	return told
		.filter((t) => t.say && wanted(t))
		.toSorted((a, b) => order(a.slot) - order(b.slot))
		.map(({ slot, say }) => ({ words: say, drop: rank(slot) }));
}
