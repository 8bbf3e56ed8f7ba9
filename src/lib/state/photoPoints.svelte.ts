import type { FrontPoint, Points } from '../core/measure/landmarks';
import { learntOffsets, withLearnt, type Corrected, type LearntOffsets } from '../core/measure/learnt';
import type { Photo } from '../core/records/photo';
import type { Photos } from '../store/photos';
import type { PhotoBook } from './photoBook.svelte';
import { Placing } from './placing.svelte';
import { SaveLoop } from './saveLoop.svelte';

/** The photograph that is open for placing: what is placed is stored at once, one save after the other. */
export class PhotoPoints {
	photo: Photo;
	readonly saving: SaveLoop<Photo>;
	/** Why nothing is suggested, or that it is being looked for; empty otherwise. */
	suggesting = $state('');
	readonly placing: Placing;
	/** Where she usually has points beside where they are suggested. */
	readonly #offsets: LearntOffsets;

	private constructor(
		photos: Photos,
		private readonly book: PhotoBook,
		photo: Photo,
		readonly url: string,
		others: readonly Photo[]
	) {
		this.photo = $state.raw(photo);
		this.saving = new SaveLoop(
			(onto) => photos.save(this.photo, onto),
			({ revision, updatedAt }) => (this.photo = { ...this.photo, revision, updatedAt })
		);
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
	static async open(photos: Photos, book: PhotoBook, id: string): Promise<PhotoPoints | null> {
		const photo = await photos.get(id);
		if (!photo) return null;
		const others = (await photos.of(photo.clientId)).filter((p) => p.id !== id);
		return new PhotoPoints(photos, book, photo, await book.urlOf(photo.fileId), others);
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
		this.photo = { ...this.photo, ...change };
		void this.saving.changed();
	}

	/** When all that was placed is stored, or it is known why not. */
	settle = (): Promise<void> => this.saving.changed();
	/** Stores what was removed elsewhere as a new record. */
	keepAsNew(): void {
		this.photo = { ...this.photo, revision: 0 };
		void this.saving.resume();
	}
}
