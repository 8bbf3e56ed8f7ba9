import type { Light } from '../core/measure/light';
import type { FrontPoint, Points } from '../core/measure/landmarks';
import type { PairComparison } from '../core/measure/compare';
import type { Picture } from '../demo/camera/picture';
import script from './photo.worker.ts?worker&url';
import { openWorker } from './openWorker';
import { Lifeline } from './lifeline';
import type { ComparePhotos, PhotoWorker, ReadPicture, SimulatedPicture, Simulation } from './protocol';

const open = () => openWorker(script);

/** Opens, shrinks, lights, simulates and compares photographs off the page. */
export class PhotoClient {
	readonly #line: Lifeline<PhotoWorker>;

	constructor(make: () => Worker = open) {
		this.#line = new Lifeline(make);
	}

	/** A file made upright, no larger than is needed, without what it says of place and device; or why it cannot be used. */
	read = (file: Blob): Promise<ReadPicture> => this.#line.ask<ReadPicture>((w) => w.read(file) as Promise<ReadPicture>);
	light = (file: Blob, points: Points<FrontPoint>): Promise<Light | null> =>
		this.#line.ask((w) => w.light(file, points));
	/** @param progress told how much is done, 0 to 1 */
	simulate = (asked: Simulation, progress: (share: number) => void): Promise<SimulatedPicture> =>
		this.#line.ask<SimulatedPicture>(
			(w, whileAsked) => w.simulate(asked, whileAsked(progress)) as Promise<SimulatedPicture>
		);
	preview = (asked: Simulation): Promise<Picture> =>
		this.#line.ask<Picture>((w) => w.preview(asked) as Promise<Picture>);
	/** @param progress told how much is done, 0 to 1 */
	compare = (asked: ComparePhotos, progress: (share: number) => void): Promise<PairComparison> =>
		this.#line.ask<PairComparison>(
			(w, whileAsked) => w.compare(asked, whileAsked(progress)) as Promise<PairComparison>
		);
	/** Ends what it does, at once. */
	close = (): void => this.#line.close();
}
