import { SIDES, type Side } from '$lib/core/atlas/places';
import { ZONE_IDS, type ZoneId } from '$lib/core/atlas/zones';
import { faceIndex, faceNetwork } from '$lib/core/flow/network';
import { rowAt, valueAt, type Tide } from '$lib/core/flow/tide';
import { undulation, xAt, type ScoreFrame } from '../../../parts/score/scoreGeometry';

/** Height of one ribbon's row and of the lane of marks above them, px. */
export const RIBBON_PX = 22;
export const LANE_PX = 15;
/** Half as thick as its row at most, so that two never touch. */
const MAX_HALF = 10.5;
/** Modelled tide of grade 4, per cent: above it the ribbon is capped. */
const FULL = 100;
/** One point every so many px is enough for a smooth bank. */
const POINT_EVERY_PX = 3;
/** A zone that never holds more than this grade is not shown. */
const LEAST_GRADE = 0.5;

const r1 = (n: number) => Math.round(n * 10) / 10;

/** Puffiness as the tide shows it: 100 is grade 4. */
export const tidePercent = (grade: number): number => 25 * grade;

export interface Ribbon {
	readonly zone: ZoneId;
	/** Columns of the tide's table, left and right. */
	readonly columns: readonly [number, number];
}

/** The zones that hold most at the start or in between, in anatomical order. */
export function ribbonsOf(tide: Tide, most: number): Ribbon[] {
	const { zoneCount } = faceNetwork();
	const ribbons = ZONE_IDS.map((zone): Ribbon & { peak: number } => {
		const columns = SIDES.map((side) => faceIndex(zone, side)) as [number, number];
		let peak = 0;
		for (let row = 0; row < tide.times.length; row++)
			for (const column of columns) peak = Math.max(peak, tide.grades[row * zoneCount + column]!);
		return { zone, columns, peak };
	}).filter((r) => r.peak >= LEAST_GRADE);
	const chosen = new Set(
		[...ribbons]
			.sort((a, b) => b.peak - a.peak)
			.slice(0, most)
			.map((r) => r.zone)
	);
	return ribbons.filter((r) => chosen.has(r.zone));
}

/** Grade of a zone and side at a moment. */
export const gradeAt = (tide: Tide, zone: ZoneId, side: Side, seconds: number): number =>
	valueAt(tide.grades, faceNetwork().zoneCount, faceIndex(zone, side), rowAt(tide, seconds));

/** Half thickness of a ribbon, px. */
const half = (grade: number): number => Math.min(MAX_HALF, 0.105 * tidePercent(grade));

export interface RibbonShape {
	/** The whole ribbon, and the quieter one inside it. */
	readonly body: string;
	readonly inner: string;
	/** The bank of the client's left, above, and of the right, below. */
	readonly banks: readonly [string, string];
	/** Where both banks would be had nothing changed. */
	readonly highWater: string;
	/** Stretches that stand above grade 4. */
	readonly beyond: string;
}

/** A ribbon as paths: its upper half is the client's left, its lower half the right. */
export function ribbonShape(tide: Tide, ribbon: Ribbon, frame: ScoreFrame, y: number, index: number): RibbonShape {
	const { zoneCount } = faceNetwork();
	const centre = (x: number) => y + 0.62 * undulation(frame, x + 23 * index);
	const points: { x: number; c: number; up: number; down: number; over: boolean }[] = [];
	let lastX = -Infinity;
	for (let row = 0; row < tide.times.length; row++) {
		const x = xAt(frame, tide.times[row]!);
		if (x - lastX < POINT_EVERY_PX && row < tide.times.length - 1) continue;
		lastX = x;
		const [left, right] = ribbon.columns.map((c) => tide.grades[row * zoneCount + c]!) as [number, number];
		points.push({
			x: r1(x),
			c: centre(x),
			up: half(left),
			down: half(right),
			over: tidePercent(Math.max(left, right)) > FULL
		});
	}
	const line = (of: (p: (typeof points)[number]) => number, list = points) =>
		list.map((p, i) => `${i ? 'L' : 'M'}${p.x} ${r1(of(p))}`).join('');
	const back = (of: (p: (typeof points)[number]) => number) =>
		[...points]
			.reverse()
			.map((p) => `L${p.x} ${r1(of(p))}`)
			.join('');
	const first = points[0];
	if (!first) return { body: '', inner: '', banks: ['', ''], highWater: '', beyond: '' };
	const inner = (h: number) => Math.min(2.8, h / 2);
	return {
		body: `${line((p) => p.c - p.up)}${back((p) => p.c + p.down)}Z`,
		inner: `${line((p) => p.c - inner(p.up))}${back((p) => p.c + inner(p.down))}Z`,
		banks: [line((p) => p.c - p.up), line((p) => p.c + p.down)],
		highWater: line((p) => p.c - first.up) + line((p) => p.c + first.down),
		beyond: points.flatMap((p) => (p.over ? [`M${p.x} ${r1(p.c - MAX_HALF)}v-1.6`] : [])).join('')
	};
}
