import type { TimedEvent } from '../core/sequence/expand';
import { doneCounts, nextStepSeconds, positionAt, previousStepSeconds, type DoneCount } from '../core/perform/position';

interface Options {
	events: readonly TimedEvent[];
	/** Milliseconds of a clock that goes on in a hidden tab, such as performance.now. */
	clock: () => number;
	/** Where to begin, seconds of the plan, and what was already played. */
	resume?: RunState;
	onbeat?: (kind: 'stroke' | 'side' | 'step') => void;
}
export interface RunState {
	readonly seconds: number;
	readonly played: readonly { readonly from: number; readonly to: number }[];
	readonly haltedSeconds: number;
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
	#haltAtMs = 0;
	#played: { from: number; to: number }[] = [];
	#beat = '';
	readonly #options: Options;
	position = $derived.by(() => positionAt(this.#options.events, this.seconds));

	constructor(options: Options) {
		this.#options = options;
		this.seconds = options.resume?.seconds ?? 0;
		this.haltedSeconds = options.resume?.haltedSeconds ?? 0;
		this.#played = [...(options.resume?.played ?? [])];
		this.begun = this.seconds > 0;
	}

	get total(): number {
		return this.#options.events.at(-1)?.endSeconds ?? 0;
	}

	/** Reads the clock. Called at each frame, and again when a hidden tab comes back. */
	tick(): void {
		if (!this.playing) return;
		this.seconds = Math.min(this.total, this.#from + (this.#options.clock() - this.#atMs) / 1000);
		this.#beatOnce();
		if (this.seconds >= this.total) this.pause();
	}

	#beatOnce(): void {
		const { event, rep, index } = this.position;
		const beat = event ? `${index}:${rep}` : '';
		if (!event || beat === this.#beat) return;
		const [previous] = this.#beat.split(':');
		this.#beat = beat;
		if (event.kind === 'transition') return this.#options.onbeat?.('side');
		this.#options.onbeat?.(previous !== '' && Number(previous) !== index ? 'step' : 'stroke');
	}

	/** Starts, or goes on: an interrupted stroke is begun again, half a stroke is not a stroke. */
	go(): void {
		if (this.playing || this.seconds >= this.total) return;
		const { event, rep, reps } = this.position;
		if (this.begun && event && reps) {
			const pace = (event.endSeconds - event.startSeconds) / reps;
			this.seconds = event.startSeconds + (rep - 1) * pace;
			this.#cutPlayed(this.seconds);
		}
		if (this.#haltAtMs) this.haltedSeconds += (this.#options.clock() - this.#haltAtMs) / 1000;
		this.#haltAtMs = 0;
		this.begun = true;
		this.playing = true;
		this.#mark();
		this.#beatOnce();
	}

	pause(): void {
		if (!this.playing) return;
		this.seconds = Math.min(this.total, this.#from + (this.#options.clock() - this.#atMs) / 1000);
		this.#played.push({ from: this.#from, to: this.seconds });
		this.playing = false;
		this.#haltAtMs = this.#options.clock();
	}

	skip(): void {
		this.#jump(nextStepSeconds(this.#options.events, this.seconds));
	}

	back(): void {
		const to = previousStepSeconds(this.#options.events, this.seconds);
		this.#jump(to);
		// What is done again counts once.
		this.#cutPlayed(to);
	}

	#jump(seconds: number): void {
		if (this.playing) this.#played.push({ from: this.#from, to: this.seconds });
		this.seconds = seconds;
		this.#mark();
		if (seconds >= this.total) this.pause();
	}

	#mark(): void {
		this.#from = this.seconds;
		this.#atMs = this.#options.clock();
	}

	#cutPlayed(seconds: number): void {
		this.#played = this.#played.filter((p) => p.from < seconds).map((p) => ({ ...p, to: Math.min(p.to, seconds) }));
	}

	#stretches() {
		return this.playing ? [...this.#played, { from: this.#from, to: this.seconds }] : this.#played;
	}

	/** What was really done of each step. */
	done(): DoneCount[] {
		return doneCounts(this.#options.events, this.#stretches());
	}

	get workedSeconds(): number {
		return this.#stretches().reduce((s, p) => s + p.to - p.from, 0);
	}

	/** What is needed to go on later, after a reload. */
	state(): RunState {
		return { seconds: this.seconds, played: this.#stretches(), haltedSeconds: this.haltedSeconds };
	}
}
