import type { FrontPoint, Points } from '../core/measure/landmarks';
import type { Light } from '../core/measure/light';
import type { Photo } from '../core/records/photo';
import type { Settings } from '../core/records/settings';
import type { NewPhoto, Photos } from '../store/photos';
import { FaceFinder } from './faceFinder.svelte';
import { nearlyFull, storageTrouble } from '../store/plainWords';
import { PhotoClient } from '../workers/photoClient';
import type { ComparePhotos, Simulation, TakenPicture } from '../workers/protocol';

export type { Simulation } from '../workers/protocol';
export type PhotoSource = Pick<PhotoClient, 'read' | 'light' | 'simulate' | 'preview' | 'compare' | 'close'>;
/** Of whom, when and from which side. */
export type Taking = Pick<NewPhoto, 'clientId' | 'sessionId' | 'when' | 'view' | 'takenAt'>;

/** Where a face is not looked for, and where that is changed. */
const NOT_WISHED =
	'Points are suggested only where it is turned on: Settings, Photographs. Place them by hand, or turn it on first.';

/** Photographs on their way in, and those that are looked at. */
export class PhotoBook {
	/** What is being done, as a sentence; empty at rest. */
	doing = $state('');
	/** How far it is, 0 to 1; null where that is not known. */
	share = $state<number | null>(null);
	/** What went wrong with the last picture, and what to do. */
	trouble = $state('');
	/** That the place for records is nearly full, and what to do; empty otherwise. */
	room = $state('');
	/** A picture that may be no front photograph of one person, why, and how it is brought in all the same. */
	doubt = $state.raw<{ readonly words: string; readonly accept: () => Promise<Photo | null> } | null>(null);
	/** Addresses of pictures that are shown, by their file. */
	#urls = new Map<string, string>();

	constructor(
		private readonly photos: Photos,
		readonly finder: FaceFinder = new FaceFinder(),
		private readonly source: PhotoSource = new PhotoClient()
	) {}

	async #run<T>(doing: string, work: () => Promise<T | null>): Promise<T | null> {
		if (this.doing) return null;
		this.doing = doing;
		this.trouble = '';
		this.doubt = null;
		this.share = null;
		try {
			return await work();
		} catch (error) {
			this.trouble = storageTrouble(error);
			return null;
		} finally {
			this.doing = '';
			this.share = null;
		}
	}

	async #keep(
		{ picture, thumb, widthPx, heightPx }: TakenPicture,
		taking: Taking,
		more: Pick<NewPhoto, 'source' | 'truth' | 'distanceMm'>
	): Promise<Photo> {
		const made = { ...taking, ...more, widthPx, heightPx, points: {}, suggested: {}, note: '' };
		const photo = await this.photos.add({ ...made, scale: { kind: 'none' } }, picture, thumb);
		this.room = await nearlyFull();
		return photo;
	}

	/** Whether it shows one face from the front; empty where nothing speaks against it. */
	async #doubtOf({ picture }: TakenPicture, { view }: Taking): Promise<string> {
		if (view !== 'front') return '';
		const look = await this.finder.look(new Blob([picture.bytes], { type: picture.type }), false);
		return look && 'doubt' in look ? look.doubt : '';
	}
	/** Brings a picture in; says why where it cannot be used. Nothing is stored then. */
	addFile = (file: Blob, taking: Taking, source: 'camera' | 'file' = 'file'): Promise<Photo | null> =>
		this.#run('Opening the picture …', async () => {
			const read = await this.source.read(file);
			if (!read.ok) {
				this.trouble = read.sentence;
				return null;
			}
			const { taken } = read;
			const keep = () => this.#keep(taken, taking, { source, truth: null, distanceMm: null });
			const words = await this.#doubtOf(taken, taking);
			if (!words) return keep();
			this.doubt = { words, accept: () => this.#run('Opening the picture …', keep) };
			return null;
		});
	/** Takes a picture with the simulated camera; it knows where the points are. */
	addSimulated = (simulation: Simulation, taking: Taking): Promise<Photo | null> =>
		this.#run('The simulated camera takes the picture …', async () => {
			const made = await this.source.simulate(simulation, (share) => (this.share = share));
			return this.#keep(made.taken, taking, {
				source: 'simulated',
				truth: made.truth as Photo['truth'],
				distanceMm: simulation.camera.distanceMm
			});
		});
	preview = (simulation: Simulation) => this.source.preview(simulation);
	compare = (asked: ComparePhotos, progress: (share: number) => void) => this.source.compare(asked, progress);

	/** The address under which a picture is shown; empty where its file is not there. */
	async urlOf(fileId: string): Promise<string> {
		const known = this.#urls.get(fileId);
		if (known) return known;
		const blob = await this.blobOf(fileId);
		if (!blob) return '';
		const url = URL.createObjectURL(blob);
		this.#urls.set(fileId, url);
		return url;
	}
	/** The picture itself; null where its file is not there. */
	async blobOf(fileId: string): Promise<Blob | null> {
		const file = await this.photos.file(fileId);
		return file ? new Blob([file.bytes as Uint8Array<ArrayBuffer>], { type: file.type }) : null;
	}
	/** Points that may be suggested on a front photograph, or why there are none. */
	async suggest(photo: Photo): Promise<Points<FrontPoint> | string> {
		const blob = await this.blobOf(photo.fileId);
		const look = blob ? await this.finder.look(blob, true) : null;
		if (!look && this.finder.unwished) return NOT_WISHED;
		if (!look) return 'Points cannot be suggested in this browser. Place them by hand: all else works.';
		return 'doubt' in look ? look.doubt : look.points;
	}
	/** How a photograph is lit, by the points on it; null where they do not suffice. */
	async lightOf(photo: Photo): Promise<Light | null> {
		const blob = photo.view === 'front' ? await this.blobOf(photo.fileId) : null;
		return blob && this.source.light(blob, photo.points as Points<FrontPoint>);
	}

	/** Ends what is being done, at once. */
	cancel(): void {
		this.source.close();
	}
	close(): void {
		this.source.close();
		this.finder.close();
		for (const url of this.#urls.values()) URL.revokeObjectURL(url);
		this.#urls.clear();
	}
}

/** The photographs of a practice; a face is looked for where its settings say so. */
export const photoBookOf = (app: {
	readonly repo: { readonly photos: Photos };
	readonly settings: Settings | null;
}): PhotoBook => new PhotoBook(app.repo.photos, new FaceFinder(() => app.settings?.findsFaces ?? false));
