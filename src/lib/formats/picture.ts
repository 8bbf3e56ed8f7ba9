import { imageSize } from 'image-size';

/** More pixels than these would not fit into the memory of a small device. */
const MOST_MEGAPIXELS = 64;
const FEWEST_PX = 200;
/** Larger files are no photographs of a face. */
const MOST_MEGABYTES = 60;

export interface PictureFacts {
	readonly widthPx: number;
	readonly heightPx: number;
	readonly type: string;
}
export type LookedAt =
	{ readonly ok: true; readonly facts: PictureFacts } | { readonly ok: false; readonly sentence: string };
const no = (sentence: string): LookedAt => ({ ok: false, sentence });

export const HEIC_SENTENCE =
	'This picture is in the HEIC format, which this browser cannot open. Set the phone to the most compatible format, or export the picture as JPEG, and choose it again.';
export const BROKEN_SENTENCE = 'This picture cannot be opened: the file is damaged or cut off. Choose another one.';

/** What a file says of its picture before it is opened: so that one that is too large never is. */
export function lookAtPicture(bytes: Uint8Array): LookedAt {
	if (!bytes.length) return no('The file is empty. Choose another one.');
	if (bytes.length > MOST_MEGABYTES * 2 ** 20)
		return no(`The file is larger than ${MOST_MEGABYTES} MB. Choose a smaller one, or export it as JPEG.`);
	let found: ReturnType<typeof imageSize>;
	try {
		found = imageSize(bytes);
	} catch {
		return no('This file is no picture that can be read here. Choose a JPEG, a PNG or a WebP.');
	}
	const { width, height, type = '' } = found;
	const megapixels = (width * height) / 1e6;
	if (megapixels > MOST_MEGAPIXELS)
		return no(
			`The picture has ${Math.round(megapixels)} megapixels; at most ${MOST_MEGAPIXELS} can be opened. Twelve are plenty: export it smaller and choose it again.`
		);
	if (Math.min(width, height) < FEWEST_PX)
		return no(
			`The picture is ${width} × ${height} px: too small to place points on. It needs ${FEWEST_PX} px each way.`
		);
	return { ok: true, facts: { widthPx: width, heightPx: height, type } };
}
