import { lastCueIndex, type Cue, type CueKind } from '../core/perform/cues';
import {
	doneCounts,
	eventIndexAt,
	nextStepSeconds,
	positionAt,
	previousStepSeconds,
	type DoneCount
} from '../core/perform/position';
import { cutAt, replay, type Stretch } from '../core/perform/run';
import type { RunEvent } from '../core/records/runEntry';
import type { MarkId } from '../core/records/runMarks';
import type { Waits } from '../core/records/waits';
import type { TimedEvent } from '../core/sequence/expand';

interface Plan {
	readonly events: readonly TimedEvent[];
	readonly cues: readonly Cue[];
	/** For each event, how long it may go on past the plan until a sign comes; 0 or absent: not at all. */
	readonly signSeconds?: readonly number[];
}
interface Options extends Plan {
	/** Milliseconds of a clock that goes on in a hidden tab, such as performance.now. */
	readonly clock: () => number;
	/** Milliseconds since 1970, for the log. */
	readonly now: () => number;
	/** What was logged before: the runner goes on from there. */
	readonly log?: readonly RunEvent[];
	/** Takes each line of the log as it happens. */
	readonly onlog?: (event: RunEvent) => void;
	/** How long a breath goes in, and how long out, seconds. */
	readonly breathHalfSeconds?: number;
	/** What waits for a signal: no step, those that go on until a sign comes, or each before it begins. */
	readonly waits?: () => Waits;
	/** It goes on past the plan, until a sign comes. */
	readonly onsign?: () => void;
	/** Nobody looked for so long that nothing can have been guided: it stands where it was. */
	readonly onslept?: (seconds: number) => void;
}

/** A hidden window is looked at once a minute; who does not look for longer slept, as a device with a closed lid. */
const SLEPT_MS = 150_000;

/** Runs a sequence. The position is a function of the clock, so it stays true however seldom it is asked. */
export class Runner {
	playing = $state(false);
	/** Seconds of the plan. */
	seconds = $state(0);
	begun = $state(false);
	haltedSeconds = $state(0);
	/** It goes on past the plan until its sign comes: seconds that are left of the longest time; null where it does not. */
	untilSign = $state<number | null>(null);
	#signSeconds = 0;
	#from = 0;
	#atMs = 0;
	#startMs = 0;
	#haltAtMs: number | null = null;
	/** When the clock was last read. */
	#seenMs = 0;
	#played: Stretch[] = [];
	#plan = $state.raw() as Plan;
	readonly #byKind = new Map<CueKind, readonly Cue[]>();
	readonly #options: Options;
	// What goes on past the plan is still the stretch that ends here.
	position = $derived.by(() =>
		positionAt(this.#plan.events, this.untilSign === null ? this.seconds : this.seconds - 1e-3)
	);

	constructor(options: Options) {
		this.#options = options;
		this.#plan = options;
		const { seconds, played, haltedSeconds, signSeconds, begun } = replay(options.log ?? []);
		this.#signSeconds = signSeconds;
		this.seconds = seconds;
		this.haltedSeconds = haltedSeconds;
		this.#played = [...played];
		this.begun = begun;
	}

	/** Goes on by another plan, which is the same up to the event at hand: a condition was met. */
	follow(plan: Plan): void {
		this.#plan = plan;
		this.#byKind.clear();
		// What was added is done first.
		if (this.untilSign !== null) this.signed();
	}

	get total(): number {
		return this.#plan.events.at(-1)?.endSeconds ?? 0;
	}

	/** The last cues of a kind at this moment: those that were given together. */
	said(kind: CueKind): readonly Cue[] {
		const cues = this.#byKind.get(kind) ?? this.#plan.cues.filter((c) => c.kind === kind);
		this.#byKind.set(kind, cues);
		const index = lastCueIndex(cues, this.seconds);
		const last = cues[index];
		return last ? cues.filter((c, i) => i <= index && c.atSeconds === last.atSeconds && c.stepId === last.stepId) : [];
	}

	/** Where the breath is led at this moment; null where it is free. */
	breath = $derived.by<'in' | 'out' | null>(() => {
		const { event } = this.position;
		const cue = this.said('breath').findLast((c) => c.stepId === event?.stepId);
		const half = this.#options.breathHalfSeconds ?? 0;
		return cue && this.seconds < cue.atSeconds + half ? (cue.words as 'in' | 'out') : null;
	});

	#log(kind: RunEvent['kind'], seconds: number, from?: number): void {
		this.#options.onlog?.({ kind, seconds, atMs: this.#options.now(), ...(from === undefined ? {} : { from }) });
	}

