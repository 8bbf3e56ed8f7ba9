import { momentAt, type Moment, type Plan } from './moment';
import { SLOT_IDS, type SlotId } from './slots';
import { TELLERS } from './tellers';

/** One thing that is told of a moment. */
export interface Told {
	readonly slot: SlotId;
	/** As it is read. */
	readonly words: string;
	/** As it is said: never longer. */
	readonly say: string;
}

/** All that is told of a moment, in the order of the slots; what has nothing to say is left out. */
export const toldOf = (moment: Moment): readonly Told[] =>
	SLOT_IDS.flatMap((slot): Told[] => {
		const told = TELLERS[slot](moment);
		const { words, say } = typeof told === 'string' ? { words: told, say: told } : told;
		return words ? [{ slot, words, say }] : [];
	});

/**
 * The whole instruction of a stretch of a plan: every thing that the hands need to know while it lasts. Empty behind the end.
 * @param index of the stretch
 */
export const instructionAt = (plan: Plan, index: number): readonly Told[] =>
	plan.events[index] ? toldOf(momentAt(plan, index)) : [];

/** What is otherwise than it was, told anew or for the first time: as it is read, or as it is said. */
export function changedSince(
	told: readonly Told[],
	before: readonly Told[],
	as: 'words' | 'say' = 'words'
): ReadonlySet<SlotId> {
	const was = new Map(before.map((t) => [t.slot, t[as]]));
	return new Set(told.filter((t) => was.get(t.slot) !== t[as]).map(({ slot }) => slot));
}

export const wordsOf = (told: readonly Told[], slot: SlotId): string => told.find((t) => t.slot === slot)?.words ?? '';
