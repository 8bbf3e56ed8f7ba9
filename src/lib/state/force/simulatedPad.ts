import { seededRandom } from '../../core/random';
import type { ForceSample } from '../../core/train/pressure';
import type { ForceSource } from './source';

/** Hands by script: where they press, how they tremble, and whether they tire. */
export const HANDS = {
	steady: { label: 'A steady hand', share: 1, tremor: 0.05, tiresPerMinute: 0 },
	unsteady: { label: 'An unsteady hand', share: 1, tremor: 0.35, tiresPerMinute: 0 },
	heavy: { label: 'A heavy hand', share: 1.7, tremor: 0.1, tiresPerMinute: 0 },
	tiring: { label: 'A hand that tires', share: 1.1, tremor: 0.08, tiresPerMinute: 0.9 }
} as const;
export type HandId = keyof typeof HANDS;

/** What the pad itself adds: noise of each reading, and a zero that wanders. */
const NOISE_GRAMS = 0.6;
const DRIFT_GRAMS_PER_MINUTE = 4;
const ZERO_GRAMS = 12;
const EVERY_MS = 50;
/** How long a hand takes to arrive. */
const ARRIVES_MS = 400;

/**
 * What the pad shows at a moment of a press.
 * @param targetGrams what the hand means to press
 * @param pressedMs since it came down; below 0 it is not there yet
 * @param runMs since the pad was switched on
 */
export function padGrams(
	hand: HandId,
	targetGrams: number,
	pressedMs: number,
	runMs: number,
	random: () => number
): number {
	const { share, tremor, tiresPerMinute } = HANDS[hand];
	const noise = () => random() + random() + random() - 1.5;
	const zero = ZERO_GRAMS + (DRIFT_GRAMS_PER_MINUTE * runMs) / 60_000;
	const on =
		pressedMs <= 0
			? 0
			: targetGrams *
				share *
				Math.min(1, pressedMs / ARRIVES_MS) *
				Math.max(0, 1 - (tiresPerMinute * pressedMs) / 60_000) *
				(1 + tremor * (0.6 * Math.sin(pressedMs / 90) + 0.8 * noise()));
	return zero + Math.max(0, on) + NOISE_GRAMS * noise();
}

/** A pad that ships with the application: for trying, for tests, and where there is no scale. */
export class SimulatedPad implements ForceSource {
	readonly name = 'Simulated pad';
	readonly simulated = true;
	#pressedAt: number | null = null;
	constructor(
		private readonly options: {
			readonly hand: () => HandId;
			readonly targetGrams: () => number;
			readonly clock: () => number;
			readonly seed?: number;
		}
	) {}

	/** The scripted hand comes down, or goes. */
	press(down: boolean): void {
		this.#pressedAt = down ? this.options.clock() : null;
	}

	start(onsample: (sample: ForceSample) => void): () => void {
		const { hand, targetGrams, clock, seed = 1 } = this.options;
		const random = seededRandom(seed);
		const since = clock();
		const timer = setInterval(() => {
			const now = clock();
			const pressed = this.#pressedAt === null ? -1 : now - this.#pressedAt;
			onsample({ atMs: now, grams: padGrams(hand(), targetGrams(), pressed, now - since, random) });
		}, EVERY_MS);
		return () => clearInterval(timer);
	}
}
