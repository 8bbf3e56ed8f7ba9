import type { ForceSample } from '../../core/train/pressure';
import type { ForceSource } from './source';

/** Grams of a pen's full pressure, until somebody has weighed it. Working value. */
export const PEN_FULL_GRAMS = 500;

/** A pen or finger that tells its pressure, on an element of the page. */
export class PenPad implements ForceSource {
	readonly name = 'Pen on this screen';
	readonly simulated = false;
	constructor(
		private readonly element: HTMLElement,
		private readonly fullGrams: () => number
	) {}

	start(onsample: (sample: ForceSample) => void, ontrouble: (words: string) => void): () => void {
		const tell = (e: PointerEvent) => {
			// A mouse always says one half: it feels nothing.
			if (e.pointerType === 'mouse')
				return ontrouble('A mouse does not feel how hard it is pressed: use a pen, or the simulated pad.');
			onsample({ atMs: e.timeStamp, grams: e.pressure * this.fullGrams() });
		};
		const gone = (e: PointerEvent) => void (e.pointerType !== 'mouse' && onsample({ atMs: e.timeStamp, grams: 0 }));
		const kinds = ['pointerdown', 'pointermove'] as const;
		const ends = ['pointerup', 'pointercancel'] as const;
		for (const kind of kinds) this.element.addEventListener(kind, tell);
		for (const kind of ends) this.element.addEventListener(kind, gone);
		return () => {
			for (const kind of kinds) this.element.removeEventListener(kind, tell);
			for (const kind of ends) this.element.removeEventListener(kind, gone);
		};
	}
}
