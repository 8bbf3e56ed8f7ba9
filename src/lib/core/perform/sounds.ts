import { contactText } from '../step/describe';
import { doseAtOf } from '../step/doseAt';
import { LEVEL_NAMES } from '../step/levels';
import { peakLevel } from '../step/levelsOf';
import type { Step } from '../step/step.schema';
import type { TimedEvent } from '../sequence/expand';
import type { PlacedStep } from '../sequence/walk';
import { sideOfRep } from '../sequence/workedSide';
import type { Voice } from '../records/voices';
import type { Working } from '../working/working.schema';
import { BEATS, cuesOf, sideCall, type Cue, type Led, type Performer } from './cues';
import { placeIndexOf, placeName, titleAt } from './placeAtHand';
import { positionAt } from './position';
import { actWords, suppliesOf, type Supplies } from './supplies';
import { placedBefore, spokenSeconds, type Chunk, type Spoken } from './speech';

export interface Tone {
	/** Second of the plan. */
	readonly atSeconds: number;
	readonly tone: 'stroke' | 'last' | 'side' | 'step' | 'in' | 'out';
	/** How long it sounds. */
	readonly seconds: number;
}
/** All that is heard of a sequence, as data: by the second of the plan. Before 0 lies what is said before the first touch. */
export interface Soundtrack {
	readonly tones: readonly Tone[];
	readonly spoken: readonly Spoken[];
}
export interface SoundOptions {
	readonly voice: Voice;
	/** 1: as the voice usually speaks. */
	readonly rate: number;
	/** Whether there are tones. */
	readonly tones: boolean;
	/** Said once before the first touch: her alert, and what today leaves out. */
	readonly alerts?: readonly string[];
	/** On whom one works, and with what. */
	readonly led?: Led;
}

/** Length of a beat’s tone, and of one that marks a change. Working values. */
const BEAT_SECONDS = 0.16;
const CHANGE_SECONDS = 0.4;
/** A stretch with fewer repetitions has no tone of its own for the last. */
const LAST_FROM_REPS = 3;

type ById = ReadonlyMap<string, PlacedStep>;

function tonesOf(events: readonly TimedEvent[], cues: readonly Cue[], halfSeconds: number): Tone[] {
	let stepId = events[0]?.stepId ?? '';
	return cues.flatMap((cue): Tone[] => {
		const { atSeconds, kind } = cue;
		if (kind === 'breath') return [{ atSeconds, tone: cue.words === 'in' ? 'in' : 'out', seconds: halfSeconds }];
		if (!BEATS.includes(kind)) return [];
		if (kind === 'side') return [{ atSeconds, tone: 'side', seconds: CHANGE_SECONDS }];
		if (cue.stepId !== stepId) {
			stepId = cue.stepId;
			return [{ atSeconds, tone: 'step', seconds: CHANGE_SECONDS }];
		}
		// A hair later, so that rounding never takes the repetition before.
		const { rep, reps } = positionAt(events, atSeconds + 1e-6);
		const last = rep === reps && reps >= LAST_FROM_REPS;
		return [{ atSeconds, tone: last ? 'last' : 'stroke', seconds: BEAT_SECONDS }];
	});
}

const plural = (n: number, one: string): string => `${n} ${n === 1 ? one : `${one}s`}`;
/** A time as people say it: “40 seconds”, “5 minutes”, “1 minute 30”. */
export function spokenTime(seconds: number): string {
	const whole = Math.round(seconds);
	const [minutes, rest] = [Math.floor(whole / 60), whole % 60];
	if (!minutes) return plural(whole, 'second');
	return rest ? `${plural(minutes, 'minute')} ${rest}` : plural(minutes, 'minute');
}
function countWords(step: Step): string {
	const { dose } = step;
	const each = doseAtOf(step) === 'each-place' ? ' at each place' : '';
	if (dose.kind === 'seconds') return spokenTime(dose.target) + each;
	return plural(dose.target, dose.kind === 'breaths' ? 'breath' : 'time') + each;
}

interface Announced {
	readonly step: Step;
	/** The step before it; null: it is the first. */
	readonly before: Step | null;
	readonly event: TimedEvent;
	/** The hands go over to the other side within a block: nothing matters as much. */
	readonly crosses: boolean;
	readonly voice: Voice;
	readonly performer: Performer;
	readonly supplies: Supplies;
}

/**
 * What is said of a step before it begins: the side first where it has just changed, place and direction or what is done,
 * contact, another level, count, side. What the hands cannot do without is never left out.
 */
function announced({ step, before, event, crosses, voice, performer, supplies }: Announced): Chunk[] {
	const side = sideCall(sideOfRep(event.side, 0), performer);
	const act = actWords(step, supplies);
	const where: Chunk = { words: act || titleAt(event, step), drop: 0 };
	const first: Chunk[] = crosses ? [{ words: side, drop: 0 }, where] : [where];
	if (voice === 'changes') return first;
	// What is washed or prepared has neither side nor level that anybody asks for.
	if (act) return [...first, { words: countWords(step), drop: 3 }];
	const level = peakLevel(step);
	const deeper = before && peakLevel(before) !== level && step.contact !== 'none';
	return [
		...first,
		...(step.contact === 'none' ? [] : [{ words: contactText(step), drop: 2 }]),
		...(deeper ? [{ words: LEVEL_NAMES[level].toLowerCase(), drop: 2 }] : []),
		{ words: countWords(step), drop: 3 },
		...(crosses ? [] : [{ words: side, drop: 1 }])
	];
}

