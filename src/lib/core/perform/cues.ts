import { firstWhere } from '../firstWhere';
import type { TimedEvent } from '../sequence/expand';
import { sideOfRep, turnsOf } from '../sequence/workedSide';
import type { PlacedStep } from '../sequence/walk';
import type { Step } from '../step/step.schema';
import type { Working } from '../working/working.schema';
import { endedWords } from './ended';
import type { Led, Performer } from './instruction/moment';
import { sideCall } from './instruction/words';
import { placeIndexOf, placeName, stepName } from './placeAtHand';

/**
 * What is marked while a sequence is performed. `step`, `side` and `stroke` are beats, one at a time; `breath` goes in and
 * out; `next` is what comes after the place or the step at hand.
 */
export const CUE_KINDS = ['step', 'side', 'stroke', 'breath', 'next', 'end'] as const;
export type CueKind = (typeof CUE_KINDS)[number];
export interface Cue {
	/** Second of the plan. */
	readonly atSeconds: number;
	readonly kind: CueKind;
	readonly words: string;
	readonly stepId: string;
}
export const BEATS: readonly CueKind[] = ['step', 'side', 'stroke'];

type ById = ReadonlyMap<string, PlacedStep>;

function beatsOf(event: TimedEvent, first: boolean, performer: Performer): Cue[] {
	const { stepId, startSeconds, endSeconds } = event;
	if (event.kind === 'transition')
		return [{ atSeconds: startSeconds, kind: 'side', words: sideCall(event.side, performer), stepId }];
	const counted = event.kind === 'work' || event.kind === 'link';
	const reps = counted ? Math.max(1, event.reps) : 1;
	const pace = (endSeconds - startSeconds) / reps;
	const turns = turnsOf(event.side);
	const count = (i: number) =>
		turns ? `${turns[i % 2]}, ${Math.floor(i / 2) + 1} of ${Math.ceil(reps / 2)}` : `${i + 1} of ${reps}`;
	return Array.from({ length: reps }, (_, i) => ({
		atSeconds: startSeconds + i * pace,
		kind: i === 0 && !first ? ('step' as const) : ('stroke' as const),
		words: i === 0 && !first ? sideCall(sideOfRep(event.side, 0), performer) : count(i),
		stepId
	}));
}

/** In and out, for as long as a step counts breaths or waits for them. */
function breathsOf(event: TimedEvent, step: Step, halfSeconds: number): Cue[] {
	const breathes = step.dose.kind === 'breaths' || step.breath !== 'free';
	if (!breathes || event.kind === 'transition' || event.kind === 'link') return [];
	const halves = Math.floor((event.endSeconds - event.startSeconds) / halfSeconds);
	return Array.from({ length: halves }, (_, i) => ({
		atSeconds: event.startSeconds + i * halfSeconds,
		kind: 'breath' as const,
		words: i % 2 ? 'out' : 'in',
		stepId: event.stepId
	}));
}

/** The step that is done after the one at hand: what waits for a condition, or for another day, is none. */
function nextStep(events: readonly TimedEvent[], index: number, byId: ById): Step | null {
	let at = index + 1;
	while (events[at]?.stepId === events[index]!.stepId) at++;
	return events[at] ? byId.get(events[at]!.stepId)!.step : null;
}

/** The place to which the hands go from the one at hand, within the step; null where the step ends there. */
function placeAfter(events: readonly TimedEvent[], index: number, step: Step): string | null {
	const here = placeIndexOf(events[index]!, step);
	for (let i = index + 1; events[i]?.stepId === step.id; i++) {
		const other = placeIndexOf(events[i]!, step);
		if (other !== null && (other !== here || events[i]!.side !== events[index]!.side))
			return placeName(step.places[other]!);
	}
	return null;
}
/** What comes after a stretch: another place of the step, where it goes over several, or the step after it. */
function nextWords(events: readonly TimedEvent[], index: number, byId: ById, several: boolean): string {
	const place = several ? placeAfter(events, index, byId.get(events[index]!.stepId)!.step) : null;
	if (place) return `Next ${place}`;
	const next = nextStep(events, index, byId);
	return next ? `Next ${stepName(next)}` : 'Then finished';
}

/** All cues of a sequence in the order of their time: beats, breath, what comes next. */
export function cuesOf(
	events: readonly TimedEvent[],
	byId: ById,
	working: Working,
	{ performer }: Pick<Led, 'performer'> = { performer: 'client' }
): Cue[] {
	let stepId = '';
	let place: number | null = null;
	const cues = events.flatMap((event, i): Cue[] => {
		const { step } = byId.get(event.stepId)!;
		const at = { atSeconds: event.startSeconds, stepId: step.id };
		const begins = event.stepId !== stepId;
		stepId = event.stepId;
		const index = placeIndexOf(event, step);
		const comes = index !== null && (begins || index !== place || events[i - 1]?.side !== event.side);
		place = begins || index !== null ? index : place;
		return [
			...(begins || comes ? [{ ...at, kind: 'next' as const, words: nextWords(events, i, byId, comes) }] : []),
			...beatsOf(event, i === 0, performer),
			...breathsOf(event, step, working.cueBreathHalfSeconds)
		];
	});
	const last = events.at(-1);
	if (!last) return cues;
	const words = [...endedWords(null, byId.get(last.stepId)!.step), 'Finished.'].join('. ');
	return [...cues, { atSeconds: last.endSeconds, kind: 'end' as const, words, stepId: last.stepId }].sort(
		(a, b) => a.atSeconds - b.atSeconds
	);
}

/** Index of the last cue at or before a moment, or -1. */
export const lastCueIndex = (cues: readonly Cue[], seconds: number): number =>
	firstWhere(cues, ({ atSeconds }) => atSeconds > seconds + 1e-9) - 1;
