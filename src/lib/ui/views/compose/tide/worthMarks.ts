import { MATTERS_SHARE } from '$lib/core/flow/words';
import type { AllWorth, StepEffect } from '$lib/core/flow/worth';
import { xAt, type ScoreFrame } from '../../../parts/score/scoreGeometry';

/** Height of the lane of soundings, px, and of its head. */
export const WORTH_PX = 54;
const HEAD_PX = 8;
/** Narrowest sounding, px. */
const THIN_PX = 3;

/** A sounding: how deep a step reaches, in the middle and in nine of ten faces. All px in the lane. */
export interface WorthMark {
	readonly stepId: string;
	readonly x: number;
	readonly width: number;
	/** Where nothing is moved, and how deep the middle reaches: above it where a step does harm. */
	readonly zero: number;
	readonly middle: number;
	readonly low: number;
	readonly high: number;
	readonly matters: boolean;
}

type Spans = ReadonlyMap<string, { readonly startSeconds: number; readonly endSeconds: number }>;

export const mattersIn = ({ ofStart }: Pick<StepEffect, 'ofStart'>): boolean =>
	Math.abs(ofStart.median) >= MATTERS_SHARE;

/** Below this nothing is said to matter, ml. */
export const bandMl = ({ startMl }: AllWorth): number => MATTERS_SHARE * startMl;

/** Largest effect of a layer, ml: what the full depth stands for. The band of what does not matter is always in sight. */
export const deepestMl = (all: AllWorth): number =>
	Math.max(1.5 * bandMl(all), ...all.steps.flatMap(({ ml }) => [Math.abs(ml.p5), Math.abs(ml.p95)]));

/** Where a layer's line of nothing lies, and how deep an amount reaches, px in the lane. */
export function depthsOf(all: AllWorth): { readonly zero: number; readonly y: (ml: number) => number } {
	const most = deepestMl(all);
	const harm = Math.max(0, ...all.steps.map(({ ml }) => -ml.p5));
	const room = WORTH_PX - HEAD_PX - 4;
	const zero = HEAD_PX + (harm / (most + harm)) * room;
	return { zero, y: (ml) => zero + (ml / (most + harm)) * room };
}

/** All soundings of a layer over the time of the score. */
export function worthMarks(all: AllWorth, spans: Spans, frame: ScoreFrame): WorthMark[] {
	const { zero, y } = depthsOf(all);
	return all.steps.flatMap((effect): WorthMark[] => {
		const span = spans.get(effect.stepId);
		if (!span) return [];
		const [from, to] = [xAt(frame, span.startSeconds), xAt(frame, span.endSeconds)];
		const width = Math.max(THIN_PX, Math.min(22, (to - from) * 0.6));
		return [
			{
				stepId: effect.stepId,
				x: (from + to - width) / 2,
				width,
				zero,
				middle: y(effect.ml.median),
				low: y(effect.ml.p5),
				high: y(effect.ml.p95),
				matters: mattersIn(effect)
			}
		];
	});
}
