import type { ForceSample } from '../../core/train/pressure';

/**
 * Whatever tells how hard something is pressed: the simulated pad that ships, a pen on the screen, a scale on a cable. A new
 * one is a file here and a row in `sources.ts`.
 */
export interface ForceSource {
	readonly name: string;
	/** A hand made by code: its rounds are kept apart. */
	readonly simulated: boolean;
	/**
	 * Begins to tell. Returns the way to stop.
	 * @param onsample grams as the device has them, untared
	 * @param ontrouble in plain words: it is gone, or cannot be read
	 */
	start(onsample: (sample: ForceSample) => void, ontrouble: (words: string) => void): () => void;
}
