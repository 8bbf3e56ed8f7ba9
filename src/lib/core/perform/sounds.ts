import type { TimedEvent } from '../sequence/expand';
import type { WorkedSide } from '../sequence/workedSide';
import type { PlacedStep } from '../sequence/walk';
import type { Voice } from '../records/voices';
import type { Sequence } from '../sequence/sequence.schema';
import type { Working } from '../working/working.schema';
import { BEATS, cuesOf, type Cue } from './cues';
import { instructionAt, type Told } from './instruction/instruction';
import { planOf, type Led, type Plan } from './instruction/moment';
import { spokenParts } from './instruction/spokenParts';
import { LONG_PART_SECONDS } from './longPart';
import { positionAt } from './position';
import { firstFrom, placedAfter, placedBefore, spokenSeconds, type Chunk, type Spoken } from './speech';

export interface Tone {
	/** Second of the plan. */
	readonly atSeconds: number;
	readonly tone: 'stroke' | 'last' | 'side' | 'step' | 'in' | 'out';
	/** How long it sounds. */
	readonly seconds: number;
	/** Of a side that is worked alone: the ear on which it is heard, -1 left to 1 right. */
	readonly pan?: number;
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
	readonly led?: Led & Partial<Pick<Sequence, 'orientation'>>;
}

/** Length of a beat’s tone, and of one that marks a change. Working values. */
const BEAT_SECONDS = 0.16;
const CHANGE_SECONDS = 0.4;
/** A stretch with fewer repetitions has no tone of its own for the last. */
const LAST_FROM_REPS = 3;

type ById = ReadonlyMap<string, PlacedStep>;

/** How far to one ear a side is heard. Working value. */
const PAN = 0.75;
/** Facing a client, their left is on one’s right. */
const panOf = (side: WorkedSide | null, facing: boolean): Pick<Tone, 'pan'> =>
	side === 'left' || side === 'right' ? { pan: (side === 'left') === facing ? PAN : -PAN } : {};

function tonesOf(events: readonly TimedEvent[], cues: readonly Cue[], halfSeconds: number, facing: boolean): Tone[] {
	let stepId = events[0]?.stepId ?? '';
	return cues.flatMap((cue): Tone[] => {
		const { atSeconds, kind } = cue;
		if (kind === 'breath') return [{ atSeconds, tone: cue.words === 'in' ? 'in' : 'out', seconds: halfSeconds }];
		if (!BEATS.includes(kind)) return [];
		// A hair later, so that rounding never takes the repetition before.
		const { rep, reps, side } = positionAt(events, atSeconds + 1e-6);
		const pan = panOf(side, facing);
		if (kind === 'side') return [{ atSeconds, tone: 'side', seconds: CHANGE_SECONDS, ...pan }];
		if (cue.stepId !== stepId) {
			stepId = cue.stepId;
			return [{ atSeconds, tone: 'step', seconds: CHANGE_SECONDS, ...pan }];
		}
		const last = rep === reps && reps >= LAST_FROM_REPS;
		return [{ atSeconds, tone: last ? 'last' : 'stroke', seconds: BEAT_SECONDS, ...pan }];
	});
}

/** What is said late leaves so much time for what comes next. Working value. */
const NEXT_SECONDS = 3;

/** A moment of which something is said. */
interface Said {
	/** Index of its stretch. */
	readonly index: number;
	/** By when. */
	readonly at: number;
	readonly begins: boolean;
	readonly crosses: boolean;
}

/** Whether something other than time goes on from one stretch of a step to another. */
const differs = (a: TimedEvent, b: TimedEvent): boolean =>
	a.side !== b.side || a.lane !== b.lane || a.direction !== b.direction || a.places !== b.places;

