import { minutesOfDayApart } from '../core/assess/change';
import type { PairComparison } from '../core/measure/compare';
import { lightDifference, type LightDifference } from '../core/measure/light';
import type { MeasuredView } from '../core/measure/landmarks';
import { driftSentence, poseDrift } from '../core/measure/poseDrift';
import type { PairMeasureId } from '../core/measure/pairIds';
import type { Photo } from '../core/records/photo';
import { measuredView, pointedOf, retakePairs, sessionPairs } from '../core/records/photoPairs';
import type { Photos } from '../store/photos';
import type { PhotoBook } from './photoBook.svelte';

/** Two photographs that are compared: their pictures, their light, and what the points say. */
export class PhotoPair {
	result = $state.raw<PairComparison | null>(null);
	/** How many pairs of retakes there are in the store. */
	retakes = $state(0);
	readonly #book: PhotoBook;

	private constructor(
		book: PhotoBook,
		readonly before: Photo,
		readonly after: Photo,
		readonly urls: readonly [string, string],
		readonly light: LightDifference | null,
		private readonly others: readonly Photo[]
	) {
		this.#book = book;
	}

	/** @returns a sentence where they cannot be compared at all */
	static async open(photos: Photos, book: PhotoBook, ids: readonly [string, string]): Promise<PhotoPair | string> {
		const [before, after] = await Promise.all(ids.map((id) => photos.get(id)));
		if (!before || !after)
			return 'One of the two photographs is not here: it was removed, or belongs to another browser.';
		if (before.clientId !== after.clientId) return 'The two photographs are of two clients. Choose two of one.';
		if (before.view !== after.view)
			return 'The two photographs show different sides of the face. Choose two of one side.';
		const urls = [await book.urlOf(before.fileId), await book.urlOf(after.fileId)] as const;
		const lights = [await book.lightOf(before), await book.lightOf(after)];
		const light = lights[0] && lights[1] ? lightDifference(lights[0], lights[1]) : null;
		return new PhotoPair(book, before, after, urls, light, await photos.all());
	}

	/** What is said of how she is steadily held otherwise after her sessions. */
	get drifts(): readonly string[] {
		return poseDrift(sessionPairs(this.others, this.before.clientId)).map(driftSentence);
	}
	/** How both are measured. */
	get view(): MeasuredView {
		return measuredView(this.before.view);
	}
	/** Minutes of the day between them, at most half a day. */
	get minutesApart(): number {
		const [a, b] = [this.before, this.after].map(({ takenAt }) => Date.parse(takenAt) / 60_000) as [number, number];
		return minutesOfDayApart(a, b);
	}
	get swapped(): boolean {
		return this.before.takenAt > this.after.takenAt;
	}

	/** How much of a comparison is done, 0 to 1; null at rest. */
	share = $state<number | null>(null);
	stopped = $state(false);

	async compare(primaries: readonly PairMeasureId[]): Promise<void> {
		const retakes = retakePairs(this.others, this.view);
		this.retakes = retakes.length;
		this.stopped = false;
		this.share = 0;
		const asked = {
			view: this.view,
			before: pointedOf(this.before, this.others),
			after: pointedOf(this.after, this.others),
			primaries,
			retakes
		};
		try {
			this.result = await this.#book.compare(asked, (share) => (this.share = share));
		} catch (error) {
			if (!this.stopped) throw error;
		} finally {
			this.share = null;
		}
	}
	/** Ends a comparison at once. */
	stop(): void {
		this.stopped = true;
		this.#book.cancel();
	}
}
