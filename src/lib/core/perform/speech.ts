import { firstWhere } from '../firstWhere';

/** Something that is said, and how long that takes. */
export interface Spoken {
	/** Second of the plan; before 0: before it begins. */
	readonly atSeconds: number;
	/** Estimate: no voice tells beforehand. */
	readonly seconds: number;
	readonly words: string;
	/** The moment by which it is needed; absent where it is needed at none. */
	readonly before?: number;
	/** Index of the stretch of which it tells; absent where it tells of none. */
	readonly of?: number;
}
/** A part of an announcement. */
export interface Chunk {
	readonly words: string;
	/** When time is short: 0 is never left out, the highest goes first. */
	readonly drop: number;
}
interface Sounding {
	readonly atSeconds: number;
	readonly seconds: number;
}

/** Signs a second of a calm voice, and what it takes to begin. Working values. */
const SIGNS_A_SECOND = 14;
const BEGIN_SECONDS = 0.3;
/** Nothing is said earlier than so long before it is needed: it would be forgotten. Working value. */
const EARLIEST_SECONDS = 16;
/** Stillness between words and tones. Working value. */
const STILL_SECONDS = 0.08;

/** @param rate 1: as the voice usually speaks */
export const spokenSeconds = (words: string, rate: number): number =>
	BEGIN_SECONDS + words.length / SIGNS_A_SECOND / rate;

/** No tone that counts sounds for longer. */
const LONGEST_SECONDS = 1;
/** Index of the first that begins at a moment or after it. */
export const firstFrom = (sounding: readonly Pick<Sounding, 'atSeconds'>[], moment: number): number =>
	firstWhere(sounding, ({ atSeconds }) => atSeconds >= moment);

/** Stretches between two moments in which nothing sounds. */
function pauses(from: number, to: number, sounding: readonly Sounding[]): { from: number; to: number }[] {
	const free: { from: number; to: number }[] = [];
	let at = from;
	for (let i = firstFrom(sounding, from - LONGEST_SECONDS); i < sounding.length; i++) {
		const { atSeconds, seconds } = sounding[i]!;
		if (atSeconds + seconds + STILL_SECONDS <= from) continue;
		if (atSeconds - STILL_SECONDS >= to) break;
		if (atSeconds - STILL_SECONDS > at) free.push({ from: at, to: atSeconds - STILL_SECONDS });
		at = Math.max(at, atSeconds + seconds + STILL_SECONDS);
	}
	if (to > at) free.push({ from: at, to });
	return free;
}

/** Up to this rank it is said before the moment, if need be in place of tones. */
const NEEDED = 2;
/** Tones give way to words for so long at most, but for what is never left out. Working value. */
const OVER_TONES_SECONDS = 6;

/** A part of an announcement is said so long before the next one at most. Working value. */
const APART_SECONDS = 3;

/**
 * Each part in a pause of its own or beside the one after it, as late as can be; what is needed takes the place of tones
 * where no pause is long enough. Null where they do not fit.
 */
function fitted(
	moment: number,
	chunks: readonly Chunk[],
	free: readonly { from: number; to: number }[],
	rate: number,
	earliest: number
): Spoken[] | null {
	const said: Spoken[] = [];
	let end = moment - STILL_SECONDS;
	let over = 0;
	for (const { words, drop } of [...chunks].reverse()) {
		const seconds = spokenSeconds(words, rate);
		const room = free.findLast(({ from, to }) => Math.min(end, to) - seconds >= from);
		const inPause = room ? Math.min(end, room.to) - seconds : -Infinity;
		const overTones = end - seconds;
		// A pause far before would tear the announcement apart.
		const late = inPause >= overTones - APART_SECONDS || drop > NEEDED;
		if (!late) over += seconds;
		const atSeconds = late ? inPause : overTones;
		if (atSeconds < earliest || (over > OVER_TONES_SECONDS && drop > 0)) return null;
		said.unshift({ atSeconds, seconds, words, before: moment });
		end = atSeconds;
	}
	return said;
}

/**
 * Lays an announcement before a moment, into the pauses between what sounds. What does not fit is left out, the least
 * needed first; what the hands cannot do without is said right before the moment, whatever sounds then. Where there is no
 * time even for the first of it, nothing is said: late words are worse than none.
 * @param after nothing is said before this moment: another announcement ends there
 * @param sounding in the order of time
 */
export function placedBefore(
	moment: number,
	chunks: readonly Chunk[],
	sounding: readonly Sounding[],
	after: number,
	rate: number
): Spoken[] {
	const length = (list: readonly Chunk[]) => list.reduce((sum, { words }) => sum + spokenSeconds(words, rate), 0);
	// Before it begins there is all the time that is needed.
	const earliest = moment === 0 ? -length(chunks) - STILL_SECONDS : Math.max(after, moment - EARLIEST_SECONDS);
	const free = pauses(earliest, moment - STILL_SECONDS, sounding);
	const laid = (list: readonly Chunk[]) => fitted(moment, list, free, rate, earliest);
	// The most needed first, and each as long as all of them together find room.
	let chosen = new Set<Chunk>();
	let best: Spoken[] = [];
	for (const chunk of chunks.toSorted((a, b) => a.drop - b.drop)) {
		const wider = new Set([...chosen, chunk]);
		const said = laid(chunks.filter((c) => wider.has(c)));
		if (said) [chosen, best] = [wider, said];
	}
	return best;
}

/** What found no room before a moment, in the pauses after it, in its order, as far as there are any. */
export function placedAfter(
	moment: number,
	until: number,
	chunks: readonly Chunk[],
	sounding: readonly Sounding[],
	rate: number
): Spoken[] {
	const said: Spoken[] = [];
	let at = moment;
	for (const { words } of chunks) {
		const seconds = spokenSeconds(words, rate);
		const room = pauses(at, until, sounding).find(({ from, to }) => to - from >= seconds);
		if (!room) continue;
		said.push({ atSeconds: room.from, seconds, words });
		at = room.from + seconds;
	}
	return said;
}
