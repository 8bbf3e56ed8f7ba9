import type { Level } from '$lib/core/step/levels';

/** Measures of a score drawing, px. One drawing serves the score, the horizon of a session and the miniature. */
export interface ScoreFrame {
	/** Seconds over the whole width. */
	readonly seconds: number;
	readonly x0: number;
	readonly x1: number;
	/** Centre of the shoreline. */
	readonly mid: number;
	readonly bar: number;
	/** Height of each pressure level. */
	readonly heights: readonly [number, number, number, number, number];
	/** How much the shore undulates, 1 in the full score. */
	readonly swing: number;
}

export const FULL_HEIGHTS = [14, 30, 43, 55, 67] as const;
/** px from the top of the full score to the centre of its shore, and on to where the swells end. */
const FULL_MID = 104;
const FULL_LAND = 190;
/** The full score in more or less room than it usually has: the swells take it. @param extra px, from −72 */
export function fullLayout(extra: number): {
	readonly mid: number;
	readonly heights: ScoreFrame['heights'];
	/** px from the top, where the swells end and the bands begin. */
	readonly land: number;
} {
	const scale = (FULL_HEIGHTS[4] + extra / 2) / FULL_HEIGHTS[4];
	const [touch, light, medium, firm, deep] = FULL_HEIGHTS;
	return {
		mid: FULL_MID + extra / 2,
		heights: [touch * scale, light * scale, medium * scale, firm * scale, deep * scale],
		land: FULL_LAND + extra
	};
}
export const HORIZON_HEIGHTS = [6, 12, 18, 24, 29] as const;
export const MINI_HEIGHTS = [3, 6, 9, 12, 14.5] as const;

const r1 = (n: number) => Math.round(n * 10) / 10;

export const xAt = (f: ScoreFrame, seconds: number): number =>
	f.x0 + (f.seconds > 0 ? (seconds * (f.x1 - f.x0)) / f.seconds : 0);
export const secondsAt = (f: ScoreFrame, x: number): number =>
	Math.min(f.seconds, Math.max(0, ((x - f.x0) / Math.max(1, f.x1 - f.x0)) * f.seconds));

/** The shore's undulation at a place, px. */
export const undulation = (f: ScoreFrame, x: number): number =>
	f.swing * (2.9 * Math.sin(x / 104 + 0.4) + 1.3 * Math.sin(x / 43 + 1));
export const yUp = (f: ScoreFrame, x: number): number => f.mid - f.bar / 2 + undulation(f, x);
export const yDown = (f: ScoreFrame, x: number): number => f.mid + f.bar / 2 + undulation(f, x);

/** −1 above the shore (client's left), 1 below it (client's right). */
export type Direction = -1 | 1;

export interface Swell {
	/** The outline from shore to shore. */
	readonly d: string;
	/** The same, closed under the shore. */
	readonly closed: string;
	readonly top: number;
	/** Where the crest ends and the fall begins. */
	readonly crestX: number;
	readonly x0: number;
	readonly x1: number;
}

/** A swell over a span: a rise longer than its fall, for it runs with time. A hold has a flat top. */
export function swell(f: ScoreFrame, a: number, b: number, level: Level, dir: Direction, hold = false): Swell {
	const x0 = a + Math.min(1, (b - a) * 0.1);
	const x1 = b - Math.min(1, (b - a) * 0.1);
	const w = Math.max(0.5, x1 - x0);
	const h = f.heights[level];
	const base = dir < 0 ? yUp : yDown;
	const [y0, y1] = [base(f, x0), base(f, x1)];
	const top = (y0 + y1) / 2 + dir * h;
	const lead = hold ? Math.min(0.2 * w, 4 + 0.08 * h) : Math.min(0.54 * w, Math.max(9 + 0.62 * h, 0.34 * w));
	const trail = hold ? lead : Math.min(0.44 * w, Math.max(7 + 0.46 * h, 0.27 * w));
	const [k1, k2] = hold ? [0.62, 0.5] : [0.44, 0.52];
	const d =
		`M${r1(x0)} ${r1(y0)}C${r1(x0 + k1 * lead)} ${r1(y0)} ${r1(x0 + k2 * lead)} ${r1(top)} ${r1(x0 + lead)} ${r1(top)}` +
		`L${r1(x1 - trail)} ${r1(top)}` +
		`C${r1(x1 - k2 * trail)} ${r1(top)} ${r1(x1 - k1 * trail)} ${r1(y1)} ${r1(x1)} ${r1(y1)}`;
	return { d, closed: `${d}L${r1(x1)} ${f.mid}L${r1(x0)} ${f.mid}Z`, top, crestX: x1 - trail, x0, x1 };
}

/** The contours inside a swell, one for each level below it: pressure is counted from the outside in. */
export function contours(f: ScoreFrame, a: number, b: number, level: Level, dir: Direction, hold: boolean): string[] {
	return Array.from({ length: Math.max(0, level - 1) }, (_, i) => {
		const j = (i + 1) as Level;
		const inset = (level - j) * Math.min(3.4, 0.07 * (b - a));
		return swell(f, a + inset, b - inset, j, dir, hold).d;
	});
}

