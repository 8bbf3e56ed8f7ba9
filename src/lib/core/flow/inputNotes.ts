import { stepsOf } from '../sequence/walk';
import type { Sequence } from '../sequence/sequence.schema';
import type { Working } from '../working/working.schema';
import { planOfSequence, stepOfOrigin } from './compile';
import { LEVEL_NOTE, openingNote } from './claimWords';

/** What of a sequence the model's assumptions weigh: its pressure, and when it opens. */
interface Manner {
	/** Mean pressure level over the seconds in which a hand works, 0..4. */
	readonly level: number;
	/** Seconds of opening, and the middle of them as a share of the whole. */
	readonly openSeconds: number;
	readonly openAt: number;
}

function mannerOf(sequence: Sequence, working: Working): Manner {
	const { programme, opStarts, seconds } = planOfSequence(sequence, { working });
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
		openSeconds,
		openAt: openSeconds && seconds ? moment / openSeconds / seconds : 0
	};
}

/** Differences from which on two sequences are said to differ: levels, seconds, share of the whole. */
const LEVELS_APART = 0.05;
const OPENING_SECONDS_APART = 2;
const OPENING_SHARE_APART = 0.02;

/**
 * An input is no finding: what has to be said beside the figures where sequences differ in what the model was told.
 */
export function inputNotes(sequences: readonly Sequence[], working: Working): string[] {
	const [first, ...others] = sequences.map((s) => mannerOf(s, working));
	const differ = (apart: (a: Manner, b: Manner) => boolean) => others.some((other) => apart(first!, other));
	const inLevel = differ((a, b) => Math.abs(a.level - b.level) > LEVELS_APART);
	const inOpening = differ(
		(a, b) =>
			Math.abs(a.openSeconds - b.openSeconds) > OPENING_SECONDS_APART ||
			Math.abs(a.openAt - b.openAt) > OPENING_SHARE_APART
	);
	return [...(inLevel ? [LEVEL_NOTE] : []), ...(inOpening ? [openingNote()] : [])];
}
