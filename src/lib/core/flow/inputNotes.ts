import { stepsOf } from '../sequence/walk';
import type { Sequence } from '../sequence/sequence.schema';
import type { Working } from '../working/working.schema';
import { planOfSequence, stepOfOrigin } from './compile';
import { LEVEL_NOTE, openingNote } from './claimWords';

/** What of a sequence the model's assumptions weigh: its pressure, and when it opens. */
interface Manner {
	/** Mean pressure level over the seconds in which a hand works, 0..4. */
	readonly level: number;
	/** Whether a hand works at all. */
	readonly worked: boolean;
	/** Seconds of opening, and the second at which the middle of them lies. */
	readonly openSeconds: number;
	readonly openAtSeconds: number;
}

function mannerOf(sequence: Sequence, working: Working): Manner {
	const { programme, opStarts } = planOfSequence(sequence, { working });
	const opens = stepsOf(sequence).map(({ step }) => step.aim === 'open');
	let [worked, levels, openSeconds, moment] = [0, 0, 0, 0];
	programme.forEach(({ technique, paths, reps, seconds: each, origin }, i) => {
		const own = reps * each;
		if (opens[stepOfOrigin(origin)]) {
			openSeconds += technique === 'rest' ? 0 : own;
			moment += technique === 'rest' ? 0 : own * (opStarts[i]! + own / 2);
		}
		if (technique === 'rest' || !paths.length) return;
		const used = paths.flatMap((p) => [...p.levels]);
		worked += own;
		levels += (own * used.reduce((a, b) => a + b, 0)) / used.length;
	});
	return {
		level: worked ? levels / worked : 0,
		worked: worked > 0,
		openSeconds,
		openAtSeconds: openSeconds ? moment / openSeconds : 0
	};
}

/** Differences from which on two sequences are said to differ: levels, seconds. */
const LEVELS_APART = 0.05;
const OPENING_SECONDS_APART = 2;
const OPENING_MOMENT_APART_SECONDS = 5;

/**
 * An input is no finding: what has to be said beside the figures where sequences differ in what the model was told.
 */
export function inputNotes(sequences: readonly Sequence[], working: Working): string[] {
	const [first, ...others] = sequences.map((s) => mannerOf(s, working));
	const differ = (apart: (a: Manner, b: Manner) => boolean) => others.some((other) => apart(first!, other));
	const inLevel = differ((a, b) => a.worked && b.worked && Math.abs(a.level - b.level) > LEVELS_APART);
	const inOpening = differ(
		(a, b) =>
			Math.abs(a.openSeconds - b.openSeconds) > OPENING_SECONDS_APART ||
			(a.openSeconds > 0 &&
				b.openSeconds > 0 &&
				Math.abs(a.openAtSeconds - b.openAtSeconds) > OPENING_MOMENT_APART_SECONDS)
	);
	return [...(inLevel ? [LEVEL_NOTE] : []), ...(inOpening ? [openingNote()] : [])];
}
