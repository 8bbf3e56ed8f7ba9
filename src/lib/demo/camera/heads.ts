import { randomNormal } from 'd3-random';
import { seededRandom } from '../../core/random';
import { StudyFaceSchema, type StudyFace } from './face.schema';

/** Made-up people who differ as people do: for measuring what a measure is worth. The same seed gives the same ones. */
export function someFaces(count: number, seed: number): StudyFace[] {
	const normal = randomNormal.source(seededRandom(seed))();
	const around = (middle: number, sd: number, low: number, high: number) =>
		Math.min(high, Math.max(low, middle + sd * normal()));
	const both = (name: string, middle: number, sd: number, low: number, high: number) => {
		const value = around(middle, sd, low, high);
		return { [`${name}L`]: value, [`${name}R`]: Math.min(high, Math.max(low, value + 0.2 * sd * normal())) };
	};
	return Array.from({ length: count }, () =>
		StudyFaceSchema.parse({
			faceWidth: around(1, 0.025, 0.93, 1.07),
			jawWidth: around(1, 0.03, 0.92, 1.08),
			noseScale: around(1, 0.04, 0.88, 1.12),
			chin: around(0, 0.8, -2, 2),
			submental: around(1, 0.8, 0, 4),
			...both('bag', 1, 0.8, 0, 4),
			...both('malar', 0, 0.8, -2, 2),
			...both('buccal', 0, 0.8, -2, 2),
			...both('jowl', 0.8, 0.7, 0, 4),
			...both('masseter', 0, 0.8, -2, 2),
			...both('brow', 0, 1.2, -3, 3),
			...both('open', 0, 0.5, -1.5, 1.5),
			...both('corner', 1.1, 0.7, -2, 3)
		})
	);
}
