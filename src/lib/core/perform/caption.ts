import type { Dose } from '../step/step.schema';
import type { Position } from './position';

/** What is done at a moment, in short words: "left, stroke 6 of 7". Empty behind the end. */
export function captionOf({ event, side: worked, rep, reps }: Position, kind: Dose['kind'] = 'reps'): string {
	if (!event) return '';
	if (event.kind === 'transition') return 'get ready';
	if (event.kind === 'rest') return 'rest';
	const side = worked === 'both' ? 'both sides' : worked;
	if (event.kind === 'link') return `${side}, on to the outlet`;
	if (event.kind === 'station') return `${side}, press and wait`;
	const back = event.direction === 'back' ? ', back' : '';
	const lane = event.lane > 1 ? `, lane ${event.lane}` : '';
	if (kind === 'seconds') return `${side}${lane}${back}`;
	return `${side}${lane}${back}, ${kind === 'breaths' ? 'breath' : 'stroke'} ${rep} of ${reps}`;
}
