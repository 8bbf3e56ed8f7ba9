import { DetectorClient } from '../workers/detectorClient';
import type { SeenFace } from '../workers/protocol';

export type { SeenFace } from '../workers/protocol';
export type FaceSource = Pick<DetectorClient, 'look' | 'close'>;
export type Look = SeenFace | { readonly doubt: string };

/** Finds the face on a picture. Where that is not wished, or does not run, nothing is found, and all else works as without it. */
export class FaceFinder {
	/** It does not run here: nobody is asked again. */
	#failed = $state(false);
	/** @param wished whether the practice has chosen it: nothing of it is fetched before */
	constructor(
		private readonly wished: () => boolean = () => false,
		private readonly source: FaceSource = new DetectorClient()
	) {}
	get off(): boolean {
		return this.#failed || this.unwished;
	}
	get unwished(): boolean {
		return !this.wished();
	}

	/** @returns null where it does not run, or the picture cannot be opened */
	async look(picture: ImageBitmapSource, fine: boolean): Promise<Look | null> {
		if (this.off) return null;
		let bitmap: ImageBitmap;
		try {
			bitmap = await createImageBitmap(picture);
		} catch {
			return null;
		}
		try {
			return await this.source.look(bitmap, fine);
		} catch {
			this.#failed = true;
			return null;
		}
	}
	close = (): void => this.source.close();
}
