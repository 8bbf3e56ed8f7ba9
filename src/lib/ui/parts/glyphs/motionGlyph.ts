import type { Motion } from '$lib/core/vocabulary/vocabulary';

/** The path of the finger seen from above, in a field of 22 by 16: every glyph follows from these few numbers. */
interface MotionShape {
	readonly from: readonly [number, number];
	readonly to: readonly [number, number];
	/** How far the way bows out to its left. */
	readonly bow?: number;
	/** Swings across the way: how many, how wide, and whether they are sharp, or only to one side as when something bounces. */
	readonly waves?: number;
	readonly swing?: number;
	readonly kind?: 'round' | 'sharp' | 'bounce';
	/** Turns round a centre that goes along the way. */
	readonly turns?: number;
	readonly radius?: number;
	/** It leads somewhere: an arrow at its end. */
	readonly head?: boolean;
	/** Hands that move; the second mirrors the first. */
	readonly hands?: 1 | 2;
	/** The skin is held and moves along: dashed lines beside it. */
	readonly held?: boolean;
	/** Rays from the start instead of one way. */
	readonly rays?: number;
	/** Rings about the place: it is pressed and stays. */
	readonly rings?: number;
}

const HERE = [11, 8] as const;
const RISE = { from: [3.5, 12], to: [18.5, 4.5] } as const;
const FLAT = { from: [3, 9], to: [19, 9] } as const;
const SHAPES: Record<Motion, MotionShape> = {
	'press-hold': { from: HERE, to: HERE, rings: 1 },
	pump: { from: HERE, to: HERE, turns: 0.86, radius: 4.6, head: true },
	stroke: { ...RISE, bow: -2, head: true },
	sweep: { from: [3, 13], to: [19, 5], bow: 5, head: true },
	'squeeze-stroke': { ...RISE, head: true, hands: 2, bow: 2.4 },
	'hand-over-hand': { ...RISE, waves: 3, swing: 2.2, kind: 'bounce', head: true },
	'lift-hold': { from: [11, 13], to: [11, 4], head: true, held: true },
	flick: { from: [5, 12], to: [17, 4], bow: 3, head: true, waves: 1, swing: 0.8 },
	zigzag: { ...FLAT, waves: 2.5, swing: 3.4, kind: 'sharp' },
	wiggle: { from: [6, 8], to: [16, 8], waves: 4, swing: 1.6, kind: 'round' },
	'c-stroke': { from: [15, 3.5], to: [15, 12.5], bow: -9, head: true },
	fan: { from: [3.5, 12.5], to: [18, 8], rays: 3, head: true },
	'figure-eight': { from: HERE, to: HERE, turns: 1, radius: 6.4, waves: 2, swing: 3.6 },
	'pinned-circle': { from: HERE, to: HERE, turns: 0.86, radius: 2.8, head: true, held: true },
	vibrate: { from: [3, 7], to: [19, 7], waves: 5, swing: 2, kind: 'sharp', held: true },
	knead: { from: [4, 8], to: [18, 8], waves: 1, swing: 3.6, kind: 'round', hands: 2 },
	'pinch-roll': { from: [3, 12], to: [19, 12], waves: 1, swing: 5.5, kind: 'bounce', turns: 0, head: true },
	'skin-lift': { from: [3, 13], to: [19, 13], waves: 1, swing: 9, kind: 'bounce' },
	'sliding-circle': { ...RISE, turns: 2, radius: 2.6, head: true },
	'l-stroke': { from: [5, 3], to: [18.5, 11.5], bow: -5.5, head: true },
	'j-stroke': { from: [15, 3], to: [5.5, 9], bow: 7, head: true },
	'j-pump': { from: [14, 4], to: [7.5, 9], bow: 5, head: true, rings: 1 },
	rock: { from: [4, 8], to: [18, 8], waves: 1, swing: 3.2, kind: 'round', held: true },
	'tap-along': { ...RISE, waves: 4, swing: 3.4, kind: 'bounce', head: true },
	'skin-stretch': { from: [6, 8], to: [16.5, 8], head: true, rings: 1 },
	'opposed-stretch': { from: [12.5, 8], to: [19, 8], head: true, hands: 2 },
	tap: { from: [3.5, 12], to: [18.5, 12], waves: 3, swing: 7, kind: 'bounce' },
	scoop: { from: [4, 4.5], to: [18, 4.5], bow: -8, head: true },
	scrape: { ...FLAT, head: true, held: true },
	resisted: { from: [4, 8], to: [10, 8], head: true, hands: 2 },
	'head-circles': { from: HERE, to: HERE, turns: 0.9, radius: 6.2, head: true, rings: 1 },
	'jaw-opening': { from: [11, 4], to: [11, 13], head: true, hands: 2 },
	'active-stretch': { from: [11, 13], to: [11, 3], head: true, rings: 1 },
	none: { from: HERE, to: HERE }
};

