import { lastCueIndex, type Cue, type CueKind } from '../core/perform/cues';
import { doneCounts, nextStepSeconds, positionAt, previousStepSeconds, type DoneCount } from '../core/perform/position';
import { cutAt, replay, type Stretch } from '../core/perform/run';
import type { MarkId, RunEvent } from '../core/records/runEntry';
import type { TimedEvent } from '../core/sequence/expand';

interface Plan {
	readonly events: readonly TimedEvent[];
	readonly cues: readonly Cue[];
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
	/** Whether each step waits for a signal before it begins. */
	readonly waits?: () => boolean;
}

/** Runs a sequence. The position is a function of the clock, so it stays true however seldom it is asked. */
export class Runner {
	playing = $state(false);
	/** Seconds of the plan. */
	seconds = $state(0);
	begun = $state(false);
	haltedSeconds = $state(0);
	#from = 0;
	#atMs = 0;
	#startMs = 0;
	#haltAtMs: number | null = null;
	#played: Stretch[] = [];
	#plan = $state.raw() as Plan;
	readonly #byKind = new Map<CueKind, readonly Cue[]>();
	readonly #options: Options;
	position = $derived.by(() => positionAt(this.#plan.events, this.seconds));

	constructor(options: Options) {
		this.#options = options;
		this.#plan = options;
		const { seconds, played, haltedSeconds, begun } = replay(options.log ?? []);
		this.seconds = seconds;
		this.haltedSeconds = haltedSeconds;
		this.#played = [...played];
		this.begun = begun;
	}

	/** Goes on by another plan, which is the same up to the event at hand: a condition was met. */
	follow(plan: Plan): void {
		this.#plan = plan;
		this.#byKind.clear();
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
		const now = this.#from + (this.#options.clock() - this.#atMs) / 1000;
		// Where it waits for a signal, the plan stands still at the beginning of the next step.
		const until = this.#options.waits?.() ? nextStepSeconds(this.#plan.events, this.seconds) : this.total;
		this.seconds = Math.min(until, now);
		if (this.seconds >= until) this.#halt();
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
		if (!this.playing) return;
		this.seconds = Math.min(this.total, this.#from + (this.#options.clock() - this.#atMs) / 1000);
		this.#halt();
	}

	#halt(): void {
		this.#played.push(this.#running(this.seconds));
		this.playing = false;
		this.#haltAtMs = this.#options.now();
		this.#log('pause', this.seconds);
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
		if (this.playing) this.#played.push(this.#running(from));
		if (to < from) this.#played = cutAt(this.#played, to);
		this.seconds = to;
		this.#mark();
		this.#log('jump', to, from);
		if (to >= this.total) this.pause();
	}

	#mark(): void {
		this.#from = this.seconds;
		this.#atMs = this.#options.clock();
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
		return this.stretches().reduce((s, p) => s + p.to - p.from, 0);
	}
}
