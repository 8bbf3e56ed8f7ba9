import { parse, troubleText } from '../notation/parse';
import { withText } from '../notation/align';
import { newSequence } from '../sequence/newSequence';
import { schoolById } from '../school/schools';
import type { Sequence } from '../sequence/sequence.schema';

/** A whole routine as its own school would sign it: its text, its time by hand, and what a master would say of it. */
export interface Routine {
	readonly id: string;
	readonly text: string;
	/** Worked out by hand from counts and paces; null where it was not. */
	readonly seconds: number | null;
	/** What is advised of it, and what is cautioned against, as rule and step number. */
	readonly finds: readonly string[];
	readonly cautions: readonly string[];
}

/** Reads a routine: what is known of it stands in comments at its head. */
export function routineOf(id: string, text: string): Routine {
	const notes = (word: string) => [...text.matchAll(new RegExp(`^# ${word} (.+)$`, 'gm'))].map((m) => m[1]!.trim());
	const seconds = notes('seconds')[0];
	return {
		id,
		text,
		seconds: seconds === undefined ? null : Number(seconds),
		finds: notes('finds').sort(),
		cautions: notes('cautions').sort()
	};
}

/**
 * The sequence of a text.
 * @throws {Error} naming what could not be read
 */
export function sequenceOfText(text: string, id = 'corpus'): Sequence {
	const parsed = parse(text);
	if (parsed.troubles.length) throw new Error(parsed.troubles.map(troubleText).join('\n'));
	let n = 0;
	const base = newSequence({ id, updatedAt: '2026-01-01T00:00:00.000Z', school: schoolById('outlet-first') });
	return withText({ ...base, phases: [] }, parsed, () => `s${++n}`);
}
