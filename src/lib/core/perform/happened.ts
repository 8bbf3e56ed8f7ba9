import type { RunEvent } from '../records/runEntry';
import type { Happened } from '../records/session';

/** Shorter halts are no more than a breath: they are not told. Working value. */
const LEAST_HALT_SECONDS = 5;

/** What of the log of a stage the session keeps: what was changed and noted, and halts with how long they lasted. */
export function happenedOf(log: readonly RunEvent[]): Happened[] {
	const happened: Happened[] = [];
	let halted: RunEvent | null = null;
	for (const event of log) {
		if (event.kind === 'mark' && event.mark) {
			const { mark, seconds, stepId, side, place, words } = event;
			happened.push({
				mark,
				seconds,
				...(stepId === undefined ? {} : { stepId }),
				...(side === undefined ? {} : { side }),
				...(place === undefined ? {} : { place }),
				...(words === undefined ? {} : { words })
			});
		} else if (event.kind === 'pause') halted = event;
		else if ((event.kind === 'go' || event.kind === 'wait') && halted) {
			const lastedSeconds = Math.round((event.atMs - halted.atMs) / 1000);
			if (lastedSeconds >= LEAST_HALT_SECONDS) happened.push({ mark: 'halt', seconds: halted.seconds, lastedSeconds });
			halted = null;
		}
	}
	return happened;
}