export interface MotionDrawing {
	/** Ways of the hands. */
	readonly ways: readonly string[];
	readonly heads: readonly string[];
	/** Where each hand starts. */
	readonly starts: readonly (readonly [number, number])[];
	readonly held: readonly string[];
	/** Radii of the rings about the middle. */
	readonly rings: readonly number[];
}

type Point = readonly [number, number];
const STEPS = 36;
const text = (points: readonly Point[]) => 'M' + points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L');

function sway(kind: MotionShape['kind'], phase: number): number {
	if (kind === 'bounce') return Math.abs(Math.sin(Math.PI * phase));
	const s = Math.sin(2 * Math.PI * phase);
	return kind === 'sharp' ? (2 / Math.PI) * Math.asin(s) : s;
}

function wayOf(shape: MotionShape): Point[] {
	const { from, to, bow = 0, waves = 0, swing = 0, turns = 0, radius = 0, kind } = shape;
	const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
	const length = Math.hypot(dx, dy);
	const normal: Point = length ? [dy / length, -dx / length] : [0, -1];
	return Array.from({ length: STEPS + 1 }, (_, i): Point => {
		const u = i / STEPS;
		const aside = bow * Math.sin(Math.PI * u) + swing * sway(kind, waves * u);
		const angle = 2 * Math.PI * turns * u + Math.PI / 2;
		// A way that turns in place carries its swing downwards only: that makes the lying eight.
		const [tx, ty] =
			length || !turns
				? [aside * normal[0], aside * normal[1]]
				: [0, swing ? swing * Math.sin(2 * (angle - Math.PI / 2)) : 0];
		const round = radius ? [radius * Math.cos(angle), swing ? 0 : radius * Math.sin(angle)] : [0, 0];
		return [from[0] + u * dx + tx + round[0]!, from[1] + u * dy + ty + round[1]!];
	});
}

function headAt(way: readonly Point[]): string {
	const [tip, before] = [way.at(-1)!, way.at(-4)!];
	const angle = Math.atan2(tip[1] - before[1], tip[0] - before[0]);
	const barb = (turn: number): Point => [tip[0] + 3.4 * Math.cos(angle + turn), tip[1] + 3.4 * Math.sin(angle + turn)];
	return text([barb(2.5), tip, barb(-2.5)]);
}

const mirrored = (way: readonly Point[]): Point[] => way.map(([x, y]) => [22 - x, 16 - y]);

/** Draws a motion: from its numbers, with as many lanes as it has and a second head where it comes back. */
export function motionDrawing(motion: Motion, { lanes = 1, reverse = false } = {}): MotionDrawing {
	const shape = SHAPES[motion];
	const first = wayOf(shape);
	const moves = Math.hypot(...first.map(([x, y]) => Math.hypot(x - first[0]![0], y - first[0]![1]))) > 1;
	const rays = Array.from({ length: shape.rays ?? 0 }, (_, i) => wayOf({ ...shape, to: [18, 3.5 + 4.5 * i] }));
	const base = rays.length ? rays : [first];
	const both = shape.hands === 2 ? [...base, ...base.map(mirrored)] : base;
	const beside = Array.from({ length: Math.min(lanes, 3) - 1 }, (_, i) =>
		first.map(([x, y]): Point => [x + 1.6 * (i + 1), y + 2.4 * (i + 1)])
	);
	const ways = moves ? [...both, ...beside] : [];
	return {
		ways: ways.map(text),
		heads: [...(shape.head ? ways.map(headAt) : []), ...(reverse && moves ? [headAt([...first].reverse())] : [])],
		starts: shape.hands === 2 ? [first[0]!, mirrored(first)[0]!] : [first[0]!],
		held: shape.held ? ['M3 3V13', 'M19 3V13'] : [],
		rings: Array.from({ length: shape.rings ?? 0 }, (_, i) => 4.4 + 2 * i)
	};
}
