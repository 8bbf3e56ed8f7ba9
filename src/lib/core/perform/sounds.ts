import { contactText, stepTitle } from '../step/describe';
import type { Step } from '../step/step.schema';
import type { TimedEvent } from '../sequence/expand';
import type { PlacedStep } from '../sequence/walk';
import { sideOfRep, type WorkedSide } from '../sequence/workedSide';
import type { Voice } from '../records/voices';
import type { Working } from '../working/working.schema';
import { BEATS, cuesOf, sideCall, type Cue, type Performer } from './cues';
import { positionAt } from './position';
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
	/** On whom one works: the sides are named after it. */
	readonly performer?: Performer;
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
function countWords({ dose }: Step): string {
	if (dose.kind === 'seconds') return `${Math.round(dose.target)} seconds`;
	return plural(dose.target, dose.kind === 'breaths' ? 'breath' : 'time');
}

/** What is said of a step before it begins: place and direction, contact, count, side. The first is never left out. */
function announced(step: Step, side: WorkedSide, voice: Voice, performer: Performer): Chunk[] {
	const where: Chunk = { words: stepTitle(step), drop: 0 };
	if (voice === 'changes') return [where];
	return [
		where,
		...(step.contact === 'none' ? [] : [{ words: contactText(step), drop: 2 }]),
		{ words: countWords(step), drop: 3 },
		{ words: sideCall(side, performer), drop: 1 }
	];
}

/** Starts of stretches that are announced: of a step, and of its other side. */
function stretches(events: readonly TimedEvent[]) {
	let prior: TimedEvent | null = null;
	return events.flatMap((event, i) => {
		const before = events[i - 1];
		if (event.kind === 'transition') return [];
		// The hands need it before they change over: it is said before the change.
		const at = before?.kind === 'transition' ? before.startSeconds : event.startSeconds;
		const last = prior;
		prior = event;
		if (last?.stepId !== event.stepId) return [{ event, at, begins: true }];
		return last.side !== event.side && event.kind === 'work' ? [{ event, at, begins: false }] : [];
	});
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
	working: Pick<Working, 'cueBreathHalfSeconds'>,
	{ voice, rate, tones, alerts = [], performer = 'client' }: SoundOptions
): Soundtrack {
	const cues = cuesOf(events, byId, working, performer);
	const marks = tonesOf(events, cues, working.cueBreathHalfSeconds);
	// Swells of the breath are soft: one speaks over them.
	const beats = marks.filter(({ tone }) => tone !== 'in' && tone !== 'out');
	const spoken: Spoken[] = [];
	if (voice !== 'none')
		for (const { event, at, begins } of stretches(events)) {
			const { step } = byId.get(event.stepId)!;
			const side = sideOfRep(event.side, 0);
			const chunks = begins
				? [...(at === 0 ? alerts.map((words) => ({ words, drop: 0 })) : []), ...announced(step, side, voice, performer)]
				: [{ words: sideCall(side, performer), drop: 0 }];
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
