import type { RunEvent } from '../records/runEntry';

/** A stretch of the plan that was played, in seconds of the plan. */
export interface Stretch {
	readonly from: number;
	readonly to: number;
	/** When it began, in ms since 1970. */
	readonly startMs: number;
}

/** What the log of a stage comes to. */
export interface RunState {
	/** Second of the plan. */
	readonly seconds: number;
	readonly played: readonly Stretch[];
	readonly haltedSeconds: number;
	/** How long it went on past the plan until a sign came. */
	readonly signSeconds: number;
	readonly begun: boolean;
}

/** Stretches without what lies behind a moment: what is done again counts once. */
export const cutAt = (played: readonly Stretch[], seconds: number): Stretch[] =>
	played.filter((p) => p.from < seconds).map((p) => ({ ...p, to: Math.min(p.to, seconds) }));

/**
 * Replays the log of a stage. A log that breaks off is taken as far as it goes: what was played up to its last line
 * counts, what came after it does not.
 */
export function replay(log: readonly RunEvent[]): RunState {
	let [seconds, haltedSeconds] = [0, 0];
	let from: number | null = null;
	let startMs = 0;
	let haltedAtMs: number | null = null;
	let played: Stretch[] = [];
	let begun = false;
	let signSeconds = 0;
	for (const event of log) {
		// What the clock ran on beyond the plan.
		if (event.mark === 'sign' && from !== null)
			signSeconds += Math.max(0, (event.atMs - startMs) / 1000 - (event.seconds - from));
		if (event.kind === 'begin' || event.kind === 'mark') continue;
		if (event.kind === 'go') {
			if (haltedAtMs !== null) haltedSeconds += Math.max(0, event.atMs - haltedAtMs) / 1000;
			haltedAtMs = null;
			begun = true;
			// It ran when the log broke off, or went on past the plan: what was played till then counts.
			if (from !== null) played.push({ from, to: seconds, startMs });
			played = cutAt(played, event.seconds);
			from = event.seconds;
			startMs = event.atMs;
		} else if (event.kind === 'jump') {
			const left = event.from ?? seconds;
			if (from !== null) played.push({ from, to: left, startMs });
			if (event.seconds < left) played = cutAt(played, event.seconds);
			if (from !== null) [from, startMs] = [event.seconds, event.atMs];
		} else if (event.kind === 'pause' || event.kind === 'end') {
			if (from !== null) played.push({ from, to: event.seconds, startMs });
			from = null;
			haltedAtMs = event.kind === 'pause' ? event.atMs : null;
		}
		seconds = event.seconds;
	}
	if (from !== null) played.push({ from, to: seconds, startMs });
	return { seconds, played: played.filter((p) => p.to > p.from), haltedSeconds, signSeconds, begun };
}