/** Starts of stretches of which something is said: of a step, its other side, each of several places, a lane, the way back, a long part. */
function saidAt(events: readonly TimedEvent[], byId: ById): Said[] {
	let prior: TimedEvent | null = null;
	/** The stretch of the step at hand that was last announced. */
	let last: TimedEvent | null = null;
	return events.flatMap((event, index): Said[] => {
		const before = events[index - 1];
		if (event.kind === 'transition') return [];
		const came = prior;
		prior = event;
		// The hands need it before they change over: it is said before the change.
		const at = before?.kind === 'transition' ? before.startSeconds : event.startSeconds;
		const begins = came?.stepId !== event.stepId;
		const long = event.endSeconds - event.startSeconds >= LONG_PART_SECONDS;
		const own = event.kind === 'work' && event.part === 0;
		const again = own && last !== null && differs(last, event);
		if (!begins && !again && !(long && !own) && event.kind !== 'link') return [];
		const over = came !== null && came.side !== event.side;
		const inBlock = byId.get(event.stepId)!.block.sides !== 'asSteps' && came?.blockId === event.blockId;
		if (own || begins) last = event;
		return [{ index, at, begins, crosses: over && (!begins || inBlock) }];
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
	working: Working,
	{ voice, rate, tones, alerts = [], led }: SoundOptions
): Soundtrack {
	const cues = cuesOf(events, byId, working, led);
	const marks = tonesOf(events, cues, working.cueBreathHalfSeconds, led?.orientation === 'facing');
	// Swells of the breath are soft: one speaks over them.
	const beats = marks.filter(({ tone }) => tone !== 'in' && tone !== 'out');
	const spoken: Spoken[] = [];
	if (voice !== 'none')
		spoken.push(...announcements(planOf(events, byId, working, led), beats, { voice, rate, alerts }));
	const end = events.at(-1);
	if (voice !== 'none' && end) {
		const words = 'Session finished';
		spoken.push({ atSeconds: end.endSeconds, seconds: spokenSeconds(words, rate), words });
	}
	if (voice === 'everything') spoken.push(...counted(cues, beats, spoken, rate));
	spoken.sort((a, b) => a.atSeconds - b.atSeconds);
	const hidden = (t: Tone) => {
		const next = firstFrom(spoken, t.atSeconds + t.seconds);
		// Words follow one another: only the last one that has begun can sound on.
		const s = spoken[next - 1];
		return s !== undefined && t.atSeconds < s.atSeconds + s.seconds;
	};
	return {
		tones: tones ? marks.filter((t) => t.tone === 'in' || t.tone === 'out' || !hidden(t)) : [],
		spoken
	};
}

/** All that is said of a plan: before each moment, and what found no room there in the pauses after it. */
function announcements(
	plan: Plan,
	beats: readonly Tone[],
	{ voice, rate, alerts }: Required<Pick<SoundOptions, 'voice' | 'rate' | 'alerts'>>
): Spoken[] {
	const spoken: Spoken[] = [];
	let before: readonly Told[] = [];
	const free = () => {
		const last = spoken.at(-1);
		return last ? last.atSeconds + last.seconds : -Infinity;
	};
	const moments = saidAt(plan.events, plan.byId);
	for (const [n, { index, at, begins, crosses }] of moments.entries()) {
		const told = instructionAt(plan, index);
		// What is taken is told with the change that comes before; that the side changes is said by its name.
		const taken = at < plan.events[index]!.startSeconds ? instructionAt(plan, index - 1) : [];
		const ready = taken.filter(({ slot, say }) => slot === 'ready' && say);
		const chunks = [
			...(at === 0 ? alerts.map((words) => ({ words, drop: 0 })) : []),
			...spokenParts([...ready, ...told], { before, begins, crosses, voice })
		];
		before = told;
		const moment = plan.events[index]!.startSeconds;
		const put = (from: readonly Chunk[], said: readonly Spoken[]) => {
			for (const s of said) spoken.push({ ...s, of: index });
			return from.filter(({ words }) => !said.some((s) => s.words === words));
		};
		// Before the change, then while it lasts, then in the pauses of what comes after it.
		let left = put(chunks, placedBefore(at, chunks, beats, free(), rate));
		if (at < moment && at > 0) left = put(left, placedBefore(moment, left, beats, Math.max(at, free()), rate));
		const half = (moment + plan.events[plan.runs[index]!.end]!.endSeconds) / 2;
		const until = Math.min(half, (moments[n + 1]?.at ?? Infinity) - NEXT_SECONDS);
		put(left, placedAfter(Math.max(moment, free()), until, left, beats, rate));
	}
	return spoken;
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
