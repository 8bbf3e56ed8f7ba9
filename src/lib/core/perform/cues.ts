import { BREATHS, MOTIONS, MOUTH_ENDS, MOUTHS, POSTURES } from '../vocabulary/vocabulary';
import { labelOf, placeOf } from '../atlas/places';
import type { TimedEvent } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import { sideOfRep, turnsOf, type WorkedSide } from '../sequence/workedSide';
import type { PlacedStep } from '../sequence/walk';
import { signsText, stepTitle } from '../step/describe';
import { LEVEL_NAMES } from '../step/levels';
import type { Step } from '../step/step.schema';
import type { Working } from '../working/working.schema';
import { placeIndexOf, placeName } from './placeAtHand';
import { readyFor, STRAIGHT_AGAIN } from './ready';
import { actWords, suppliesOf, type Supplies } from './supplies';

/**
 * What is said or sounded while a sequence is performed. `step`, `side` and `stroke` are beats, one at a time; `place`
 * names the one of several that the hands come to; `doing` names what the hands do; `mind` is what to ask of the client
 * or of oneself; `breath` goes in and out; `next` is what comes after the step.
 */
export const CUE_KINDS = ['step', 'side', 'stroke', 'place', 'doing', 'mind', 'breath', 'next', 'end'] as const;
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

/** What is done before hands are laid on; else over to the other side. */
function readyWords(step: Step, before: Step | null, supplies: Supplies): string {
	const words = readyFor(step, before, supplies).map((r) => r.words);
	return words.length ? words.join(', ') : before?.id === step.id ? 'Over to the other side' : 'Get ready';
}

/** What the hands do in a stretch of time. */
function doingWords(event: TimedEvent, step: Step, before: Step | null, supplies: Supplies): string {
	if (event.kind === 'transition') return readyWords(step, before, supplies);
	const act = actWords(step, supplies);
	if (act) return act;
	if (event.kind === 'station') return step.aim === 'exercise' ? 'Hold it' : 'Press and wait';
	// Whose hands are off has no rest from them.
	if (event.kind === 'rest') return step.contact === 'none' ? '' : 'Rest';
	if (event.kind === 'link')
		return `Drain to the outlet: ${event.places.map((r) => labelOf(placeOf(r)).toLowerCase()).join(', ')}`;
	if (step.aim === 'fix') return 'Lay it without a pull';
	return MOTIONS[event.part ? step.parts![event.part - 1]!.motion : step.motion];
}

/** What no longer holds of the step before: it is said once. @param step null: nothing comes after it */
function endedWords(step: Step | null, before: Step | null): string[] {
	if (!before) return [];
	return [
		before.posture !== 'neutral' && (step?.posture ?? 'neutral') === 'neutral' ? STRAIGHT_AGAIN : '',
		before.mouth !== 'closed' && (step?.mouth ?? 'closed') === 'closed' ? MOUTH_ENDS[before.mouth] : '',
		before.eyes === 'open' && step?.eyes !== 'open' ? 'Eyes closed again' : ''
	].filter(Boolean);
}

/** What to ask for when a step begins: what ends of the one before, posture, mouth, eyes, breath, the sign that ends it, and one's own note. */
function mindWords(step: Step, before: Step | null, performer: Performer): string[] {
	const head = performer === 'self' ? 'Your head' : 'Her head';
	return [
		...endedWords(step, before),
		step.posture === 'neutral' ? '' : POSTURES[step.posture],
		step.mouth === 'closed' ? '' : MOUTHS[step.mouth],
		step.eyes === 'closed' ? '' : 'Eyes open',
		step.breath === 'free' ? '' : BREATHS[step.breath],
		step.until ? `Until ${signsText(step.until)}, ${step.until.capSeconds} s at most` : '',
		step.around ? `Around ${step.around}` : '',
		step.risesTo === undefined ? '' : `Rising to ${LEVEL_NAMES[step.risesTo].toLowerCase()}`,
		step.support?.head === 'resists' ? `${head} resists` : step.support?.head === 'pushed' ? `${head} is pushed` : '',
		step.note
	].filter(Boolean);
}

/** On whom one works: a client, or oneself before a mirror. */
export type Performer = Sequence['performer'];
/** Whose sides are named. */
export const whose = (performer: Performer): string => (performer === 'self' ? 'your' : 'client’s');

/** Side of a stretch as it is called out. */
export const sideCall = (side: WorkedSide, performer: Performer = 'client'): string =>
	side === 'both' ? 'both sides' : side === 'midline' ? 'over the middle' : `${whose(performer)} ${side}`;

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
	return next ? `Next ${stepTitle(next)}` : 'Then it is done';
}

/** What of a sequence the words hang on. */
export type Led = Pick<Sequence, 'performer' | 'media' | 'medium'>;
const LED: Led = { performer: 'client', media: [], medium: null };

/** All cues of a sequence in the order of their time: beats, captions, what to mind, breath, what comes next. */
export function cuesOf(
	events: readonly TimedEvent[],
	byId: ById,
	working: Working,
	{ performer, ...made }: Led = LED
): Cue[] {
	const supplies = suppliesOf(made, working);
	let stepId = '';
	let place: number | null = null;
	let before: Step | null = null;
	const cues = events.flatMap((event, i): Cue[] => {
		const { step } = byId.get(event.stepId)!;
		const at = { atSeconds: event.startSeconds, stepId: step.id };
		const begins = event.stepId !== stepId;
		stepId = event.stepId;
		const prior = before;
		before = step;
		const index = placeIndexOf(event, step);
		const comes = index !== null && (begins || index !== place || events[i - 1]?.side !== event.side);
		place = begins || index !== null ? index : place;
		const opening: Cue[] = [];
		if (begins)
			opening.push(...mindWords(step, prior, performer).map((words) => ({ ...at, kind: 'mind' as const, words })));
		if (comes) opening.push({ ...at, kind: 'place', words: placeName(step.places[index]!) });
		if (begins || comes) opening.push({ ...at, kind: 'next', words: nextWords(events, i, byId, comes) });
		return [
			...opening,
			{ ...at, kind: 'doing', words: doingWords(event, step, prior, supplies) },
			...beatsOf(event, i === 0, performer),
			...breathsOf(event, step, working.cueBreathHalfSeconds)
		];
	});
	const last = events.at(-1);
	const end: Cue[] = last
		? [
				{
					atSeconds: last.endSeconds,
					kind: 'end',
					words: [...endedWords(null, before), 'All is done.'].join('. '),
					stepId: last.stepId
				}
			]
		: [];
	return [...cues, ...end].sort((a, b) => a.atSeconds - b.atSeconds);
}

/** Index of the last cue at or before a moment, or -1 (binary search). */
export function lastCueIndex(cues: readonly Cue[], seconds: number): number {
	let [low, high] = [0, cues.length];
	while (low < high) {
		const mid = (low + high) >> 1;
		if (cues[mid]!.atSeconds <= seconds + 1e-9) low = mid + 1;
		else high = mid;
	}
	return low - 1;
}
