import type { ScoreFrame } from './scoreGeometry';
import { xAt } from './scoreGeometry';
import type { ScoreStep } from './scoreLayout';

/** Widest drawing, px: beyond it a browser no longer draws sharply. */
const MAX_WIDTH = 240_000;
/** More steps than this in sight are drawn as a silhouette: each is a few pixels wide, details would not be seen. */
export const SILHOUETTE_FROM = 320;
/** Shortest stretch that fills the view, seconds. */
export const MIN_SECONDS = 8;

/** Width of the whole drawing when so many seconds fill the view, px. */
export const widthFor = (viewWidth: number, total: number, seconds: number): number =>
	Math.min(MAX_WIDTH, Math.max(viewWidth, seconds > 0 ? (viewWidth * total) / seconds : viewWidth));

/** The next zoom, in or out by about a third, between a few seconds and the whole. */
export const zoomed = (seconds: number, total: number, by: -1 | 1): number =>
	Math.min(Math.max(MIN_SECONDS, total), Math.max(MIN_SECONDS, by > 0 ? seconds / 1.4 : seconds * 1.4));

/** The steps that lie in sight, with half a view beyond each edge. */
export function stepsInSight(
	steps: readonly ScoreStep[],
	frame: ScoreFrame,
	scrollLeft: number,
	viewWidth: number
): readonly ScoreStep[] {
	const [from, to] = [scrollLeft - viewWidth / 2, scrollLeft + viewWidth * 1.5];
	if (from <= frame.x0 && to >= frame.x1) return steps;
	return steps.filter((s) => xAt(frame, s.endSeconds) >= from && xAt(frame, s.startSeconds) <= to);
}

/** Many narrow steps as one outline a tone: a block as high as the pressure, on each side that is worked. */
export function silhouettes(steps: readonly ScoreStep[], frame: ScoreFrame): { tone: string; d: string }[] {
	const paths = new Map<string, string>();
	for (const step of steps)
		for (const span of step.spans) {
			const [a, b] = [xAt(frame, span.startSeconds), xAt(frame, span.endSeconds)];
			const h = span.dir * (frame.bar / 2 + frame.heights[step.level]);
			const d = `M${a.toFixed(1)} ${frame.mid}v${h}H${Math.max(a + 0.6, b).toFixed(1)}v${-h}z`;
			paths.set(step.tone, (paths.get(step.tone) ?? '') + d);
		}
	return [...paths].map(([tone, d]) => ({ tone, d }));
}

/** The count that a swell of another width stands for; at least one. */
export const countFor = (target: number, width: number, wish: number): number =>
	Math.max(1, Math.round((target * Math.max(1, wish)) / Math.max(1, width)));

/** The pressure level whose swell is about so high, px. */
export function levelFor(heights: ScoreFrame['heights'], height: number): 0 | 1 | 2 | 3 | 4 {
	const distances = heights.map((h) => Math.abs(h - height));
	return distances.indexOf(Math.min(...distances)) as 0 | 1 | 2 | 3 | 4;
}

/** The step before which a dragged one would come to stand at a moment; null at the end. */
export function stepBefore(steps: readonly ScoreStep[], seconds: number): ScoreStep | null {
	return steps.find((s) => (s.startSeconds + s.endSeconds) / 2 > seconds) ?? null;
}