	/** Reads the clock. Called at each frame, and again when a hidden tab comes back. */
	tick(): void {
		if (!this.playing) return;
		const unseenMs = this.#options.clock() - this.#seenMs;
		if (unseenMs > SLEPT_MS) return this.#slept(unseenMs);
		this.#seenMs += unseenMs;
		const now = this.#from + (this.#options.clock() - this.#atMs) / 1000;
		const waits = this.#options.waits?.() ?? 'never';
		const sign = waits === 'never' ? null : this.#signBy(now);
		if (sign) {
			if (this.untilSign === null) this.#holdAt(sign.end);
			this.untilSign = Math.max(0, sign.end + sign.most - now);
			if (this.untilSign > 0) return;
			// The longest time is over.
			this.#signedAfter(sign.most);
			return this.tick();
		}
		// Where it waits for a signal, the plan stands still at the beginning of the next step.
		const until = waits === 'always' ? nextStepSeconds(this.#plan.events, this.seconds) : this.total;
		this.seconds = Math.min(until, now);
		if (this.seconds >= until) this.#halt();
	}

	/** The stretch that has come to its end by a moment and may go on until its sign. */
	#signBy(seconds: number): { readonly end: number; readonly most: number } | null {
		const { events, signSeconds = [] } = this.#plan;
		for (let i = eventIndexAt(events, this.#from); events[i] && events[i]!.endSeconds <= seconds; i++)
			if (signSeconds[i]) return { end: events[i]!.endSeconds, most: signSeconds[i]! };
		return null;
	}

	#holdAt(end: number): void {
		this.seconds = end;
		this.untilSign = 0;
		this.#log('still', end);
		this.#options.onsign?.();
	}

	/** The sign has come: it goes on by the plan. */
	signed(): void {
		if (this.playing && this.untilSign !== null)
			this.#signedAfter((this.#options.clock() - this.#atMs) / 1000 - (this.seconds - this.#from));
	}

	/** It went on past the plan for so long, however late that is found. */
	#signedAfter(more: number): void {
		const ms = 1000 * (this.seconds - this.#from + more);
		const atMs = this.#startMs + ms;
		const at = { seconds: this.seconds, atMs };
		this.#options.onlog?.({ kind: 'mark', ...at, mark: 'sign', words: `${Math.round(more)} s past the plan` });
		this.#played.push(this.#running(this.seconds));
		this.#signSeconds += more;
		this.untilSign = null;
		[this.#from, this.#startMs] = [this.seconds, atMs];
		this.#atMs += ms;
		this.#options.onlog?.({ kind: 'go', ...at });
	}

	/** Starts, or goes on: an interrupted stroke is begun again, half a stroke is not a stroke. */
	go(): void {
		if (this.playing || this.seconds >= this.total) return;
		const { reps, repStartSeconds } = this.position;
		if (this.begun && reps) this.seconds = repStartSeconds;
		this.#played = cutAt(this.#played, this.seconds);
		if (this.#haltAtMs !== null) this.haltedSeconds += Math.max(0, this.#options.now() - this.#haltAtMs) / 1000;
		this.#haltAtMs = null;
		this.begun = true;
		this.playing = true;
		this.#mark();
		this.#log('go', this.seconds);
	}

	pause(): void {
		this.tick();
		if (this.playing) this.#halt();
	}

	#slept(ms: number): void {
		this.#halt(this.#options.now() - ms);
		this.#options.onslept?.(ms / 1000);
	}

	#halt(atMs = this.#options.now()): void {
		this.untilSign = null;
		this.#played.push(this.#running(this.seconds));
		this.playing = false;
		this.#haltAtMs = atMs;
		this.#options.onlog?.({ kind: 'pause', seconds: this.seconds, atMs });
	}

	/** Notes what is felt, used, said or changed at this moment. */
	mark(mark: MarkId, more: Pick<RunEvent, 'stepId' | 'side' | 'place' | 'words'> = {}): void {
		this.#options.onlog?.({ kind: 'mark', seconds: this.seconds, atMs: this.#options.now(), mark, ...more });
	}

	/** Notes how far it has come, so that an interruption loses nothing. */
	still(): void {
		if (this.playing) this.#log('still', this.seconds);
	}

	skip(): void {
		this.#jump(nextStepSeconds(this.#plan.events, this.seconds));
	}

	back(): void {
		this.#jump(previousStepSeconds(this.#plan.events, this.seconds));
	}

	#jump(to: number): void {
		const from = this.seconds;
		this.untilSign = null;
		if (this.playing) this.#played.push(this.#running(from));
		if (to < from) this.#played = cutAt(this.#played, to);
		this.seconds = to;
		this.#mark();
		this.#log('jump', to, from);
		if (to >= this.total) this.pause();
	}

	#mark(): void {
		this.#from = this.seconds;
		this.#atMs = this.#seenMs = this.#options.clock();
		this.#startMs = this.#options.now();
	}

	#running = (to: number): Stretch => ({ from: this.#from, to, startMs: this.#startMs });

	/** What of the plan was played, and when. */
	stretches(): readonly Stretch[] {
		return this.playing ? [...this.#played, this.#running(this.seconds)] : this.#played;
	}

	/** What was really done of each step. */
	done(): DoneCount[] {
		return doneCounts(this.#plan.events, this.stretches());
	}

	get workedSeconds(): number {
		return this.stretches().reduce((s, p) => s + p.to - p.from, this.#signSeconds);
	}
}