/** Starts of stretches that are announced: of a step, of its other side, and of each of several places. */
function stretches(events: readonly TimedEvent[], byId: ById) {
	let prior: TimedEvent | null = null;
	return events.flatMap((event, i): Stretch[] => {
		const before = events[i - 1];
		if (event.kind === 'transition') return [];
		// The hands need it before they change over: it is said before the change.
		const at = before?.kind === 'transition' ? before.startSeconds : event.startSeconds;
		const last = prior;
		prior = event;
		const { step, block } = byId.get(event.stepId)!;
		const [begins, place] = [last?.stepId !== event.stepId, placeIndexOf(event, step)];
		const side = last !== null && last.side !== event.side;
		const stretch = { event, at, before: last ? byId.get(last.stepId)!.step : null };
		if (begins)
			return [
				{
					...stretch,
					begins,
					crosses: side && block.sides !== 'asSteps' && last?.blockId === event.blockId,
					place: null
				}
			];
		if (event.kind !== 'work') return [];
		const moved = place !== null && (side || place !== placeIndexOf(last!, step));
		return side || moved ? [{ ...stretch, begins, crosses: side, place: moved ? place : null }] : [];
	});
}
interface Stretch {
	readonly event: TimedEvent;
	readonly at: number;
	readonly before: Step | null;
	readonly begins: boolean;
	readonly crosses: boolean;
	/** The place to which the hands come within a step; null where it is none of several. */
	readonly place: number | null;
}

/**
 * What is heard while a sequence is performed. Tones mark repetitions, the last of them, changes and breath. What is said
 * is said before the step begins, in the pauses between tones; where these are too short, the least needed part is left
 * out first, and the place is said all the same: then it takes the place of the tones that it would hide.
 * @returns tones and words by the second of the plan, neither over the other
 */
export function soundtrackOf(
	events: readonly TimedEvent[],
	byId: ById,
	working: Working,
	{ voice, rate, tones, alerts = [], led }: SoundOptions
): Soundtrack {
	const performer = led?.performer ?? 'client';
	const supplies = suppliesOf(led ?? { media: [], medium: null }, working);
	const cues = cuesOf(events, byId, working, led);
	const marks = tonesOf(events, cues, working.cueBreathHalfSeconds);
	// Swells of the breath are soft: one speaks over them.
	const beats = marks.filter(({ tone }) => tone !== 'in' && tone !== 'out');
	const spoken: Spoken[] = [];
	if (voice !== 'none')
		for (const { event, at, begins, before, crosses, place } of stretches(events, byId)) {
			const { step } = byId.get(event.stepId)!;
			const chunks = begins
				? [
						...(at === 0 ? alerts.map((words) => ({ words, drop: 0 })) : []),
						...announced({ step, before, event, crosses, voice, performer, supplies })
					]
				: [
						...(crosses ? [{ words: sideCall(sideOfRep(event.side, 0), performer), drop: 0 }] : []),
						...(place === null ? [] : [{ words: placeName(step.places[place]!), drop: 0 }])
					];
			const after = spoken.at(-1);
			spoken.push(...placedBefore(at, chunks, beats, after ? after.atSeconds + after.seconds : -Infinity, rate));
		}
	const end = events.at(-1);
	if (voice !== 'none' && end) {
		const words = 'That was all';
		spoken.push({ atSeconds: end.endSeconds, seconds: spokenSeconds(words, rate), words });
	}
	if (voice === 'everything') spoken.push(...counted(cues, beats, spoken, rate));
	const hidden = (t: Tone) =>
		spoken.some((s) => t.atSeconds < s.atSeconds + s.seconds && s.atSeconds < t.atSeconds + t.seconds);
	return {
		tones: tones ? marks.filter((t) => t.tone === 'in' || t.tone === 'out' || !hidden(t)) : [],
		spoken: spoken.sort((a, b) => a.atSeconds - b.atSeconds)
	};
}

/** Numbers as they are counted aloud: the first three and the last three of a stretch, where there is time between two tones. */
function counted(cues: readonly Cue[], beats: readonly Tone[], others: readonly Spoken[], rate: number): Spoken[] {
	return cues.flatMap(({ kind, words, atSeconds }): Spoken[] => {
		const [, n, of] = kind === 'stroke' ? (/(\d+) of (\d+)$/.exec(words) ?? []) : [];
		if (!n || !of || (Number(n) > 3 && Number(n) < Number(of) - 2)) return [];
		const said = { atSeconds: atSeconds + BEAT_SECONDS + 0.04, seconds: spokenSeconds(n, rate), words: n };
		const end = said.atSeconds + said.seconds;
		const free =
			!beats.some((b) => b.atSeconds > atSeconds && b.atSeconds < end) &&
			!others.some((s) => s.atSeconds < end && said.atSeconds < s.atSeconds + s.seconds);
		return free ? [said] : [];
	});
}
