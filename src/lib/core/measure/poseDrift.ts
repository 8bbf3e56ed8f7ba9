import { meanInterval } from '../statistics/meanInterval';
import { poseOf } from './compare';
import type { PointedPhoto } from './photo.schema';

/** A steady difference in how the head is held: a little of it stays in every change. */
export interface PoseDrift {
	readonly axis: 'yaw' | 'pitch';
	/** Degrees, > 0: the nose to the viewer’s right, the chin up; with its 95 % interval. */
	readonly middle: number;
	readonly low: number;
	readonly high: number;
	readonly pairs: number;
}
/** Fewer pairs do not tell a habit. */
const LEAST_PAIRS = 3;
/** A mean of less is none. Working value, degrees. */
const LEAST_DEGREES = 1;

/**
 * Whether the second photographs of many pairs are held steadily otherwise than the first: what is taken away of a turn
 * leaves a fifth to a third of it, and a steady turn would be seen as a steady change.
 * @param pairs before and after of the sessions of one client
 * @returns the axes whose interval lies beyond one degree altogether
 */
export function poseDrift(pairs: readonly (readonly [PointedPhoto, PointedPhoto])[]): PoseDrift[] {
	const poses = pairs.flatMap(([a, b]) => poseOf(a, b) ?? []);
	if (poses.length < LEAST_PAIRS) return [];
	return (['yaw', 'pitch'] as const).flatMap((axis): PoseDrift[] => {
		const degrees = poses.map((pose) => pose[axis]);
		const { middle, low, high } = meanInterval(degrees);
		return low > LEAST_DEGREES || high < -LEAST_DEGREES ? [{ axis, middle, low, high, pairs: degrees.length }] : [];
	});
}

/** What is said of it. */
export function driftSentence({ axis, middle, low, high, pairs }: PoseDrift): string {
	const way =
		axis === 'pitch'
			? middle > 0
				? 'the chin is higher'
				: 'the chin is lower'
			: `the head is turned more to her ${middle > 0 ? 'left' : 'right'}`;
	const [a, b] = [Math.abs(low), Math.abs(high)].sort((x, y) => x - y);
	return `Over ${pairs} sessions ${way} after than before, by ${Math.abs(middle).toFixed(1)}° (${a!.toFixed(1)} to ${b!.toFixed(1)}): a steady difference feigns a steady change. Match the earlier picture at the camera.`;
}