/** Rings that spread from an opening: a half ellipse at a scale of the span. */
export function gateArc(f: ScoreFrame, a: number, b: number, dir: Direction, scale: number): string {
	const x = (a + b) / 2;
	const rx = Math.max(1, ((b - a) / 2 - 1) * scale);
	const ry = f.heights[1] * scale;
	const y = dir < 0 ? yUp(f, x) : yDown(f, x);
	return `M${r1(x - rx)} ${r1(y)}A${r1(rx)} ${r1(ry)} 0 0 ${dir < 0 ? 1 : 0} ${r1(x + rx)} ${r1(y)}`;
}

/** A gate in the bar: the gap, and the two jetties beside it. `dir` 0 opens the whole bar, else one half. */
export function gate(f: ScoreFrame, a: number, b: number, dir: Direction | 0): { gap: string; jetties: string } {
	const middle = (x: number) => (yUp(f, x) + yDown(f, x)) / 2;
	const top = (x: number) => (dir > 0 ? middle(x) : yUp(f, x) - 0.8);
	const foot = (x: number) => (dir < 0 ? middle(x) : yDown(f, x) + 0.8);
	// A wide gap bends with the shore.
	const n = Math.max(1, Math.ceil((b - a) / 20));
	const xs = Array.from({ length: n + 1 }, (_, i) => a + 1 + ((b - a - 2) * i) / n);
	const along = (y: (x: number) => number, way: readonly number[]) => way.map((x) => `${r1(x)} ${r1(y(x))}`).join('L');
	const jut = f.bar * 0.22;
	const bow = Math.min(3, (b - a) * 0.12);
	const jetty = (x: number, k: number) => {
		const [y0, y1] = [dir > 0 ? middle(x) : yUp(f, x) - jut, dir < 0 ? middle(x) : yDown(f, x) + jut];
		return `M${r1(x)} ${r1(y0)}Q${r1(x + k)} ${r1((y0 + y1) / 2)} ${r1(x)} ${r1(y1)}`;
	};
	return {
		gap: `M${along(top, xs)}L${along(foot, [...xs].reverse())}Z`,
		jetties: jetty(a, bow) + jetty(b, -bow)
	};
}

/** A drain link running out to sea from a swell's crest, with a bead for each node and a ring at the outlet. */
export function stream(
	from: { x: number; y: number },
	toY: number,
	nodes: number
): { d: string; beads: [number, number][]; outlet: [number, number] } {
	const at = (u: number): [number, number] => {
		const e = u * u * (3 - 2 * u);
		return [
			from.x + 30 * (0.75 * u + 0.25 * u * u) + 2.6 * Math.sin(6.6 * u) * Math.sin(Math.PI * u),
			from.y + (toY - from.y) * (0.35 * u + 0.65 * e)
		];
	};
	const left: string[] = [];
	const right: string[] = [];
	for (let i = 0; i <= 25; i++) {
		const u = i / 25;
		const [x, y] = at(u);
		const [[ax, ay], [bx, by]] = [at(Math.max(0, u - 0.01)), at(Math.min(1, u + 0.01))];
		const l = Math.hypot(bx - ax, by - ay) || 1;
		const half = 1.5 * (1 - u) ** 1.2 + 0.4;
		left.push(`${r1(x - ((by - ay) / l) * half)} ${r1(y + ((bx - ax) / l) * half)}`);
		right.unshift(`${r1(x + ((by - ay) / l) * half)} ${r1(y - ((bx - ax) / l) * half)}`);
	}
	const beads = Array.from({ length: Math.max(0, nodes - 1) }, (_, i) => at((i + 1) / nodes));
	return { d: `M${[...left, ...right].join('L')}Z`, beads, outlet: at(1) };
}

/** The sandbar: its outline, the grains on it, and the water lines beside it. */
export function shore(f: ScoreFrame, grains: number): { outline: string; grain: string; water: [string, string] } {
	const [xl, xr] = [f.x0 - 8, f.x1 + 8];
	const step = Math.max(4, (xr - xl) / 260);
	const xs = Array.from({ length: Math.floor((xr - xl) / step) + 1 }, (_, i) => xl + i * step).concat(xr);
	const top = xs.map((x) => `${r1(x)} ${r1(yUp(f, x))}`).join('L');
	const foot = [...xs]
		.reverse()
		.map((x) => `${r1(x)} ${r1(yDown(f, x))}`)
		.join('L');
	const r = f.bar / 2;
	const outline = `M${top}A${r} ${r} 0 0 1 ${r1(xr)} ${r1(yDown(f, xr))}L${foot}A${r} ${r} 0 0 1 ${r1(xl)} ${r1(yUp(f, xl))}Z`;
	const random = grainSource(7);
	let grain = '';
	for (let i = 0; i < grains; i++) {
		const x = xl + 2 + random() * (xr - xl - 4);
		const side = random() < 0.5 ? -1 : 1;
		const y = f.mid + undulation(f, x) + side * (f.bar / 2 - 1.6 - random() ** 2 * f.bar * 0.32);
		grain += `M${r1(x)} ${r1(y)}h.01`;
	}
	const line = (by: number) =>
		`M${xs.map((x) => `${r1(x)} ${r1(yUp(f, x) - by)}`).join('L')}M${xs.map((x) => `${r1(x)} ${r1(yDown(f, x) + by)}`).join('L')}`;
	return { outline, grain, water: [line(2.7), line(5.8)] };
}

/** A fixed source of grains: the same sand at each drawing. */
function grainSource(seed: number): () => number {
	let s = seed;
	return () => (s = (s * 16807) % 2147483647) / 2147483647;
}
