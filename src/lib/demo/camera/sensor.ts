import { randomNormal } from 'd3-random';
import { seededRandom } from '../../core/random';
import type { StudyCamera } from './face.schema';

const LEVELS = 4096;
const TO_SCREEN = Uint8Array.from({ length: LEVELS + 1 }, (_, i) => {
	const v = i / LEVELS;
	return Math.round(255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055));
});
const GRAINS = 8192;

/** Several samples a pixel made one. */
function averaged(light: Float32Array, width: number, height: number, samples: number): Float32Array {
	if (samples === 1) return light;
	const made = new Float32Array(width * height * 3);
	for (let y = 0; y < height; y++)
		for (let x = 0; x < width * 3; x++) {
			const [pixel, c] = [Math.trunc(x / 3), x % 3];
			let sum = 0;
			for (let j = 0; j < samples; j++)
				for (let i = 0; i < samples; i++)
					sum += light[((y * samples + j) * width * samples + pixel * samples + i) * 3 + c]!;
			made[y * width * 3 + x] = sum / (samples * samples);
		}
	return made;
}

/** Blurs along one way: `count` lines of `size` pixels, so far apart. */
function blurAlong(
	light: Float32Array,
	kernel: readonly number[],
	lines: number,
	line: number,
	size: number,
	step: number
): void {
	const reach = (kernel.length - 1) / 2;
	const copy = new Float32Array(size);
	for (let l = 0; l < lines; l++)
		for (let c = 0; c < 3; c++) {
			const first = l * line + c;
			for (let i = 0; i < size; i++) copy[i] = light[first + i * step]!;
			for (let i = 0; i < size; i++) {
				let sum = 0;
				for (let k = -reach; k <= reach; k++) sum += copy[Math.max(0, Math.min(size - 1, i + k))]! * kernel[k + reach]!;
				light[first + i * step] = sum;
			}
		}
}

/** What the sensor makes of the light: blur, roll-off of the bright end, grain by the seed; red, green, blue and opaque. */
export function developed(
	light: Float32Array,
	{ widthPx, heightPx, samples, blurPx, noise, seed }: StudyCamera
): Uint8ClampedArray<ArrayBuffer> {
	const picture = averaged(light, widthPx, heightPx, samples);
	if (blurPx > 0) {
		const reach = Math.max(1, Math.ceil(blurPx * 2.5));
		const raw = Array.from({ length: 2 * reach + 1 }, (_, i) => Math.exp(-((i - reach) ** 2) / (2 * blurPx * blurPx)));
		const total = raw.reduce((a, b) => a + b, 0);
		const kernel = raw.map((k) => k / total);
		blurAlong(picture, kernel, heightPx, widthPx * 3, widthPx, 3);
		blurAlong(picture, kernel, widthPx, 3, heightPx, widthPx * 3);
	}
	const random = seededRandom(seed);
	const grain = randomNormal.source(random)();
	const grains = Float32Array.from({ length: GRAINS }, grain);
	const made = new Uint8ClampedArray(widthPx * heightPx * 4);
	let state = Math.floor(random() * 2 ** 30) | 1;
	for (let p = 0; p < widthPx * heightPx; p++) {
		for (let c = 0; c < 3; c++) {
			const light = Math.max(0, picture[p * 3 + c]!);
			let v = (light / (1 + 0.12 * light * light)) * 1.02;
			state ^= state << 13;
			state ^= state >>> 17;
			state ^= state << 5;
			v += noise * grains[state & (GRAINS - 1)]! * Math.sqrt(0.12 + v);
			made[p * 4 + c] = TO_SCREEN[(Math.min(1, Math.max(0, v)) * LEVELS + 0.5) | 0]!;
		}
		made[p * 4 + 3] = 255;
	}
	return made;
}
