import * as Comlink from 'comlink';
import { comparePair, ownErrors } from '../core/measure/compare';
import { lightOf } from '../core/measure/light';
import { photograph, sitterOf, type Picture, type Sitter } from '../demo/camera/picture';
import { truthOf } from '../demo/camera/truth';
import { BROKEN_SENTENCE, HEIC_SENTENCE, lookAtPicture } from '../formats/picture';
import { luminanceOf } from './luminance';
import type { PhotoWorker, ReadPicture, Simulation, TakenPicture } from './protocol';

/** The longer side of a picture that is kept, and of a small one: points are placed to a few tenths of a mm on it. */
const KEPT_PX = 2000;
const SMALL_PX = 240;
const JPEG = 'image/jpeg';

/** A picture in a size, as JPEG: what a file says besides (place, device, hour) does not come along. */
async function asJpeg(source: ImageBitmap | OffscreenCanvas, longerPx: number, quality: number) {
	const share = Math.min(1, longerPx / Math.max(source.width, source.height));
	const [width, height] = [source.width, source.height].map((px) => Math.max(1, Math.round(px * share))) as [
		number,
		number
	];
	const canvas = new OffscreenCanvas(width, height);
	const context = canvas.getContext('2d')!;
	context.imageSmoothingQuality = 'high';
	context.drawImage(source, 0, 0, width, height);
	const blob = await canvas.convertToBlob({ type: JPEG, quality });
	return { type: JPEG, bytes: new Uint8Array(await blob.arrayBuffer()), widthPx: width, heightPx: height };
}

async function taken(source: ImageBitmap | OffscreenCanvas): Promise<TakenPicture> {
	const [picture, thumb] = [await asJpeg(source, KEPT_PX, 0.85), await asJpeg(source, SMALL_PX, 0.8)];
	return { picture, thumb, widthPx: picture.widthPx, heightPx: picture.heightPx };
}

/** The head of the last face: taken from another side, or in other light, it need not be built again. */
let last: { of: string; sitter: Sitter } | null = null;
function sitterFor({ face, quality }: Simulation): Sitter {
	const of = JSON.stringify([face, quality]);
	if (last?.of !== of) last = { of, sitter: sitterOf(face, quality) };
	return last.sitter;
}

function canvasOf({ widthPx, heightPx, data }: Picture): OffscreenCanvas {
	const canvas = new OffscreenCanvas(widthPx, heightPx);
	canvas.getContext('2d')!.putImageData(new ImageData(data, widthPx, heightPx), 0, 0);
	return canvas;
}

const worker: PhotoWorker = {
	async read(file): Promise<ReadPicture> {
		const looked = lookAtPicture(new Uint8Array(await file.arrayBuffer()));
		if (!looked.ok) return looked;
		let bitmap: ImageBitmap;
		try {
			bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
		} catch {
			return { ok: false, sentence: /hei[cf]/.test(looked.facts.type) ? HEIC_SENTENCE : BROKEN_SENTENCE };
		}
		try {
			return { ok: true, taken: await taken(bitmap) };
		} finally {
			bitmap.close();
		}
	},
	async light(file, points) {
		const bitmap = await createImageBitmap(file);
		const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
		const context = canvas.getContext('2d', { willReadFrequently: true })!;
		context.drawImage(bitmap, 0, 0);
		bitmap.close();
		return lightOf(points, luminanceOf(canvas));
	},
	async simulate(asked, progress) {
		progress(0);
		const sitter = sitterFor(asked);
		const canvas = canvasOf(photograph(sitter, asked.camera, progress));
		return { taken: await taken(canvas), truth: truthOf(sitter.head).seen(asked.camera) };
	},
	preview: (asked) => {
		const picture = photograph(sitterFor(asked), asked.camera);
		return Comlink.transfer(picture, [picture.data.buffer]);
	},
	compare({ before, after, primaries, retakes, view }, progress) {
		const own = ownErrors(retakes, view);
		return comparePair(before, after, { primaries, own, view, progress });
	}
};
Comlink.expose(worker);
