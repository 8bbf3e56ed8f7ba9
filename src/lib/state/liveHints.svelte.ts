import { hintsOf, type Stance } from '../core/measure/hints';
import type { FaceFinder, Look } from './faceFinder.svelte';

/** Pictures are looked at so often at most, ms: a hint that flickers helps nobody. */
const EVERY_MS = 400;

/** What to change while someone sits before the camera. */
export class LiveHints {
	/** Sentences, the most needed first; null: nothing was seen yet. */
	hints = $state.raw<readonly string[] | null>(null);
	/** Whether it is held against an earlier photograph. */
	matching = $state(false);
	#earlier: Stance | null = null;
	#stopped = false;

	constructor(private readonly finder: FaceFinder) {}

	/** Holds what is seen against an earlier picture, or against straight ahead. */
	async match(earlier: ImageBitmapSource | null): Promise<void> {
		const look = earlier ? await this.finder.look(earlier, false) : null;
		this.#earlier = look && 'stance' in look ? look.stance : null;
		this.matching = this.#earlier !== null;
	}
	/**
	 * Looks again and again until it is stopped.
	 * @param frame what the camera sees now; null: nothing yet
	 */
	async follow(frame: () => ImageBitmapSource | null): Promise<void> {
		while (!this.#stopped && !this.finder.off) {
			const seen = frame();
			const look = seen ? await this.finder.look(seen, false) : null;
			if (look && !this.#stopped) this.hints = hintsFor(look, this.#earlier);
			await new Promise((resolve) => setTimeout(resolve, EVERY_MS));
		}
	}
	stop(): void {
		this.#stopped = true;
	}
}

/** What is said of a look. */
export const hintsFor = (look: Look, earlier: Stance | null): readonly string[] =>
	'doubt' in look ? [look.doubt] : hintsOf(look.stance, earlier);
