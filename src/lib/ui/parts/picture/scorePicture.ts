import { expand, type ExpandContext } from '$lib/core/sequence/expand';
import type { Sequence } from '$lib/core/sequence/sequence.schema';
import { stepsOf } from '$lib/core/sequence/walk';
import { drawApart } from './drawApart';
import type { Picture } from './picture';
import ScoreSheet from './ScoreSheet.svelte';

/** px of a second at least: a step of ten seconds is then wide enough for its number. */
const PX_PER_SECOND = 1.6;

/** The whole score with title, phases, bands and legend. */
export function scorePicture(sequence: Sequence, context: ExpandContext): Picture {
	const events = expand(sequence, context);
	const byId = new Map(stepsOf(sequence).map((s) => [s.step.id, s]));
	const width = Math.min(6000, Math.max(1200, Math.round((events.at(-1)?.endSeconds ?? 0) * PX_PER_SECOND) + 140));
	return drawApart(ScoreSheet, { sequence, events, byId, width });
}
