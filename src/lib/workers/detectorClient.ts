import * as Comlink from 'comlink';
import script from './detector.worker.ts?worker&url';
import { Lifeline } from './lifeline';
import { openWorker } from './openWorker';
import type { DetectorWorker, SeenFace } from './protocol';

/** Finds a face off the page; its weights are fetched with the first question. */
export class DetectorClient {
	readonly #line: Lifeline<DetectorWorker>;

	constructor(make: () => Worker = () => openWorker(script, 'wasm')) {
		this.#line = new Lifeline(make);
	}

	/**
	 * One face, how it is held and lit; or what speaks against it.
	 * @param fine looks closer, for points that may be suggested; else none are told
	 * @throws where the detector does not run: all works without it
	 */
	look = (bitmap: ImageBitmap, fine: boolean): Promise<SeenFace | { readonly doubt: string }> =>
		this.#line.ask<SeenFace | { readonly doubt: string }>((w) => w.look(Comlink.transfer(bitmap, [bitmap]), fine));
	close = (): void => this.#line.close();
}
