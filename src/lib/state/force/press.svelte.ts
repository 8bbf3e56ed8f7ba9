import { pressureKPa, pressureOf, type ForceSample, type PressureResult } from '../../core/train/pressure';
import type { Level } from '../../core/step/levels';
import type { Working } from '../../core/working/working.schema';
import type { ForceSource } from './source';

/** Readings before a press that are taken for nothing on it. */
const TARE_SAMPLES = 10;
/** So much more than nothing is a hand. Working value. */
const HAND_GRAMS = 6;

/** One press on a force source: tared before, live while it lasts, and what it came to. */
export class Press {
	/** kPa at this moment, after taring; null while nothing is told. */
	kPa = $state<number | null>(null);
	trouble = $state('');
	samples = $state.raw<readonly ForceSample[]>([]);
	#zeros: number[] = [];
	#zero = 0;
	#stop: () => void = () => {};

	constructor(
		private readonly areaCm2: () => number,
		private readonly level: () => Level,
		private readonly working: () => Working
	) {}

	listen(source: ForceSource): () => void {
		this.#stop();
		this.#zeros = [];
		this.samples = [];
		const stop = source.start(
			(sample) => this.#take(sample),
			(words) => (this.trouble = words)
		);
		this.#stop = stop;
		return () => {
			stop();
			this.kPa = null;
		};
	}

	/** What lies on it now counts as nothing. */
	tare(): void {
		this.#zeros = [];
		this.samples = [];
	}

	#take(sample: ForceSample): void {
		this.trouble = '';
		const above = sample.grams - this.#zero;
		// The zero wanders: while nothing is on it, it is learnt anew.
		if (this.#zeros.length < TARE_SAMPLES || (Math.abs(above) < HAND_GRAMS && !this.samples.length)) {
			this.#zeros = [...this.#zeros.slice(1 - TARE_SAMPLES), sample.grams];
			this.#zero = this.#zeros.reduce((a, b) => a + b, 0) / this.#zeros.length;
			this.kPa = 0;
			return;
		}
		const grams = Math.max(0, above);
		this.kPa = pressureKPa(grams, this.areaCm2());
		const on = above >= HAND_GRAMS;
		// A hand that is lifted off in the middle of a press is a part of it.
		if (on || this.samples.length) this.samples = [...this.samples, { atMs: sample.atMs, grams: on ? grams : 0 }];
	}

	/** What the press came to. */
	result(): PressureResult | null {
		return pressureOf(this.samples, this.areaCm2(), this.level(), this.working());
	}
}
