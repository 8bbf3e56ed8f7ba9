import { expect, test } from 'vitest';
import { lookAtPicture } from './picture';

/** The head of a PNG, which is all that is looked at. */
function png(width: number, height: number): Uint8Array {
	const bytes = new Uint8Array(40);
	bytes.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52]);
	new DataView(bytes.buffer).setUint32(16, width);
	new DataView(bytes.buffer).setUint32(20, height);
	return bytes;
}
const sentence = (bytes: Uint8Array) => {
	const looked = lookAtPicture(bytes);
	return looked.ok ? '' : looked.sentence;
};

test('a picture of usual size is taken', () => {
	expect(lookAtPicture(png(3000, 4000))).toEqual({ ok: true, facts: { widthPx: 3000, heightPx: 4000, type: 'png' } });
});
test('what cannot be used is said, with what to do', () => {
	expect(sentence(new Uint8Array())).toMatch(/empty/);
	expect(sentence(new TextEncoder().encode('no picture at all, but long enough to look at'))).toMatch(/JPEG, a PNG/);
	expect(sentence(png(30_000, 30_000))).toMatch(/900 megapixels; at most 64/);
	expect(sentence(png(120, 90))).toMatch(/too small/);
	expect(sentence(png(3000, 4000).subarray(0, 12))).toMatch(/no picture/);
});
