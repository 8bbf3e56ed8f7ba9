import type { FrontPoint, Points } from '../core/measure/landmarks';
import { learntOffsets, withLearnt, type Corrected, type LearntOffsets } from '../core/measure/learnt';
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
	/** Why nothing is suggested, or that it is being looked for; empty otherwise. */
	suggesting = $state('');
	readonly placing: Placing;
	#waiting: Partial<Photo> | null = null;
	/** Where she usually has points beside where they are suggested. */
	readonly #offsets: LearntOffsets;
	#running: Promise<void> | null = null;

	private constructor(
		private readonly photos: Photos,
		private readonly book: PhotoBook,
		photo: Photo,
		readonly url: string,
		others: readonly Photo[],
		private readonly run: Run
	) {
		this.photo = $state.raw(photo);
		const earlier = others.findLast(
			(p) => p.view === photo.view && p.takenAt <= photo.takenAt && Object.keys(p.points).length > 0
		);
		this.#offsets = learntOffsets(others as readonly Corrected[]);
		this.placing = new Placing(photo, (earlier?.points as Points | undefined) ?? null, (change) => {
			this.#keep(change);
		});
		this.placing.offer(withLearnt(photo.suggested as Points<FrontPoint>, this.#offsets));
	}

	/** @returns null where there is no such photograph */
	static async open(photos: Photos, book: PhotoBook, id: string, run: Run): Promise<PhotoPoints | null> {
		const photo = await photos.get(id);
		if (!photo) return null;
		const others = (await photos.of(photo.clientId)).filter((p) => p.id !== id);
		return new PhotoPoints(photos, book, photo, await book.urlOf(photo.fileId), others, run);
	}

	/** Looks for the points that align and scale; what is found is suggested, and placed by nobody but her. */
	async suggest(): Promise<void> {
		this.suggesting = 'Looking for points …';
		const found = await this.book.suggest(this.photo);
		this.suggesting = typeof found === 'string' ? found : '';
		if (typeof found === 'string') return;
		this.placing.offer(withLearnt(found, this.#offsets));
		this.#keep({ suggested: found as Photo['suggested'] });
	}
	#keep(change: Partial<Photo>): void {
		this.#waiting = { ...this.#waiting, ...change };
		this.#running ??= this.#save().finally(() => (this.#running = null));
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
