import type { Scale } from './photo.schema';
import type { Pixel } from './landmarks';
import { length, minus } from './vector';

/** Across the coloured ring of an eye, mm: it differs little between people (± 0.5). Working values. */
const [IRIS_MM, IRIS_SD_MM] = [11.7, 0.5];
/** How far beside its aim an end is placed, mm: of an iris, whose edge is soft, and of a marker. Working values. */
const [IRIS_END_MM, MARKER_END_MM] = [0.25, 0.2];
/** Irises and a marker that differ by more do not both say the truth. Working value. */
const SCALES_APART = 0.12;

export interface MmPerPx {
	readonly mmPerPx: number;
	/** Standard error of its logarithm: about its share. */
	readonly seLog: number;
	/** What it may be wrong by in all photographs of one person alike: it says nothing of a change. */
	readonly systematic: number;
}

const irisPx = (ends: readonly Pixel[]): number =>
	(length(minus(ends[0]!, ends[1]!)) + length(minus(ends[2]!, ends[3]!))) / 2;

/** mm of a px of a photograph; null where nothing tells. @throws {RangeError} for ends that coincide */
export function scaleOf(scale: Scale): MmPerPx | null {
	if (scale.kind === 'none') return null;
	const iris = scale.kind === 'iris';
	const px = iris ? irisPx(scale.ends) : length(minus(scale.ends[0], scale.ends[1]));
	if (!(px > 0)) throw new RangeError('the ends of what tells the size lie on one another');
	const mm = iris ? IRIS_MM : scale.lengthMm;
	// Two ends each; of two irises the mean.
	const endsMm = iris ? IRIS_END_MM : MARKER_END_MM * Math.SQRT2;
	return { mmPerPx: mm / px, seLog: endsMm / mm, systematic: iris ? IRIS_SD_MM / IRIS_MM : 0 };
}

/** By what share a marker says otherwise than the irises; null where they agree. */
export function scalesApart(marker: Scale, iris: Scale): number | null {
	const [a, b] = [scaleOf(marker), scaleOf(iris)];
	if (!a || !b) return null;
	const apart = a.mmPerPx / b.mmPerPx - 1;
	return Math.abs(apart) > SCALES_APART ? apart : null;
}
