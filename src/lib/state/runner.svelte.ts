import { lastCueIndex, type Cue, type CueKind } from '../core/perform/cues';
import {
	doneCounts,
	doneSince,
	eventIndexAt,
	nextStepSeconds,
	plusCounts,
	positionAt,
	previousStepSeconds,
	type DoneCount
} from '../core/perform/position';
import {
	playedTo,
	replay,
	runStep,
	workedSeconds,
	type RunState,
	type Stretch,
	type UndoPoint
} from '../core/perform/run';
import { isGap } from '../core/perform/meant';
import { DEFAULT_WORKING } from '../core/working/defaultWorking';
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
	/** Seconds of the plan that were heard by now, by the clock of the sound card; absent or null: nothing is heard. */
	readonly heard?: () => number | null;
	/** The page stood still for longer than so many seconds: what was not heard meanwhile was not guided. */
	readonly gapSeconds?: number;
	/** It stood still, and waits where hands were guided last. */
	readonly onslept?: (seconds: number) => void;
}

/**
 * Runs a sequence. The position is a function of the clock, so it stays true however seldom it is asked; what was done is
 * what the log comes to, here as after a crash (`core/perform/run.ts`).
 */
export class Runner {
	/** What the log comes to by now. */
	#state = $state.raw() as RunState;
	/** Hands are at work. */
	playing = $state(false);
	/** Seconds of the plan. */
	seconds = $state(0);
	/** It goes on past the plan until its sign comes: seconds that are left of the longest time; null where it does not. */
	untilSign = $state<number | null>(null);
	/** From where on the plan runs, and since when. */
	#from = 0;
	#atMs = 0;
	/** When the clock, and what is heard, were last read. */
	#seenMs = 0;
	#heard: number | null = null;
	#plan = $state.raw() as Plan;
	readonly #byKind = new Map<CueKind, readonly Cue[]>();
	readonly #options: Options;
	// What goes on past the plan is still the stretch that ends here.
	position = $derived.by(() =>
		positionAt(this.#plan.events, this.untilSign === null ? this.seconds : this.seconds - 1e-3)
	);
	begun = $derived.by(() => this.#state.begun);
	haltedSeconds = $derived.by(() => this.#state.haltedSeconds);
	/** What can be taken back: the last jump, or change of the plan. */
	undoPoint = $derived.by<UndoPoint | null>(() => this.#state.undo.at(-1) ?? null);

	constructor(options: Options) {
		this.#options = options;
		this.#plan = options;
		this.#state = replay(options.log ?? []);
		this.seconds = this.#state.seconds;
		if (this.#state.waitedSeconds !== null) this.untilSign = this.#signLeft(this.#state.waitedSeconds);
	}

	/** Goes on by another plan, which is the same up to the event at hand: a condition was met. */
	follow(plan: Plan): void {
		this.#plan = plan;
		this.#byKind.clear();
		// What was added is done first.
		if (this.untilSign === null) return;
		if (this.playing) return this.signed();
		this.#log('mark', { mark: 'sign', ...this.#waiting() });
		this.untilSign = null;
	}

	get total(): number {
		return this.#plan.events.at(-1)?.endSeconds ?? 0;
	}

	/** The last cues of a kind at this moment: those that were given together. What belongs to a step goes with it. */
	said(kind: CueKind): readonly Cue[] {
		const cues = this.#byKind.get(kind) ?? this.#plan.cues.filter((c) => c.kind === kind);
		this.#byKind.set(kind, cues);
		const index = lastCueIndex(cues, this.seconds);
		const last = cues[index];
		const here = this.position.event?.stepId;
		if (here !== undefined && last?.stepId !== here) return [];
		return last ? cues.filter((c, i) => i <= index && c.atSeconds === last.atSeconds && c.stepId === last.stepId) : [];
	}

	/** Where the breath is led at this moment; null where it is free. */
	breath = $derived.by<'in' | 'out' | null>(() => {
		const { event } = this.position;
		const cue = this.said('breath').findLast((c) => c.stepId === event?.stepId);
		const half = this.#options.breathHalfSeconds ?? 0;
		return cue && this.seconds < cue.atSeconds + half ? (cue.words as 'in' | 'out') : null;
	});

	#log(kind: RunEvent['kind'], more: Partial<RunEvent> = {}): void {
		const event: RunEvent = { kind, seconds: this.seconds, atMs: this.#options.now(), ...more };
		this.#state = runStep(this.#state, event);
		this.#options.onlog?.(event);
	}

	/** A log that broke off, with a crash or a closed window: hands were guided up to its last line, and then no more. */
	#mend(): void {
		const { running, waitedSeconds: waited, haltedAtMs, lastMs } = this.#state;
		if (this.playing || (!running && (waited === null || haltedAtMs !== null))) return;
		this.#log('pause', { atMs: lastMs, ...(waited === null ? {} : { waited }) });
	}

	/** Reads the clock. Called at each frame, and again when a hidden tab comes back. */
	tick(): void {
		if (!this.playing) return;
		const [clock, heard] = [this.#options.clock(), this.#options.heard?.() ?? null];
		const unseenMs = clock - this.#seenMs;
		const heardMs = heard === null || this.#heard === null ? 0 : 1000 * (heard - this.#heard);
		const { gapSeconds = DEFAULT_WORKING.gapSeconds } = this.#options;
		if (isGap(unseenMs, heardMs, { gapSeconds })) return this.#slept(unseenMs, Math.max(0, heardMs));
		[this.#seenMs, this.#heard] = [clock, heard];
		this.#run(clock);
	}

	/** Where it is at a moment of the clock. */
	#run(clock: number): void {
		const sinceSeconds = (clock - this.#atMs) / 1000;
		if (this.untilSign !== null) return this.#wait(sinceSeconds);
		const now = this.#from + sinceSeconds;
		const waits = this.#options.waits?.() ?? 'never';
		const sign = waits === 'never' ? null : this.#signBy(now);
		if (sign !== null) {
			this.seconds = sign;
			this.#hold(0, this.#atMs + 1000 * (sign - this.#from));
			this.#options.onsign?.();
			return this.#run(clock);
		}
		// Where it waits for a signal, the plan stands still at the beginning of the next step.
		const until = waits === 'always' ? nextStepSeconds(this.#plan.events, this.seconds) : this.total;
		this.seconds = Math.min(until, now);
		if (this.seconds >= until) this.#halt();
	}

	/** The end of the stretch that has come to it by a moment and may go on until its sign. */
	#signBy(seconds: number): number | null {
		const { events, signSeconds = [] } = this.#plan;
		for (let i = eventIndexAt(events, this.#from); events[i] && events[i]!.endSeconds <= seconds; i++)
			if (signSeconds[i]) return events[i]!.endSeconds;
		return null;
	}
	/** Seconds that are left until the sign, where it has been waited for so long. */
	#signLeft(waited: number): number {
		const { events, signSeconds = [] } = this.#plan;
		return Math.max(0, (signSeconds[eventIndexAt(events, this.seconds - 1e-3)] ?? 0) - waited);
	}

	/** The plan stands still, and the hands go on. @param waited seconds by now; @param atMs of the clock */
	#hold(waited: number, atMs: number): void {
		this.untilSign = this.#signLeft(waited);
		this.#from = waited;
		this.#atMs = atMs;
		this.#log('wait', { waited, atMs: this.#options.now() - (this.#options.clock() - atMs) });
	}
	/** Seconds that have been waited for a sign by now. */
	#waited(): number {
		if (this.untilSign === null) return 0;
		return this.playing ? this.#from + (this.#seenMs - this.#atMs) / 1000 : (this.#state.waitedSeconds ?? 0);
	}
	#wait(sinceSeconds: number): void {
		const left = this.#signLeft(this.#from + sinceSeconds);
		this.untilSign = left;
		if (left > 0) return;
		// The longest time is over, however late that is found.
		const most = this.#signLeft(0);
		this.#signedAfter(most, this.#atMs + 1000 * (most - this.#from));
		this.#run(this.#seenMs);
	}

	/** The sign has come: it goes on by the plan. */
	signed(): void {
		if (!this.playing || this.untilSign === null) return;
		const clock = this.#options.clock();
		this.#signedAfter(this.#from + (clock - this.#atMs) / 1000, clock);
	}

	/** @param waited seconds past the plan; @param clock when it was so */
	#signedAfter(waited: number, clock: number): void {
		const atMs = this.#options.now() - (this.#options.clock() - clock);
		const { event, side } = this.position;
		const words = `${Math.round(waited)} s past the plan`;
		const about = { ...(event ? { stepId: event.stepId } : {}), ...(side ? { side } : {}) };
		this.#log('mark', { mark: 'sign', atMs, waited, words, ...about });
		this.untilSign = null;
		[this.#from, this.#atMs] = [this.seconds, clock];
		this.#log('go', { atMs });
	}

	/** Starts, or goes on: an interrupted stroke is begun again, half a stroke is not a stroke. */
	go(): void {
		if (this.playing) return;
		this.#mend();
		if (this.untilSign !== null) {
			this.playing = true;
			this.#see();
			return this.#hold(this.#state.waitedSeconds ?? 0, this.#seenMs);
		}
		if (this.seconds >= this.total) return;
		const { reps, repStartSeconds } = this.position;
		if (this.begun && reps) this.seconds = repStartSeconds;
		this.playing = true;
		this.#see();
		[this.#from, this.#atMs] = [this.seconds, this.#seenMs];
		this.#log('go');
	}

	pause(): void {
		this.tick();
		if (this.playing) this.#halt();
	}

	/** It stood still: what was heard meanwhile was guided, the rest is a halt. */
	#slept(unseenMs: number, heardMs: number): void {
		const guided = this.#seenMs + heardMs;
		const atMs = this.#options.now() - (unseenMs - heardMs);
		this.#seenMs = guided;
		this.#run(guided);
		if (this.playing) this.#halt(atMs);
		this.#options.onslept?.((unseenMs - heardMs) / 1000);
	}

	#halt(atMs = this.#options.now()): void {
		const waited = this.untilSign === null ? {} : { waited: this.#waited() };
		this.playing = false;
		this.#log('pause', { atMs, ...waited });
	}

	/** Notes what is felt, used, said or changed at this moment. @param more of a change: the plan that was in force before */
	mark(mark: MarkId, more: Pick<RunEvent, 'stepId' | 'side' | 'place' | 'words' | 'snapshot'> = {}): void {
		this.#log('mark', { mark, ...more });
	}

	/** Notes how far it has come, so that an interruption loses nothing. */
	still(): void {
		if (!this.playing) return;
		this.#log('still', this.untilSign === null ? {} : { waited: this.#waited() });
	}

	skip(): void {
		this.#jump(
			nextStepSeconds(this.#plan.events, this.position.event ? this.position.event.startSeconds : this.seconds)
		);
	}

	back(): void {
		this.#jump(previousStepSeconds(this.#plan.events, this.seconds));
	}

	/** What was waited until now, and of which step: it is work, whatever comes next. */
	#waiting(): Partial<RunEvent> {
		if (this.untilSign === null) return {};
		const { event, side } = this.position;
		return { waited: this.#waited(), ...(event ? { stepId: event.stepId } : {}), ...(side ? { side } : {}) };
	}

	#jump(to: number): void {
		this.tick();
		this.#mend();
		const from = this.seconds;
		if (to === from && this.untilSign === null) return;
		const waiting = this.#waiting();
		this.untilSign = null;
		this.seconds = to;
		this.#see();
		[this.#from, this.#atMs] = [to, this.#seenMs];
		this.#log('jump', { from, ...waiting });
		if (to >= this.total && this.playing) this.#halt();
	}

	/**
	 * Takes back the last jump or change of the plan; what was done since stays done.
	 * @param restored the plan that was in force before, where it was changed
	 */
	undo(restored: Plan | null): void {
		this.tick();
		this.#mend();
		const point = this.undoPoint;
		if (!point) return;
		const from = this.seconds;
		const waiting = this.#waiting();
		let banked: DoneCount[] = [];
		if (point.snapshot !== undefined) {
			if (!restored) return;
			const { events } = this.#plan;
			banked = doneSince(doneCounts(events, point.played), doneCounts(events, this.stretches()));
			this.#plan = restored;
			this.#byKind.clear();
		}
		this.untilSign = null;
		const at = positionAt(this.#plan.events, point.seconds);
		this.seconds = at.reps ? at.repStartSeconds : point.seconds;
		this.#see();
		[this.#from, this.#atMs] = [this.seconds, this.#seenMs];
		this.#log('undo', { from, ...waiting, ...(banked.length ? { banked } : {}) });
		// What ended by the jump goes on only when it is begun.
		if (this.playing && this.seconds >= this.total) this.#halt();
	}

	#see(): void {
		this.#seenMs = this.#options.clock();
		this.#heard = this.#options.heard?.() ?? null;
	}

	/** What of the plan was played, and when. */
	stretches(): readonly Stretch[] {
		return playedTo(this.#state, this.seconds);
	}

	/** What was really done of each step: past the plan until a sign, and by plans that were taken back, too. */
	done(): DoneCount[] {
		const { signs, banked } = this.#state;
		const past = signs.map(({ stepId, seconds }) => ({ stepId, leftReps: 0, rightReps: 0, seconds, skipped: false }));
		return plusCounts(doneCounts(this.#plan.events, this.stretches()), [...past, ...banked]);
	}

	get workedSeconds(): number {
		return workedSeconds(this.#state, this.seconds, this.#waited());
	}
}
