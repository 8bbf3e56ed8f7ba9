import type { Points } from '../core/measure/landmarks';
import type { Photo } from '../core/records/photo';
import type { Photos } from '../store/photos';
import type { PhotoBook } from './photoBook.svelte';
import { Placing } from './placing.svelte';

/** Runs what stores something, and says what went wrong. */
type Run = <T>(work: () => Promise<T>) => Promise<T | null>;

/** The photograph that is open for placing: what is placed is stored at once, one save after the other. */
export class PhotoPoints {
	photo: Photo;
	saving = $state(false);
	readonly placing: Placing;
	#waiting: Pick<Photo, 'points' | 'scale'> | null = null;
	#running: Promise<void> | null = null;

	private constructor(
		private readonly photos: Photos,
		photo: Photo,
		readonly url: string,
		earlier: Points | null,
		private readonly run: Run
	) {
		this.photo = $state.raw(photo);
		this.placing = new Placing(photo, earlier, (change) => {
			this.#waiting = change;
			this.#running ??= this.#save().finally(() => (this.#running = null));
		});
	}

	/** @returns null where there is no such photograph */
	static async open(photos: Photos, book: PhotoBook, id: string, run: Run): Promise<PhotoPoints | null> {
		const photo = await photos.get(id);
		if (!photo) return null;
		const others = await photos.of(photo.clientId);
		const earlier = others.findLast(
			(p) => p.id !== id && p.view === photo.view && p.takenAt <= photo.takenAt && Object.keys(p.points).length > 0
		);
		return new PhotoPoints(photos, photo, await book.urlOf(photo.fileId), earlier?.points ?? null, run);
	}

	async #save(): Promise<void> {
		this.saving = true;
		while (this.#waiting) {
			const change = this.#waiting;
			this.#waiting = null;
			const saved = await this.run(() => this.photos.save({ ...this.photo, ...change }));
			if (saved) this.photo = saved.record;
		}
		this.saving = false;
	}

	/** When all that was placed is stored. */
	settle = async (): Promise<void> => void (await this.#running);
}
